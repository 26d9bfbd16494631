<script lang="ts">
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { found }: { found: readonly { severity: string; text: string }[] } = $props();
</script>

{#each found as f (f.text)}<p class="text-sm">
    <VerdictMark verdict={f.severity === 'error' ? 'stop' : 'tight'} word={false} />
    {f.text}
  </p>{/each}
