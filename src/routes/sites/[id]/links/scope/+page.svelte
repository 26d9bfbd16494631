<script lang="ts">
  import { useSite } from '$lib/client/siteState.svelte';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import WaveScope from '$lib/stages/links/WaveScope.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.element === 'chain'));
</script>

<Stage {checks}>
  {#snippet caution()}Two verdicts stand side by side: rule, wired as the standards ask, and line, what a wave on paper
    does. Hand-over needs both: at a low rate most mistakes pass the line, and surface after a change of rate.{/snippet}
  {#snippet main()}
    <LinksNav />
    <WaveScope />
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: chain" />{/snippet}
</Stage>
