<script lang="ts">
  import { useSite } from '$lib/client/siteState.svelte';
  import CtPanel from '$lib/stages/links/CtPanel.svelte';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const meters = $derived(new Set(site.design.chain.devices.filter((d) => d.kind === 'meter').map((d) => d.id)));
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.id !== undefined && meters.has(c.subject.id)));
</script>

<Stage {checks}>
  {#snippet caution()}Never open a live CT secondary: short it first. Work on the meter is for licensed electrical
    workers, with the conductors that its transformers enclose dead.{/snippet}
  {#snippet main()}
    <LinksNav />
    <CtPanel />
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: meter" />{/snippet}
</Stage>
