<script lang="ts">
  import type { ListedSite } from '$lib/schemas/site';
  import type { YardState } from './yardState.svelte';

  let { site, yard }: { site: ListedSite; yard: YardState } = $props();
  const BUTTON = 'underline disabled:opacity-50';
</script>

<span class="flex gap-3 text-sm whitespace-nowrap">
  {#if site.standing === 'open'}
    <button
      type="button"
      class={BUTTON}
      disabled={yard.busy}
      onclick={() => yard.startCopy(site)}
      aria-label="Duplicate {site.name}">duplicate</button
    >
    <button
      type="button"
      class={BUTTON}
      disabled={yard.busy}
      onclick={() => yard.put(site, 'archived')}
      aria-label="Archive {site.name}">archive</button
    >
    <button
      type="button"
      class={BUTTON}
      disabled={yard.busy}
      onclick={() => yard.put(site, 'deleted')}
      aria-label="Delete {site.name}">delete</button
    >
  {:else}
    <button
      type="button"
      class={BUTTON}
      disabled={yard.busy}
      onclick={() => yard.put(site, 'open')}
      aria-label="Put {site.name} back into the yard">put back</button
    >
  {/if}
</span>
