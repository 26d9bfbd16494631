<script lang="ts">
  import { useLogOf } from '$lib/client/useLog.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import GateList from '$lib/stages/energise/GateList.svelte';
  import OpenNow from '$lib/stages/energise/OpenNow.svelte';
  import UnitPicker from '$lib/stages/energise/UnitPicker.svelte';
  import UnitWork from '$lib/stages/energise/UnitWork.svelte';
  import { UnitPick } from '$lib/stages/energise/unitPick.svelte';
  import NotReleased from '$lib/ui/NotReleased.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';

  let { data } = $props();
  const site = useSite();
  const log = useLogOf(() => data);
  const pick = new UnitPick(log);
</script>

{#if !pick.design || !pick.unit}
  <NotReleased />
{:else}
  {@const { design, unit } = pick}
  <Stage>
    {#snippet main()}
      <LogStatus />
      <UnitPicker {pick} />
      <div class="grid gap-4 md:grid-cols-2">
        <GateList {pick} siteId={site.siteId} />
        <UnitWork {pick} {design} {unit} />
      </div>
    {/snippet}
    {#snippet side()}<OpenNow {pick} {design} siteId={site.siteId} /><MarginLedger
        checks={log.evidence.checks.filter((c) => c.subject.id === unit.id || c.subject.id === 'site')}
        title="Margins: readings of {unit.tag}"
      />{/snippet}
  </Stage>
{/if}
