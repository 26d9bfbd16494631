<script lang="ts">
  import { VERDICT_ORDER } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import type { ListedSite } from '$lib/schemas/site';
  import { dateOf } from '$lib/ui/dates';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import LineMarks from './LineMarks.svelte';
  import SiteActions from './SiteActions.svelte';
  import SwitchOffLink from './SwitchOffLink.svelte';
  import type { YardState } from './yardState.svelte';

  let {
    sites,
    yard,
    switchOff,
  }: { sites: readonly ListedSite[]; yard: YardState; switchOff: Readonly<Record<string, number>> } = $props();
  const figures = (s: ListedSite) => [
    ['AC', `${fixed(s.summary.acKw, 0)} kW`],
    ['DC', `${fixed(s.summary.dcKw, 1)} kWp`],
    ['units', s.summary.inverters],
    ['strings', s.summary.strings],
    ['modules', s.summary.modules],
    ['revision', s.revision],
    ['changed', dateOf(s.changedAt)],
  ];
</script>

<ul class="grid gap-3">
  {#each sites as s (s.id)}
    <li class="sheet yard-card p-3">
      <div class="flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h2>
          <a
            class="underline decoration-rule underline-offset-4 hover:decoration-ink"
            href="/sites/{s.id}/{s.summary.inverters ? 'strings' : 'survey'}">{s.name}</a
          >
        </h2>
        <span class="text-dim">{s.summary.place || 'place not known yet'} · {s.stage}</span>
        <SwitchOffLink siteId={s.id} units={switchOff[s.id]} />
        <span class="ml-auto flex flex-wrap gap-4">
          {#each VERDICT_ORDER as v (v)}
            <span class="inline-flex items-center gap-1"
              ><VerdictMark verdict={v} /> <span class="num">{s.summary.counts[v]}</span></span
            >
          {/each}
        </span>
      </div>
      <dl class="mt-1 mb-2 flex flex-wrap gap-x-8 text-sm">
        {#each figures(s) as [term, value] (term)}
          <div class="flex items-baseline gap-1">
            <dt class="text-dim">{term}</dt>
            <dd class="num">{value}</dd>
          </div>
        {/each}
        <div class="ml-auto"><SiteActions site={s} {yard} /></div>
      </dl>
      <LineMarks site={s} words />
    </li>
  {/each}
</ul>

<style>
  /* Off screen nothing is laid out: a yard has hundreds of sites. */
  .yard-card {
    content-visibility: auto;
    contain-intrinsic-size: auto 110px;
  }
</style>
