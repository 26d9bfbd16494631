<script lang="ts">
  import { LINKS_RULES } from '$core/links/rules';
  import { useLogOf } from '$lib/client/useLog.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import OtherWays from '$lib/stages/links/OtherWays.svelte';
  import WayTests from '$lib/stages/links/WayTests.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  useLogOf(() => data);
  const site = useSite();
  const { ethernet, radio, carrier, service } = LINKS_RULES;
  const ids = new Set([ethernet, radio, carrier, service].flat().map((r) => r.id));
  const checks = $derived(site.assessment.checks.filter((c) => ids.has(c.id)));
</script>

<Stage {checks}>
  {#snippet caution()}A way that is fine on paper is proved by asking every unit over it: at full power and at night,
    with every unit on. Service ports and gateways change settings: who holds their passwords stands on the set-up
    sheet.{/snippet}
  {#snippet main()}
    <LinksNav />
    <LogStatus />
    <OtherWays />
    <WayTests />
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: beside the bus" />{/snippet}
</Stage>
