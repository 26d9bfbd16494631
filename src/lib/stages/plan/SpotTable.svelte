<script lang="ts">
  import type { Spot } from '$core/site/plan';
  import { useSite } from '$lib/client/siteState.svelte';
  import { blankPosition, spotForm, spotFromForm, spotToForm } from '$lib/schemas/planForms';
  import PartTable from '$lib/ui/PartTable.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import { freshId, placeWords } from '../survey/sheets';

  const site = useSite();
  const blank = (): Spot => ({
    id: freshId('spot'),
    label: '',
    kind: 'transformer',
    position: { xM: 0, yM: 0, zM: 0 },
  });
  async function save(id: string, value: unknown, done: () => void) {
    const problem = await site.apply({ kind: 'spot', spot: spotFromForm(id, spotForm.parse(value)) });
    if (!problem) done();
    return problem;
  }
</script>

<PartTable
  title="Places"
  add="Add a place"
  empty="The transformer, the meter, where lorries unload: what stands at one point is here. None yet."
  parts={site.design.plan.spots}
  {blank}
  columns={[{ name: 'Place' }, { name: 'What' }, { name: 'Stands at x/y/z, m', figures: true }]}
  onremove={(s) => site.apply({ kind: 'remove-spot', spotId: s.id })}
>
  {#snippet row(spot)}
    <th scope="row">{spot.label || 'new place'}</th>
    <td>{spot.kind}</td>
    <td class="fig">{placeWords(spot.position)}</td>
  {/snippet}
  {#snippet form(spot, done)}
    <EditForm
      schema={spotForm}
      value={site.design.plan.spots.includes(spot) ? spotToForm(spot) : { ...spotToForm(spot), ...blankPosition }}
      prefix="spot-{spot.id}"
      label="Save the place"
      groups={[{ title: '', paths: ['label', 'kind', 'xM', 'yM', 'zM'] }]}
      save={(value) => save(spot.id, value, done)}
    />
  {/snippet}
</PartTable>
