<script lang="ts">
  import type { Wall } from '$core/mounting/part';
  import { newWall } from '$core/mounting/part';
  import type { MountingResult } from '$core/mounting/results';
  import { useSite } from '$lib/client/siteState.svelte';
  import { halfPlace, wallForm, wallFromForm, wallToForm } from '$lib/schemas/forms';
  import PartTable from '$lib/ui/PartTable.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  let { results, onpick }: { results: MountingResult; onpick: (wallId: string) => void } = $props();
  const site = useSite();
  const GROUPS = [
    {
      title: 'Wall',
      paths: ['label', 'kind', 'material', 'thicknessMm', 'widthMm', 'heightMm', 'leftOpen', 'rightOpen'],
    },
    {
      title: 'Room for units',
      paths: [
        'floorMinMm',
        'waterMarkMm',
        'topMostMm',
        'frontMm',
        'facing',
        'gaps',
        'stacking',
        'publicReach',
        'flammables',
        'backDeg',
        'neighbourM',
        'soundLimitDb',
      ],
    },
    { title: 'Cables', paths: ['trayMm', 'boardXMm', 'boardYMm'] },
    { title: 'Sun', paths: ['facesDeg', 'awningDepthM', 'awningYMm'] },
    { title: 'Anchors', paths: ['pullTested', 'tensionCapacityN', 'shearCapacityN', 'anchorHoleMm', 'anchorDepthMm'] },
    { title: 'Lower left corner on the site', paths: ['xM', 'yM', 'zM'] },
    { title: '', paths: ['obstructions'] },
  ];
  const blank = (): Wall =>
    newWall(`wall-${crypto.randomUUID().slice(0, 8)}`, `Wall ${site.design.walls.length + 1}`, 6000, 3000);

  async function save(id: string, value: unknown, done: () => void) {
    const problem = await site.apply({ kind: 'wall', wall: wallFromForm(id, wallForm.parse(value)) });
    if (!problem) {
      done();
      onpick(id);
    }
    return problem;
  }
</script>

<PartTable
  title="Walls and frames"
  add="Add a wall"
  empty="Walls and frames stand here, with what is in the way on them. None yet: a width and a height are enough to begin."
  parts={site.design.walls}
  {blank}
  columns={[
    { name: 'Wall' },
    { name: 'Width × height, mm', figures: true },
    { name: 'Made of' },
    { name: 'In the way', figures: true },
    { name: 'Units', figures: true },
  ]}
  onremove={(w) => site.apply({ kind: 'remove-wall', wallId: w.id })}
>
  {#snippet row(wall)}
    <th scope="row">{wall.label}</th>
    <td class="fig">{wall.widthMm} × {wall.heightMm}</td>
    <td>{wall.material ?? 'not known yet'}</td>
    <td class="fig">{wall.obstructions.length}</td>
    <td class="fig">{results.hung.filter((h) => h.wall.id === wall.id).length}</td>
  {/snippet}
  {#snippet form(wall, done)}
    <EditForm
      schema={wallForm}
      value={wallToForm(wall)}
      prefix="wall-{wall.id}"
      label="Save the wall"
      refine={halfPlace}
      groups={GROUPS}
      save={(value) => save(wall.id, value, done)}
    />
  {/snippet}
</PartTable>
