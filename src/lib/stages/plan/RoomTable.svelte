<script lang="ts">
  import type { Room } from '$core/site/plan';
  import { useSite } from '$lib/client/siteState.svelte';
  import { blankPosition, roomForm, roomToForm } from '$lib/schemas/planForms';
  import PartTable from '$lib/ui/PartTable.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import { freshId } from '../survey/sheets';

  const site = useSite();
  const blank = (): Room => ({
    id: freshId('room'),
    label: `Room ${site.design.plan.rooms.length + 1}`,
    xM: 0,
    yM: 0,
    zM: 0,
    widthM: 4,
    depthM: 3,
    heightM: null,
    airM3h: null,
    inletC: null,
  });
  async function save(id: string, value: unknown, done: () => void) {
    const problem = await site.apply({ kind: 'room', room: { id, ...roomForm.parse(value) } });
    if (!problem) done();
    return problem;
  }
  const known = (value: number | null, unit: string) => (value === null ? 'not known yet' : `${value} ${unit}`);
</script>

<PartTable
  title="Rooms"
  add="Add a room"
  empty="Rooms with their air stand here: units in a room heat it. None yet."
  parts={site.design.plan.rooms}
  {blank}
  columns={[
    { name: 'Room' },
    { name: 'Width × depth, m', figures: true },
    { name: 'Clear height', figures: true },
    { name: 'Air', figures: true },
    { name: 'Comes in at most at', figures: true },
  ]}
  onremove={(r) => site.apply({ kind: 'remove-room', roomId: r.id })}
>
  {#snippet row(room)}
    <th scope="row">{room.label}</th>
    <td class="fig">{room.widthM} × {room.depthM}</td>
    <td class="fig">{known(room.heightM, 'm')}</td>
    <td class="fig">{known(room.airM3h, 'm³/h')}</td>
    <td class="fig">{known(room.inletC, '°C')}</td>
  {/snippet}
  {#snippet form(room, done)}
    <EditForm
      schema={roomForm}
      value={site.design.plan.rooms.includes(room)
        ? roomToForm(room)
        : { ...roomToForm(room), ...blankPosition, widthM: null, depthM: null }}
      prefix="room-{room.id}"
      label="Save the room"
      groups={[
        {
          title: '',
          paths: ['label', 'xM', 'yM', 'zM', 'widthM', 'depthM', 'heightM', 'airM3h', 'inletC'],
        },
      ]}
      save={(value) => save(room.id, value, done)}
    />
  {/snippet}
</PartTable>
