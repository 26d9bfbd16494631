<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { SiteDesign } from '$core/design';
  import { fixed } from '$core/kernel/quantity';
  import type { Wall } from '$core/mounting/part';
  import type { MountingResult } from '$core/mounting/results';
  import type { PlacedLayout, SiteWallAnswer, SiteWallsAnswer } from '$core/mounting/wall/siteWall';
  import { LongTask } from '$lib/client/longTask.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import TaskBar from '$lib/ui/TaskBar.svelte';

  let { wall, results }: { wall: Wall; results: MountingResult } = $props();
  const site = useSite();
  const LIMIT_S = 10;
  /** Several walls are tried in every sharing: longer. */
  const ALL_S = 20;
  const task = new LongTask();
  let everywhere = $state.raw<SiteWallsAnswer | null>(null);
  let answer = $state.raw<SiteWallAnswer | null>(null);
  let of = $state.raw<SiteDesign | null>(null);
  const stale = $derived((answer !== null || everywhere !== null) && of !== site.design);
  /** What hangs here and what hangs nowhere yet. */
  const ids = $derived([
    ...results.hung.flatMap((h) => (h.wall.id === wall.id ? [h.unit.id] : [])),
    ...results.unplaced.map((u) => u.id),
  ]);
  const found = $derived(answer?.row ? { ...answer, row: answer.row } : null);
  const options = $derived(
    found
      ? [
          { name: 'In a row', layout: found.row },
          ...(found.stacked ? [{ name: 'One over the other allowed', layout: found.stacked }] : []),
        ]
      : [],
  );
  const saves = $derived(
    found?.row.places && found.stacked?.places ? (found.row.cost - found.stacked.cost) / 1000 : null,
  );

  const proofWords = ({ proof, cost, bound }: Pick<PlacedLayout, 'proof' | 'cost' | 'bound'>) =>
    proof === 'proved'
      ? 'proved: nothing shorter on this grid'
      : `at most ${fixed((100 * (cost - bound)) / bound, 1)} % above the possible`;

  async function search() {
    of = site.design;
    const [design, on, all] = [site.design, wall, ids];
    answer = everywhere = null;
    answer = await task.run(({ work }) => work.wall(design, on, all, LIMIT_S));
  }
  async function searchAll() {
    of = site.design;
    const design = site.design;
    const all = design.inverters.map((u) => u.id);
    answer = everywhere = null;
    everywhere = await task.run(async ({ work, onProgress }) => await work.walls(design, all, ALL_S, onProgress));
  }
  async function take(layout: Pick<PlacedLayout, 'places'>) {
    if (!layout.places) return;
    const problem = await site.apply({ kind: 'hang', places: [...layout.places] });
    if (!problem) answer = everywhere = null;
  }
</script>

<section class="sheet no-print p-3" aria-labelledby="search-title">
  <header class="flex flex-wrap items-center gap-3">
    <h2 id="search-title" class="mr-auto">Best places on {wall.label}</h2>
    <Button size="sm" disabled={!ids.length || task.running} onclick={search}
      >Find places for {ids.length} {ids.length === 1 ? 'unit' : 'units'}</Button
    >
    {#if site.design.walls.length > 1}
      <Button size="sm" color="alternative" disabled={!site.design.inverters.length || task.running} onclick={searchAll}
        >Share all {site.design.inverters.length} among {site.design.walls.length} walls</Button
      >
    {/if}
  </header>
  <p class="max-w-prose text-sm text-dim">
    Least cable to where it leaves the wall, every clearance kept, on a grid of 50 mm. Nothing changes until you take it
    over.
  </p>
  <TaskBar {task} share={task.progress} name="Search for places"
    >Searching, {task.progress === null ? LIMIT_S : ALL_S} s at most …</TaskBar
  >
  {#each [answer, everywhere] as of, i (i)}
    {#if of?.missing.length}<p role="alert">Missing: {of.missing.join(', ')}.</p>{/if}
  {/each}
  {#if everywhere?.layout}
    {@const { layout } = everywhere}
    <p class="mt-1 flex flex-wrap items-baseline gap-x-3">
      <b>On all walls</b>
      {#if layout.places}
        <span class="num">{fixed(layout.cost / 1000, 2)} m of cable</span>
        <span>{proofWords(layout)}</span>
        <Button size="xs" disabled={stale} onclick={() => take(layout)}>Hang it like this</Button>
      {:else}<span class="text-stop">{layout.proof === 'proved' ? 'do not fit: proved' : 'none found in time'}</span
        >{/if}
    </p>
    {#if stale}<p class="text-sm text-dim">The site has changed since: search again.</p>{/if}
  {/if}
  {#if found}
    <ul class="mt-1 space-y-1">
      {#each options as { name, layout } (name)}
        <li class="flex flex-wrap items-baseline gap-x-3 border-t border-rule pt-1">
          <b>{name}</b>
          {#if layout.places}
            <span class="num">{fixed(layout.cost / 1000, 2)} m of cable</span>
            <span>{proofWords(layout)}</span>
            {#if Math.max(...layout.places.map((p) => p.yMm)) > Math.min(...layout.places.map((p) => p.yMm))}
              <span class="text-tight">upper units: platform and hoist</span>
            {/if}
            <Button size="xs" disabled={stale} onclick={() => take(layout)}>Hang it like this</Button>
          {:else}<span class="text-stop"
              >{layout.proof === 'proved' ? 'does not fit: proved' : 'none found in time'}</span
            >{/if}
        </li>
      {/each}
    </ul>
    {#if saves !== null && saves > 0}<p class="text-sm">Stacking saves {fixed(saves, 2)} m of cable.</p>{/if}
    {#if found.fixes.length}
      <p class="mt-1">What would make them fit, each by itself:</p>
      <ul class="list-disc pl-5">
        {#each found.fixes as fix (fix.change)}<li>{fix.change}</li>{/each}
      </ul>
    {:else if !found.row.places && !found.stacked?.places}<p>No single change makes them fit.</p>{/if}
    {#if stale}<p class="text-sm text-dim">The site has changed since: search again.</p>{/if}
  {/if}
</section>
