<script lang="ts">
  import { chainResult } from '$core/links/results';
  import { useSite } from '$lib/client/siteState.svelte';
  import BusSplit from '$lib/stages/links/BusSplit.svelte';
  import { chosenBus } from '$lib/stages/links/chosenBus';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import RoundPanel from '$lib/stages/links/RoundPanel.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const results = $derived(chainResult(site.design, chosenBus(site.design.chain)));
  const checks = $derived(site.assessment.checks.filter((c) => /^links\.(poll-cycle|unit-loads|length)$/.test(c.id)));
</script>

<Stage {checks}>
  {#snippet caution()}A change of bit rate or address is written to every unit with AC and DC as its manual asks: bays
    stay shut, and nobody works on a bus that controls units which feed.{/snippet}
  {#snippet main()}
    <LinksNav />
    <RoundPanel {results} />
    <BusSplit />
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: round" />{/snippet}
</Stage>
