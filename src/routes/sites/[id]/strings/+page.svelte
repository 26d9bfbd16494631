<script lang="ts">
  import { windowOnSite } from '$core/strings/window';
  import { lineOf } from '$core/site/line';
  import { useSite } from '$lib/client/siteState.svelte';
  import CableForm from '$lib/stages/strings/CableForm.svelte';
  import LayoutPanel from '$lib/stages/strings/LayoutPanel.svelte';
  import PegSection from '$lib/stages/strings/PegSection.svelte';
  import StringTable from '$lib/stages/strings/StringTable.svelte';
  import StringsNav from '$lib/stages/strings/StringsNav.svelte';
  import WindowStrip from '$lib/stages/strings/WindowStrip.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const design = $derived(site.design);
  const checks = $derived(site.assessment.checks.filter((c) => c.id.startsWith('strings.')));
  let planeId = $state('');
  let typeId = $state('');
  let chosen = $state<number | null>(null);
  const plane = $derived(design.planes.find((p) => p.id === planeId) ?? design.planes[0]);
  const inverter = $derived(design.equipment.inverters.find((t) => t.id === typeId) ?? design.equipment.inverters[0]);
  /** As the strings of this plane are, or as the window would have them. */
  const usual = $derived.by(() => {
    const hung = design.strings.find((s) => s.planeId === plane?.id)?.modules;
    const line = lineOf(design);
    const module = plane && line.plane(plane.id)?.module;
    if (hung !== undefined || !plane || !module || !inverter) return hung ?? 1;
    const { value } = windowOnSite(design.survey, plane, module, inverter, line.ratedW || null);
    return value?.preferred?.max ?? value?.maxModules ?? 1;
  });
  const modules = $derived(chosen ?? usual);
</script>

<Stage {checks}>
  {#snippet caution()}Above the limit on the first cold bright morning the inverter is destroyed and no warranty pays. A
    string in light is live: it has no off switch.{/snippet}
  {#snippet main()}
    <StringsNav siteId={site.siteId} />
    <WindowStrip
      {plane}
      {inverter}
      {modules}
      onplane={(id) => {
        planeId = id;
        chosen = null;
      }}
      oninverter={(id) => (typeId = id)}
      onmodules={(count) => (chosen = count)}
    />
    <PegSection {checks} {plane} {modules} />
    <CableForm />
    <StringTable />
  {/snippet}
  {#snippet side()}<LayoutPanel shelf={data.shelf.inverters} /><MarginLedger
      {checks}
      title="Margins: strings"
    />{/snippet}
</Stage>
