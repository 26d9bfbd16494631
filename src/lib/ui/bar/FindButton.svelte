<script lang="ts">
  import type { FindItem } from './findItems';
  import { commonItems } from './findItems';

  let {
    items = () => [],
  }: { /** What can be found on this screen, beside sites and rules. */ items?: () => FindItem[] } = $props();
  let open = $state(false);
  /** Asked for at least once: only then the list is made. */
  let asked = $state(false);
  let common = $state.raw<readonly FindItem[]>([]);
  const all = $derived(open ? [...items(), ...common] : []);

  async function ask() {
    asked = open = true;
    common = await commonItems();
  }
  function pressed(event: KeyboardEvent) {
    // Once it is there the list listens itself.
    if (asked || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
    event.preventDefault();
    void ask();
  }
</script>

<svelte:window onkeydown={pressed} />
<button
  type="button"
  aria-label="Find (Ctrl K)"
  title="Find a site, stage, unit, string or rule (Ctrl K)"
  class="flex h-8 w-8 shrink-0 items-center justify-center border border-paper/50 hover:bg-paper hover:text-ink"
  onclick={ask}
  ><svg viewBox="0 0 16 16" class="h-4 w-4" aria-hidden="true"
    ><circle cx="6.5" cy="6.5" r="4.5" fill="none" stroke="currentColor" stroke-width="2" /><path
      d="M10 10l5 5"
      stroke="currentColor"
      stroke-width="2"
    /></svg
  ></button
>
{#if asked}
  {#await import('./FindPalette.svelte') then { default: FindPalette }}<FindPalette bind:open items={all} />{/await}
{/if}
