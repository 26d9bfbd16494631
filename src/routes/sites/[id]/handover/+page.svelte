<script lang="ts">
  import { useLogOf } from '$lib/client/useLog.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import OpenPoints from '$lib/stages/handover/OpenPoints.svelte';
  import PackSummary from '$lib/stages/handover/PackSummary.svelte';
  import RecordChain from '$lib/stages/handover/RecordChain.svelte';
  import Uncounted from '$lib/stages/handover/Uncounted.svelte';
  import Waivers from '$lib/stages/handover/Waivers.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const log = useLogOf(() => data);
  const design = $derived(log.current?.design ?? site.design);
</script>

<Stage>
  {#snippet main()}
    <PackSummary summary={data.summary} />
    <OpenPoints points={data.openPoints} released={data.summary.release !== null} />
    <Waivers waivers={data.waivers} {design} />
    <RecordChain chain={data.chain} />
    <Uncounted uncounted={data.uncounted} {design} />
  {/snippet}
  {#snippet side()}<MarginLedger checks={site.assessment.checks} title="Margins: whole site" />{/snippet}
</Stage>
