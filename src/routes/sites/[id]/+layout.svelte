<script lang="ts">
  import { untrack } from 'svelte';
  import { beforeNavigate, invalidateAll } from '$app/navigation';
  import { page } from '$app/state';
  import { Button } from 'flowbite-svelte';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import { onMount } from 'svelte';
  import { ApiProblem, post, read } from '$lib/client/api';
  import { signOn } from '$lib/client/signOn.svelte';
  import { LogState, provideLog } from '$lib/client/logState.svelte';
  import { SiteState, provideSite } from '$lib/client/siteState.svelte';
  import { lineOf } from '$core/site/line';
  import { named } from '$lib/ui/record/words';
  import { STAGES } from '$lib/stages/stages';
  import LineStrip from '$lib/ui/LineStrip.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';

  let { data, children } = $props();
  const site = provideSite(untrack(() => new SiteState(data)));
  const log = provideLog(untrack(() => new LogState(site.siteId)));
  onMount(() => {
    void log.open();
    void site.resume().then((changed) => (changed ? invalidateAll() : undefined));
    const days = setInterval(() => log.tick(), 30_000);
    const answering = () => void log.flush();
    addEventListener('online', answering);
    return () => {
      clearInterval(days);
      removeEventListener('online', answering);
      log.close();
      site.close();
    };
  });
  // What is not sent is kept on the device; whoever leaves is asked all the same, for nobody sends it meanwhile.
  beforeNavigate(({ cancel, to, willUnload }) => {
    if (site.pending === 0 || (to?.params?.id === site.siteId && !willUnload)) return;
    if (willUnload || !confirm('A change has not reached the server yet. It is sent when you come back here. Leave?'))
      cancel();
  });
  /** As the record on this screen has it where it is read here, else as the server had it when the site was opened. */
  const switchOff = $derived(
    log.current
      ? log.evidence.switchOff.map(({ unit, why }) => ({
          unit,
          why,
          tag: lineOf(log.current?.design ?? site.design).tag(unit),
        }))
      : data.switchOff,
  );
  // Only a fresh load from the server counts here, not the coming and going of our own changes.
  $effect(() => {
    const fresh = data;
    untrack(() => site.take(fresh));
  });

  const KEEPING = {
    saved: 'saved',
    saving: 'saving …',
    unsent: 'not sent: nobody answers, trying again',
    refused: 'last change not saved',
  } as const;
  const here = $derived(page.url.pathname.split('/')[3] ?? '');
  const released = $derived(data.releases.at(-1));
  let stages = $state<HTMLElement>();
  $effect(() => {
    void here;
    stages?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  });
  let releaseProblem = $state.raw<ProblemDocument | null>(null);
  let releasing = $state(false);
  let by = $state('');
  interface Cost {
    readonly key: string;
    readonly why: string;
  }
  /** Proofs that this release would cost; null while they are worked out. */
  let costs = $state.raw<readonly Cost[] | null>(null);
  async function open() {
    by = signOn.by;
    releasing = !releasing;
    costs = null;
    if (!releasing) return;
    try {
      costs = await read<Cost[]>(`/api/v1/sites/${site.siteId}/releases/cost`);
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      releaseProblem = cause.problem;
    }
  }

  async function release(event: SubmitEvent) {
    event.preventDefault();
    releaseProblem = null;
    try {
      await post(`/api/v1/sites/${site.siteId}/releases`, { revision: site.revision, by });
      releasing = false;
      await invalidateAll();
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      releaseProblem = cause.problem;
    }
  }
</script>

<svelte:head><title>{site.design.survey.name} · Bolt Yard</title></svelte:head>

<div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
  <h1>{site.design.survey.name}</h1>
  <p class="text-sm text-dim">
    revision <span class="num">{site.revision}</span> ·
    {released ? `released ${released.letter} (revision ${released.revision})` : 'not released yet'} ·
    <span aria-live="polite" class={['refused', 'unsent'].includes(site.keeping) ? 'font-semibold text-stop' : ''}
      >{KEEPING[site.keeping]}{site.forgetful && site.pending > 0
        ? '; this device keeps nothing: do not reload'
        : ''}</span
    >
  </p>
  <div class="no-print ml-auto flex gap-2">
    <Button size="xs" color="alternative" disabled={!site.canUndo || site.pending > 0} onclick={() => site.undo()}
      >Undo</Button
    >
    <Button size="xs" color="alternative" onclick={open} aria-expanded={releasing}>Release …</Button>
  </div>
</div>
{#if releasing}
  <form class="sheet mb-2 flex flex-wrap items-end gap-3 p-3" onsubmit={release}>
    <p class="max-w-prose">
      Freezes the design as it stands under the next letter. The crew builds and records against it; later changes need
      a new letter.
    </p>
    <label class="text-sm text-dim" for="released-by"
      >Released by<input
        id="released-by"
        class="mt-0.5 block border border-rule bg-white px-2 py-1 text-ink"
        bind:value={by}
        required
      /></label
    >
    <Button type="submit" size="sm" disabled={site.pending > 0}>Release revision {site.revision}</Button>
    <div class="w-full" role="status">
      {#if released && costs === null}Working out which proofs it would cost …
      {:else if costs && costs.length}
        <p class="font-semibold text-stop">
          It costs {costs.length}
          {costs.length === 1 ? 'proof' : 'proofs'}, to be made anew:
        </p>
        <ul class="max-h-40 overflow-y-auto text-sm">
          {#each costs as c (c.key)}<li>{named(c.key, site.design)}: {named(c.why, site.design)}</li>{/each}
        </ul>
      {:else if released}It costs no proof.{/if}
    </div>
  </form>
{/if}
{#if data.unreadable.length}
  <p class="sheet mb-2 border-l-4 border-l-stop p-3" role="alert">
    This program cannot read {data.unreadable.length === 1 ? 'release' : 'releases'}
    {data.unreadable.join(', ')}: another version of it froze {data.unreadable.length === 1 ? 'it' : 'them'}. What was
    recorded on {data.unreadable.length === 1 ? 'it' : 'them'} is kept and counts for nothing here: a unit that was switched
    on does not show, so take every unit as live. Go back to the version that made {data.unreadable.length === 1
      ? 'it'
      : 'them'}, or release the design again and prove it anew.
  </p>
{/if}
<Trouble problem={releaseProblem} ondismiss={() => (releaseProblem = null)} />

<LineStrip line={site.assessment.line} siteId={site.siteId} {here} />
<nav
  bind:this={stages}
  aria-label="Stages"
  class="no-print relative mt-2 mb-3 flex gap-1 overflow-x-auto border-b-2 border-ink"
>
  {#each STAGES as [path, name] (path)}
    <a
      href="/sites/{site.siteId}/{path}"
      class="px-3 py-1 whitespace-nowrap {here === path ? 'bg-ink font-semibold text-paper' : 'hover:bg-sheet'}"
      aria-current={here === path ? 'page' : undefined}>{name}</a
    >
  {/each}
</nav>
{#if switchOff.length}
  <div class="mb-2 border-4 border-stop bg-sheet px-3 py-2 text-stop" role="alert">
    <p class="text-lg font-bold">Switch off until proved</p>
    <ul>
      {#each switchOff as { unit, tag, why } (unit)}<li>
          <a class="font-semibold underline" href="/sites/{site.siteId}/energise">{tag}</a>: {named(
            why.slice(0, 3).join('; '),
            log.current?.design ?? site.design,
          )}
        </li>{/each}
    </ul>
  </div>
{/if}
<Trouble problem={site.trouble} ondismiss={() => (site.trouble = null)} />
{@render children()}
