<script lang="ts">
  import { onDestroy } from 'svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import MixPanel from '$lib/stages/strings/MixPanel.svelte';
  import StringsNav from '$lib/stages/strings/StringsNav.svelte';
  import TrackerCurve from '$lib/stages/strings/TrackerCurve.svelte';
  import { CurveState } from '$lib/stages/strings/curveState.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const curve = new CurveState(site);
  onDestroy(() => curve.overYear.stop());
</script>

<Stage>
  {#snippet main()}
    <StringsNav siteId={site.siteId} />
    {#if !curve.type || site.design.planes.length === 0}
      <p class="sheet p-6 text-dim">
        The curve of a tracker stands here, with what mixing strings on it costs. It needs planes, an inverter and
        strings: start on the <a class="underline" href="/sites/{site.siteId}/survey">survey</a>.
      </p>
    {:else}
      <TrackerCurve state={curve} />
      <MixPanel state={curve} overYear={() => curve.mixOverYear(data.year, data.weather)} />
    {/if}
  {/snippet}
  {#snippet side()}<MarginLedger checks={curve.checks} title="Margins: tracker {curve.tracker}" />{/snippet}
</Stage>
