<script lang="ts">
  import { chainResult } from '$core/links/results';
  import { useSite } from '$lib/client/siteState.svelte';
  import ChainSection from '$lib/stages/links/ChainSection.svelte';
  import { chosenBus } from '$lib/stages/links/chosenBus';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import ShortestOrder from '$lib/stages/links/ShortestOrder.svelte';
  import LandingNotes from '$lib/stages/links/LandingNotes.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const results = $derived(chainResult(site.design, chosenBus(site.design.chain)));
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.element === 'chain'));
</script>

<Stage {checks}>
  {#snippet caution()}Open bays only with AC and DC isolated. Data cable in a power bay needs insulation for the highest
    voltage there, or a sleeve. Measure D0 to local earth before landing the reference: above 4.95 V stop and find the
    earth fault.{/snippet}
  {#snippet main()}
    <LinksNav />
    <ChainSection {checks} {results} />
    <ShortestOrder />
    <LandingNotes />
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: chain" />{/snippet}
</Stage>
