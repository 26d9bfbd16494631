<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { acOf } from '$lib/stages/ac/acOf';
  import { schoolOf } from '$core/conductor/schools';
  import { useSite } from '$lib/client/siteState.svelte';
  import AcNav from '$lib/stages/ac/AcNav.svelte';
  import MendTable from '$lib/stages/ac/voltage/MendTable.svelte';
  import TripYearPanel from '$lib/stages/ac/voltage/TripYearPanel.svelte';
  import TwoReadings from '$lib/stages/ac/voltage/TwoReadings.svelte';
  import VoltagePanel from '$lib/stages/ac/voltage/VoltagePanel.svelte';
  import { TripState } from '$lib/stages/ac/voltage/tripState.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const results = $derived(acOf(site));
  const path = $derived(results.board.path);
  const checks = $derived(site.assessment.checks.filter((c) => /^ac\.(all-feeding|terminal-voltage)$/.test(c.id)));
  const trips = untrack(() => new TripState(site, data));
  onDestroy(() => trips.task.stop());
</script>

<Stage {checks}>
  {#snippet caution()}Trip settings are changed only with the operator’s written consent. Licensed electrical workers
    only; local code rules.{/snippet}
  {#snippet main()}
    <AcNav siteId={site.siteId} />
    {#if path.value}
      <VoltagePanel path={path.value} />
      <MendTable
        at={{
          path: path.value,
          survey: site.design.survey,
          board: site.design.board,
          school: schoolOf(site.design.survey.school),
          runs: results.runs,
        }}
      />
      <TripYearPanel {trips} />
    {:else}
      <p class="sheet p-6 text-dim">
        The voltage from the grid at rest to every unit stands here, over power and over a year. Missing: {path.missing.join(
          ', ',
        )}.
      </p>
    {/if}
    {#if results.runs.length}<TwoReadings runs={results.runs} {path} />{/if}
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: voltage" />{/snippet}
</Stage>
