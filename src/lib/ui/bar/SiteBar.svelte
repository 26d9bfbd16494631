<script lang="ts">
  import { navigating } from '$app/state';
  import type { OpenedSite } from '$lib/schemas/site';
  import type { SiteState } from '$lib/client/siteState.svelte';
  import Brand from './Brand.svelte';
  import FindButton from './FindButton.svelte';
  import Keeping from './Keeping.svelte';
  import MainLinks from './MainLinks.svelte';
  import Shortcuts from './Shortcuts.svelte';
  import { siteItems } from './siteItems';
  import SignOnChip from './SignOnChip.svelte';

  let {
    site,
    releases,
    here,
    releasing = $bindable(),
  }: {
    site: SiteState;
    releases: OpenedSite['releases'];
    /** The stage on screen. */
    here: string;
    releasing: boolean;
  } = $props();
  let sheet = $state<ReturnType<typeof Shortcuts>>();
  const BUTTON = 'h-8 shrink-0 border border-paper/50 px-2.5 text-sm hover:bg-paper hover:text-ink disabled:opacity-40';
  let more = $state<HTMLElement>();
</script>

{#snippet about(what: string | null)}{#if what}<span
      class="ml-1.5 hidden max-w-40 truncate align-bottom opacity-80 xl:inline-block">{what}</span
    >{/if}{/snippet}

{#snippet actions()}
  <button
    type="button"
    class={BUTTON}
    disabled={site.undoes === null || site.pending > 0}
    aria-label={site.undoes === null ? 'Undo' : `Undo: ${site.undoes}`}
    title={site.undoes === null ? 'Nothing to undo' : `Takes back: ${site.undoes} (Ctrl Z)`}
    onclick={() => void site.undo()}>Undo{@render about(site.undoes)}</button
  >
  <button
    type="button"
    class={BUTTON}
    disabled={site.redoes === null || site.pending > 0}
    aria-label={site.redoes === null ? 'Redo' : `Redo: ${site.redoes}`}
    title={site.redoes === null ? 'Nothing to redo' : `Makes again: ${site.redoes} (Ctrl Shift Z)`}
    onclick={() => void site.redo()}>Redo{@render about(site.redoes)}</button
  >
  <button type="button" class={BUTTON} aria-expanded={releasing} onclick={() => (releasing = !releasing)}
    >Release …</button
  >
{/snippet}

<div class="no-print bg-ink text-paper">
  <div class="mx-auto flex h-10 max-w-[1500px] items-center gap-3 px-3 sm:px-4">
    <Brand word={false} />
    <h1 class="min-w-24 truncate text-base">{site.design.survey.name}</h1>
    <Keeping {site} released={releases.at(-1)} />
    {#if navigating.to}<p class="opening text-sm" role="status">Opening …</p>{/if}
    <div class="ml-auto flex items-center gap-2">
      <div class="hidden items-center gap-2 md:flex">{@render actions()}</div>
      <FindButton items={() => siteItems(site)} />
      <SignOnChip />
      <button
        type="button"
        popovertarget="more"
        aria-label="More: yard, shelf, bench, rules"
        class="flex h-8 w-8 shrink-0 items-center justify-center border border-paper/50"
        ><svg viewBox="0 0 16 16" class="h-4 w-4" aria-hidden="true"
          ><path d="M1 3h14M1 8h14M1 13h14" stroke="currentColor" stroke-width="2" /></svg
        ></button
      >
    </div>
  </div>
</div>
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
<nav
  bind:this={more}
  id="more"
  popover="auto"
  aria-label="Main"
  class="bar-panel w-48"
  onclick={() => more?.hidePopover()}
>
  <MainLinks itemClass="block border-b border-rule px-4 py-2.5 hover:bg-paper" />
  <button
    type="button"
    class="block w-full border-b border-rule px-4 py-2.5 text-left hover:bg-paper"
    onclick={() => sheet?.show()}>Shortcuts <kbd class="num float-right">?</kbd></button
  >
  <div class="flex flex-wrap gap-2 bg-ink p-3 text-paper md:hidden">{@render actions()}</div>
</nav>
<Shortcuts bind:this={sheet} {site} {here} />
