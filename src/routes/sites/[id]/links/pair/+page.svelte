<script lang="ts">
  import { busResult } from '$core/links/results';
  import { LINKS_RULES } from '$core/links/rules';
  import { useSite } from '$lib/client/siteState.svelte';
  import { chosenBus } from '$lib/stages/links/chosenBus';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import MeterSheet from '$lib/stages/links/MeterSheet.svelte';
  import PairPanel from '$lib/stages/links/PairPanel.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const bus = $derived(busResult(site.design, chosenBus(site.design.chain)));
  const ids = new Set(LINKS_RULES.line.map((r) => r.id));
  const checks = $derived(site.assessment.checks.filter((c) => ids.has(c.id)));
</script>

<Stage {checks}>
  {#snippet caution()}Ohms only with everything off: a pair that is powered falsifies the reading. Measure D0 to local
    earth, AC and DC, before landing the reference: above 4.95 V stop and find the earth fault.{/snippet}
  {#snippet main()}
    <LinksNav />
    <PairPanel />
    {#each bus.segments as results (results.segment)}<MeterSheet {results} />{/each}
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: pair" />{/snippet}
</Stage>
