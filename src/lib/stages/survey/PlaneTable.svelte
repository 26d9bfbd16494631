<script lang="ts">
  import { MODULE_MOUNTING } from '$core/equipment/moduleMounting';
  import type { ModuleType } from '$core/equipment/moduleType';
  import type { Plane } from '$core/site/parts';
  import { useSite } from '$lib/client/siteState.svelte';
  import { halfPlace, planeForm, planeFromForm, planeToForm } from '$lib/schemas/forms';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import PartTable from '$lib/ui/PartTable.svelte';
  import { planeLetter } from '$lib/ui/planeGlyph';
  import { freshId, namedChoices, placeWords, sheetsAtHand } from './sheets';

  let { shelf }: { shelf: readonly ModuleType[] } = $props();
  const site = useSite();
  const design = $derived(site.design);
  const modules = $derived(sheetsAtHand(design.equipment.modules, shelf));

  async function save(id: string, value: unknown, done: () => void) {
    const plane = planeFromForm(id, planeForm.parse(value));
    const type = modules.find((m) => m.id === plane.moduleTypeId);
    const isForeign = type && !design.equipment.modules.some((m) => m.id === type.id);
    const problem =
      (isForeign ? await site.apply({ kind: 'module-type', type }) : null) ??
      (await site.apply({ kind: 'plane', plane }));
    if (!problem) done();
    return problem;
  }
  const blank = (): Plane => ({
    id: freshId('plane'),
    label: '',
    tiltDeg: 10,
    azimuthDeg: 180,
    moduleTypeId: modules[0]?.id ?? '',
    moduleCount: 0,
    mounting: 'pitched_gap',
    rearShare: null,
    position: null,
    edgeM: 0,
    edgeDeg: 0,
    engineeredUocColdV: null,
  });
  const PATHS = [
    'label',
    'moduleTypeId',
    'moduleCount',
    'mounting',
    'rearShare',
    'tiltDeg',
    'azimuthDeg',
    'xM',
    'yM',
    'zM',
    'edgeM',
    'edgeDeg',
    'engineeredUocColdV',
  ];
  /** The usual shares of light from behind, as a help beside the field. */
  const usualShares = Object.values(MODULE_MOUNTING)
    .filter((m) => m.rearRatio > 0)
    .map((m) => `${m.words} ${m.rearRatio}`)
    .join('; ');
</script>

<PartTable
  title="Planes"
  add="Add a plane"
  empty="Roof faces stand here, each with one module type, one tilt and one azimuth. None yet."
  parts={design.planes}
  {blank}
  columns={[
    { name: 'Plane' },
    { name: 'Tilt', figures: true },
    { name: 'Azimuth', figures: true },
    { name: 'Modules', figures: true },
    { name: 'Type' },
    { name: 'Home run starts at x/y/z, m', figures: true },
  ]}
  onremove={(p) => site.apply({ kind: 'remove-plane', planeId: p.id })}
>
  {#snippet row(p, i)}
    <th scope="row"
      ><span class="mr-2 border border-ink px-1 font-bold">{planeLetter(i)}</span>{p.label || 'new plane'}</th
    >
    <td class="fig">{p.tiltDeg}°</td>
    <td class="fig">{p.azimuthDeg}°</td>
    <td class="fig">{p.moduleCount}</td>
    <td>{modules.find((m) => m.id === p.moduleTypeId)?.name ?? p.moduleTypeId}</td>
    <td class="fig">{placeWords(p.position)}</td>
  {/snippet}
  {#snippet form(p, done)}
    <EditForm
      schema={planeForm}
      value={planeToForm(p)}
      prefix="plane-{p.id}"
      label="Save the plane"
      refine={halfPlace}
      groups={[{ title: '', paths: PATHS }]}
      choices={{ moduleTypeId: namedChoices(modules) }}
      save={(value) => save(p.id, value, done)}
    />
    <p class="mt-1 max-w-prose text-sm text-dim">
      Light on the rear counts for modules that see behind. Usual (common practice): {usualShares}; else 0.
    </p>
  {/snippet}
</PartTable>
