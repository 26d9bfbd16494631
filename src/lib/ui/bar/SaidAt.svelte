<script lang="ts">
  import { clockTime } from '$lib/ui/record/words';

  let {
    ms,
  }: {
    /** When the server said last which units have to be switched off, where it has been silent since; null while it speaks. */ ms:
      number | null;
  } = $props();
</script>

{#if ms !== null}<p class="mb-2 border-l-4 border-tight bg-sheet px-3 py-2" role="status">
    Nobody answers: which units have to be switched off is said as it was at {clockTime(ms)}.
  </p>{/if}
