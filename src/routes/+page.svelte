<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { MediaQuery } from 'svelte/reactivity';
  import { Told } from '$lib/client/told.svelte';
  import { whileSeen } from '$lib/client/whileSeen';
  import NewSite from '$lib/stages/yard/NewSite.svelte';
  import YardCards from '$lib/stages/yard/YardCards.svelte';
  import YardTable from '$lib/stages/yard/YardTable.svelte';
  import YardTools from '$lib/stages/yard/YardTools.svelte';
  import { YardState } from '$lib/stages/yard/yardState.svelte';
  import { sitesInView } from '$lib/stages/yard/yardView';
  import CopyForm from '$lib/stages/yard/CopyForm.svelte';
  import MovedNote from '$lib/stages/yard/MovedNote.svelte';
  import SaidAt from '$lib/ui/bar/SaidAt.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';

  let { data } = $props();
  const yard = new YardState();
  /** A phone has no room for a table; whoever chooses has what he chose. How wide the screen is the server does not know. */
  const narrow = new MediaQuery('max-width: 639px');
  let chosen = $state<boolean | null>(null);
  let here = $state(false);
  const cards = $derived(chosen ?? (here && narrow.current));
  const told = untrack(() => new Told('/api/v1/switch-off', data.switchOff));
  const switchOff = $derived(told.value);
  onMount(() => {
    here = true;
    return whileSeen(LOOK_MS, () => told.ask());
  });
  $effect(() => told.take(data.switchOff));
  /** Between two looks at which units have lost their proofs, ms. */
  const LOOK_MS = 15_000;
  const shown = $derived(sitesInView(data.sites, yard.view, switchOff));
  const List = $derived(cards ? YardCards : YardTable);
  /** So many are drawn at first, and with every look at the end of the list. */
  const STEP = 5;
  let drawn = $derived.by(() => {
    void [yard.view, cards];
    return STEP;
  });
  /** Draws more when what it is put on comes into view. */
  function atEnd(node: HTMLElement) {
    const seen = new IntersectionObserver(([at]) => at?.isIntersecting && (drawn += STEP), { rootMargin: '900px' });
    seen.observe(node);
    return () => seen.disconnect();
  }
</script>

<svelte:head><title>Yard · Bolt Yard</title></svelte:head>

<div class="mb-2 flex flex-wrap items-end gap-x-6 gap-y-2">
  <h1 class="mr-auto">Yard</h1>
  <NewSite {yard} />
</div>
<Trouble problem={yard.problem} ondismiss={() => (yard.problem = null)} />
<MovedNote {yard} />
{#if yard.copying}<CopyForm {yard} of={yard.copying} />{/if}
{#if data.sites.length === 0}
  <p class="sheet p-6">
    No site yet. Name one above, or import a project file. Every site stands here with its worst verdict and the line
    from module to grid.
  </p>
{:else}
  <SaidAt ms={told.asOfMs} />
  <YardTools {yard} bind:cards={() => cards, (as) => (chosen = as)} count={shown.length} of={data.sites.length} />
  {#if shown.length}
    <List sites={shown.slice(0, drawn)} {yard} {switchOff} />
    {#if shown.length > drawn}{#key drawn}<button
          type="button"
          class="mt-2 underline"
          {@attach atEnd}
          onclick={() => (drawn += STEP)}>{shown.length - drawn} more</button
        >{/key}{/if}
  {:else}
    <p class="sheet p-6">
      No site is like that. <button
        type="button"
        class="underline"
        onclick={() => yard.look({ find: '', verdict: '', stage: '', standing: 'open' })}>Show all in the yard</button
      >
    </p>
  {/if}
{/if}
