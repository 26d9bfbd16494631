<script lang="ts">
  import type { InverterType } from '$core/equipment/inverterType';
  import type { SiteInverter } from '$core/site/parts';
  import { useSite } from '$lib/client/siteState.svelte';
  import { halfPlace, inverterForm, inverterFromForm, inverterToForm } from '$lib/schemas/forms';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import PartTable from '$lib/ui/PartTable.svelte';
  import { freshId, namedChoices, placeWords, sheetsAtHand } from './sheets';

  let { shelf }: { shelf: readonly InverterType[] } = $props();
  const site = useSite();
  const design = $derived(site.design);
  const types = $derived(sheetsAtHand(design.equipment.inverters, shelf));

  async function save(id: string, value: unknown, done: () => void) {
    const inverter = inverterFromForm(id, inverterForm.parse(value));
    const type = types.find((t) => t.id === inverter.typeId);
    const isForeign = type && !design.equipment.inverters.some((t) => t.id === type.id);
    const problem =
      (isForeign ? await site.apply({ kind: 'inverter-type', type }) : null) ??
      (await site.apply({ kind: 'inverter', inverter }));
    if (!problem) done();
    return problem;
  }
  const blank = (): SiteInverter => ({
    id: freshId('inv'),
    tag: `INV-${String(design.inverters.length + 1).padStart(2, '0')}`,
    typeId: design.inverters.at(-1)?.typeId ?? types[0]?.id ?? '',
    position: null,
  });
</script>

<PartTable
  title="Inverters"
  add="Add an inverter"
  empty="Inverters stand here with where they hang. None yet. A type comes from the Shelf; the site keeps its own copy of the data sheet."
  parts={design.inverters}
  {blank}
  columns={[{ name: 'Tag' }, { name: 'Type' }, { name: 'Hangs at x/y/z, m', figures: true }]}
  onremove={(u) => site.apply({ kind: 'remove-inverter', inverterId: u.id })}
>
  {#snippet row(unit)}
    <th scope="row">{unit.tag}</th>
    <td>{types.find((t) => t.id === unit.typeId)?.name ?? unit.typeId}</td>
    <td class="fig">{placeWords(unit.position)}</td>
  {/snippet}
  {#snippet form(unit, done)}
    <EditForm
      schema={inverterForm}
      value={inverterToForm(unit)}
      prefix="inverter-{unit.id}"
      label="Save the inverter"
      refine={halfPlace}
      groups={[{ title: '', paths: ['tag', 'typeId', 'xM', 'yM', 'zM'] }]}
      choices={{ typeId: namedChoices(types) }}
      save={(value) => save(unit.id, value, done)}
    />
  {/snippet}
</PartTable>
