<script lang="ts">
  import type { Wall } from '$core/mounting/part';
  import { newWall } from '$core/mounting/part';
  import { standSchema } from '$core/mounting/fixing/frameStand';
  import type { MountingResult } from '$core/mounting/results';
  import { useSite } from '$lib/client/siteState.svelte';
  import { halfPlace, wallForm, wallFromForm, wallToForm } from '$lib/schemas/forms';
  import PartTable from '$lib/ui/PartTable.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  const LIFT_PATHS = {
    way: ['by', 'people', 'stairsDeg', 'onWheels', 'trolleyKg', 'wheels', 'wheelMm2', 'floorKpa'].map(
      (k) => `lift.${k}`,
    ),
    hook: ['slung', 'hookMm', 'legs', 'leanDeg', 'rope', 'breakingKn', 'riggingKg', 'ratedKg', 'pulley', 'beamKn'].map(
      (k) => `lift.${k}`,
    ),
  };
  const STAND_PATHS = Object.keys(standSchema.shape).map((k) => `stand.${k}`);

  let { results, onpick }: { results: MountingResult; onpick: (wallId: string) => void } = $props();
  const site = useSite();
  const groupsOf = (wall: Wall) => [
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
        'frontWidthMm',
        'headroomMm',
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
    {
      title: 'Anchors',
      paths: [
        'pullTested',
        'tensionCapacityN',
        'shearCapacityN',
        'anchorHoleMm',
        'anchorDepthMm',
        'embedmentMm',
        'edgeLeastMm',
        'spacingLeastMm',
      ],
    },
    { title: 'Lower left corner on the site', paths: ['xM', 'yM', 'zM'] },
    { title: 'How units get here and up', paths: LIFT_PATHS.way },
    { title: 'On the hook', paths: LIFT_PATHS.hook },
    ...(wall.kind === 'frame' ? [{ title: 'Frame on its roof', paths: STAND_PATHS }] : []),
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
      groups={groupsOf(wall)}
      save={(value) => save(wall.id, value, done)}
    />
  {/snippet}
</PartTable>
