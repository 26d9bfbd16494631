<script lang="ts">
  import type { YardState } from './yardState.svelte';

  let { yard }: { yard: YardState } = $props();
  const WORDS = {
    archived: 'is archived',
    deleted: 'is deleted: out of sight, with its record kept',
    open: 'is back in the yard',
  } as const;
</script>

<div role="status">
  {#if yard.moved}{@const { site, to } = yard.moved}
    <p class="mb-2 border-l-4 border-ink bg-sheet px-3 py-1.5">
      {site.name}
      {WORDS[to]}.
      <button
        type="button"
        class="ml-2 underline"
        disabled={yard.busy}
        onclick={() => yard.put({ ...site, standing: to }, site.standing)}
        >{site.standing === 'open' ? 'Put it back' : 'Take that back'}</button
      >
      <button type="button" class="ml-2 underline" onclick={() => (yard.moved = null)}>Dismiss</button>
    </p>
  {/if}
</div>
