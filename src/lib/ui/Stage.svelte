<script lang="ts">
  import type { Snippet } from 'svelte';

  let { main, side }: { main: Snippet; side: Snippet } = $props();
</script>

<div class="grid grid-cols-1 gap-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
  <div class="min-w-0 space-y-4">{@render main()}</div>
  <aside class="no-print min-w-0 space-y-4">{@render side()}</aside>
</div>
