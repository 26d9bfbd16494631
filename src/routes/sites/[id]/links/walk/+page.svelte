<script lang="ts">
  import { useLogOf } from '$lib/client/useLog.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import FleetBus from '$lib/stages/links/FleetBus.svelte';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import WalkPanel from '$lib/stages/links/WalkPanel.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  useLogOf(() => data);
  const site = useSite();
  const checks = $derived(site.assessment.checks.filter((c) => c.id === 'links.address'));
</script>

<Stage {checks}>
  {#snippet caution()}Open bays only with AC and DC isolated. What is written here are simulated units: none of it
    proves anything of a real site.{/snippet}
  {#snippet main()}
    <LinksNav />
    <LogStatus />
    <FleetBus>
      {#snippet work()}<WalkPanel />{/snippet}
    </FleetBus>
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: addresses" />{/snippet}
</Stage>
