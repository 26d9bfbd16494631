<script lang="ts">
  import { cableTotals } from '$core/ac/schedule/cableList';
  import { acOf } from '$lib/stages/ac/acOf';
  import { useSite } from '$lib/client/siteState.svelte';
  import AcNav from '$lib/stages/ac/AcNav.svelte';
  import DrumPanel from '$lib/stages/ac/order/DrumPanel.svelte';
  import PullTable from '$lib/stages/ac/order/PullTable.svelte';
  import TotalsTable from '$lib/stages/ac/order/TotalsTable.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const { runs } = $derived(acOf(site));
  const totals = $derived(cableTotals(runs));
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.element === 'run'));
</script>

<Stage {checks}>
  {#snippet caution()}A drum of cable weighs hundreds of kilograms: brakes on, spindle rated, nobody in line with the
    pull.{/snippet}
  {#snippet main()}
    <AcNav siteId={site.siteId} />
    <TotalsTable {totals} />
    {#each totals.kinds as kind (kind.name)}<DrumPanel {kind} remainders={data.remainders} />{/each}
    <PullTable results={runs} />
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: AC runs" />{/snippet}
</Stage>
