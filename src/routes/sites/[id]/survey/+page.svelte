<script lang="ts">
  import { useSite } from '$lib/client/siteState.svelte';
  import InverterTable from '$lib/stages/survey/InverterTable.svelte';
  import PlaneTable from '$lib/stages/survey/PlaneTable.svelte';
  import SurveyForm from '$lib/stages/survey/SurveyForm.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const checks = $derived(
    site.assessment.checks.filter((c) => c.subject.element === 'module' || c.subject.element === 'grid'),
  );
</script>

<Stage {checks}>
  {#snippet main()}
    <SurveyForm />
    <PlaneTable shelf={data.shelf.modules} />
    <InverterTable shelf={data.shelf.inverters} />
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: modules and grid" />{/snippet}
</Stage>
