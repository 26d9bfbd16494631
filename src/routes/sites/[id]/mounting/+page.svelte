<script lang="ts">
  import { page } from '$app/state';
  import { mountingResults } from '$core/mounting/results';
  import { useLogOf } from '$lib/client/useLog.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import AsDrilled from '$lib/stages/mounting/AsDrilled.svelte';
  import BodyTable from '$lib/stages/mounting/BodyTable.svelte';
  import LiftCard from '$lib/stages/mounting/LiftCard.svelte';
  import Receiving from '$lib/stages/mounting/Receiving.svelte';
  import SetOut from '$lib/stages/mounting/SetOut.svelte';
  import SunOnUnit from '$lib/stages/mounting/SunOnUnit.svelte';
  import Tightening from '$lib/stages/mounting/Tightening.svelte';
  import WallPanel from '$lib/stages/mounting/WallPanel.svelte';
  import WallSearch from '$lib/stages/mounting/WallSearch.svelte';
  import WallTable from '$lib/stages/mounting/WallTable.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';

  let { data } = $props();
  const site = useSite();
  useLogOf(() => data);
  const results = $derived(mountingResults(site.design));
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.element === 'wall'));
  let picked = $derived(page.url.searchParams.get('at') ?? '');
  const unit = $derived(results.hung.find((h) => h.unit.id === picked));
  let wallId = $derived(unit?.wall.id ?? '');
  const walls = $derived(site.design.walls);
  const wall = $derived(walls.find((w) => w.id === wallId) ?? walls[0]);
  const onWall = $derived(results.hung.filter((h) => h.wall.id === wall?.id));
  const here = $derived(unit ? checks.filter((c) => c.subject.id === unit.unit.id) : checks);
</script>

<Stage {checks}>
  {#snippet caution()}Detector before the drill; old walls: asbestos first, dust extraction always. Walls, roofs and
    frames stay the structural engineer’s word. Over 2 m edge protection. Nothing is energised before safety screws,
    earths and torque are on record.{/snippet}
  {#snippet main()}
    {#if wall}
      <section class="sheet p-3" aria-label="Wall">
        {#if walls.length > 1}
          <nav class="mb-1 flex flex-wrap gap-2" aria-label="Walls">
            {#each walls as w (w.id)}<button
                type="button"
                class="border border-rule px-2 py-0.5 {w === wall ? 'bg-primary-50 font-semibold' : 'bg-white'}"
                aria-pressed={w === wall}
                onclick={() => ((wallId = w.id), (picked = ''))}>{w.label}</button
              >{/each}
          </nav>
        {/if}
        <WallPanel {wall} {results} {checks} picked={picked || null} onpick={(id) => (picked = id)} />
      </section>
      <WallSearch {wall} {results} />
      {#if unit && unit.wall === wall}<LiftCard {unit} {checks} /><SunOnUnit {unit} />{/if}
      <SetOut {wall} hung={onWall} />
      {#if unit && unit.wall === wall}
        <LogStatus />
        <Receiving {unit} />
        <AsDrilled {unit} />
        {#key unit.unit.id}<Tightening {unit} {onWall} />{/key}
      {/if}
    {/if}
    <WallTable {results} onpick={(id) => (wallId = id)} />
    <BodyTable />
  {/snippet}
  {#snippet side()}<MarginLedger
      checks={here}
      title={unit ? `Margins: ${unit.unit.tag}` : 'Margins: walls'}
    />{/snippet}
</Stage>
