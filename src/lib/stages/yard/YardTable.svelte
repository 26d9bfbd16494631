<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import type { ListedSite } from '$lib/schemas/site';
  import { dateOf } from '$lib/ui/dates';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import LineMarks from './LineMarks.svelte';
  import SiteActions from './SiteActions.svelte';
  import SwitchOffLink from './SwitchOffLink.svelte';
  import type { YardState } from './yardState.svelte';
  import type { SortKey } from './yardView';
  import { worstOfSite } from './yardView';

  let {
    sites,
    yard,
    switchOff,
  }: { sites: readonly ListedSite[]; yard: YardState; switchOff: Readonly<Record<string, number>> } = $props();
  const COLUMNS: readonly (readonly [key: SortKey, name: string, figure: boolean, width: string])[] = [
    ['name', 'Site', false, '15%'],
    ['place', 'Place', false, '12%'],
    ['verdict', 'Worst', false, '8%'],
    ['stage', 'Stage', false, '6.5%'],
    ['acKw', 'AC, kW', true, '5.5%'],
    ['dcKw', 'DC, kWp', true, '7%'],
    ['inverters', 'Units', true, '5%'],
    ['strings', 'Strings', true, '6%'],
    ['changedAt', 'Changed', true, '8%'],
  ];
  const TRACKS = [...COLUMNS.map(([, , , width]) => width), '14%', '13%'].join(' ');
  const sortBy = (key: SortKey) => yard.look({ sort: key, down: yard.view.sort === key ? !yard.view.down : false });
</script>

<div class="sheet relative overflow-x-auto p-2">
  <!-- Every row is a grid of its own, of the same tracks: a row more moves none of those that stand, and one out of sight costs nothing. -->
  <table class="grid-table block min-w-[72rem]" style:--tracks={TRACKS}>
    <thead class="block">
      <tr class="grid grid-cols-(--tracks)">
        {#each COLUMNS as [key, name, figure] (key)}
          <th
            scope="col"
            class={figure ? 'fig' : ''}
            aria-sort={yard.view.sort === key ? (yard.view.down ? 'descending' : 'ascending') : undefined}
            ><button type="button" class="font-semibold hover:underline" onclick={() => sortBy(key)}
              >{name}{yard.view.sort === key ? (yard.view.down ? ' ▾' : ' ▴') : ''}</button
            ></th
          >
        {/each}
        <th scope="col">Line</th><th scope="col"><span class="sr-only">What to do with it</span></th>
      </tr>
    </thead>
    <tbody class="block">
      {#each sites as s (s.id)}
        <tr
          class="yard-row grid grid-cols-(--tracks) items-baseline border-b border-rule [contain-intrinsic-height:auto_2.5rem] [content-visibility:auto] [&>*]:border-b-0"
        >
          <th scope="row" class="font-semibold"
            ><a
              class="underline decoration-rule underline-offset-4 hover:decoration-ink"
              href="/sites/{s.id}/{s.summary.inverters ? 'strings' : 'survey'}">{s.name}</a
            >
            <SwitchOffLink siteId={s.id} units={switchOff[s.id]} /></th
          >
          <td>{s.summary.place || '–'}</td>
          <td><VerdictMark verdict={worstOfSite(s)} /></td>
          <td>{s.stage}</td>
          <td class="fig">{fixed(s.summary.acKw, 0)}</td>
          <td class="fig">{fixed(s.summary.dcKw, 1)}</td>
          <td class="fig">{s.summary.inverters}</td>
          <td class="fig">{s.summary.strings}</td>
          <td class="fig">{dateOf(s.changedAt)}</td>
          <td><LineMarks site={s} /></td>
          <td><SiteActions site={s} {yard} /></td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
