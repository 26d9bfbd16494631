<script lang="ts">
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import { useSite } from '$lib/client/siteState.svelte';
  import LengthTable from '$lib/stages/plan/LengthTable.svelte';
  import PlanNews from '$lib/stages/plan/PlanNews.svelte';
  import PlanSheet from '$lib/stages/plan/PlanSheet.svelte';
  import PlanTools from '$lib/stages/plan/PlanTools.svelte';
  import RoomTable from '$lib/stages/plan/RoomTable.svelte';
  import SheetForm from '$lib/stages/plan/SheetForm.svelte';
  import SpotTable from '$lib/stages/plan/SpotTable.svelte';
  import ThingForm from '$lib/stages/plan/ThingForm.svelte';
  import TrayTable from '$lib/stages/plan/TrayTable.svelte';
  import { PlanState, keyOf } from '$lib/stages/plan/planState.svelte';
  import { LENGTH_RULES } from '$lib/stages/plan/planView';
  import Stage from '$lib/ui/Stage.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';

  const site = useSite();
  const plan = new PlanState(site);
  const checks = $derived(site.assessment.checks.filter((c) => LENGTH_RULES.includes(c.id)));
  const picked = $derived(plan.pickedThing);
  const here = $derived(picked?.kind === 'unit' ? checks.filter((c) => c.subject.path.includes(picked.label)) : checks);
  $effect(() => {
    const at = page.url.searchParams.get('at');
    untrack(() => {
      const thing = plan.things.find((t) => t.id === at);
      if (thing) plan.picked = keyOf(thing);
    });
  });
</script>

<Stage checks={[]}>
  {#snippet main()}
    <section class="sheet space-y-1 p-3" aria-label="Plan">
      <PlanTools {plan} />
      <PlanNews {plan} />
      <PlanSheet {plan} />
    </section>
    <LengthTable {plan} />
    <TrayTable {plan} />
    <RoomTable />
    <SpotTable />
    <SheetForm />
  {/snippet}
  {#snippet side()}
    {#if picked}<ThingForm thing={picked} />{/if}
    <MarginLedger checks={here} title={picked?.kind === 'unit' ? `Margins: ${picked.label}` : 'Margins: lengths'} />
    {#await import('$lib/stages/plan/BackdropPanel.svelte') then { default: BackdropPanel }}<BackdropPanel />{/await}
  {/snippet}
</Stage>
