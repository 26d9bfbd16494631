<script lang="ts">
  import { trayLoads } from '$core/design/lengths';
  import { trayFills } from '$core/design/trayFill';
  import { fixed } from '$core/kernel/quantity';
  import type { Tray } from '$core/site/plan';
  import { CABLE_WORDS, trayLengthM } from '$core/site/plan';
  import { useSite } from '$lib/client/siteState.svelte';
  import { emptyTray, trayForm, trayFromForm, trayToForm } from '$lib/schemas/planForms';
  import PartTable from '$lib/ui/PartTable.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import { freshId } from '../survey/sheets';
  import type { PlanState } from './planState.svelte';

  let { plan }: { plan: PlanState } = $props();
  const site = useSite();
  const loads = $derived(trayLoads(site.design, plan.lengths));
  const blank = (): Tray => ({
    id: freshId('tray'),
    label: `Tray ${site.design.plan.trays.length + 1}`,
    carries: [],
    widthMm: null,
    depthMm: null,
    dcLeadMm: null,
    busCableMm: null,
    points: [],
  });
  const fills = $derived(trayFills(site.design, plan.lengths));
  const fullOf = (id: string) => {
    const fill = fills.get(id);
    return fill && fill.value !== null ? `${fixed(fill.value, 0)} %` : '?';
  };
  const onIt = (id: string) => {
    const load = loads.get(id);
    const said = load
      ? (['dc', 'ac', 'bus'] as const).filter((k) => load[k] > 0).map((k) => `${load[k]} ${CABLE_WORDS[k]}`)
      : [];
    return said.join(', ') || 'nothing yet';
  };
  async function save(id: string, value: unknown, done: () => void) {
    const problem = await site.apply({ kind: 'tray', tray: trayFromForm(id, trayForm.parse(value)) });
    if (!problem) done();
    return problem;
  }
</script>

<PartTable
  title="Trays"
  add="Add a tray"
  empty="Trays, ducts and ladders stand here. None yet: cables go straight along the axes. Draw one above, or type its corners."
  parts={site.design.plan.trays}
  {blank}
  columns={[
    { name: 'Tray' },
    { name: 'Carries' },
    { name: 'Length', figures: true },
    { name: 'Width × depth', figures: true },
    { name: 'On it' },
    { name: 'Full', figures: true },
  ]}
  onremove={(t) => site.apply({ kind: 'remove-tray', trayId: t.id })}
>
  {#snippet row(tray)}
    <th scope="row">{tray.label}</th>
    <td>{tray.carries.map((k) => CABLE_WORDS[k]).join(', ')}</td>
    <td class="fig">{fixed(trayLengthM(tray), 1)} m</td>
    <td class="fig">{tray.widthMm === null ? '?' : tray.widthMm} × {tray.depthMm === null ? '?' : tray.depthMm} mm</td>
    <td>
      {onIt(tray.id)}
      {#if fills.get(tray.id)?.missing.length}<span class="block text-sm text-dim"
          >fill wants {fills.get(tray.id)?.missing.join(', ')}</span
        >{/if}
    </td>
    <td class="fig">{fullOf(tray.id)}</td>
  {/snippet}
  {#snippet form(tray, done)}
    <EditForm
      schema={trayForm}
      value={trayToForm(tray)}
      prefix="tray-{tray.id}"
      label="Save the tray"
      refine={emptyTray}
      groups={[
        { title: '', paths: ['label', 'dc', 'ac', 'bus', 'widthMm', 'depthMm', 'dcLeadMm', 'busCableMm'] },
        { title: '', paths: ['points'] },
      ]}
      save={(value) => save(tray.id, value, done)}
    />
  {/snippet}
</PartTable>
