<script lang="ts">
  import { Button, Checkbox } from 'flowbite-svelte';
  import type { Position } from '$core/site/position';
  import { CABLE_KINDS, CABLE_WORDS, SPOT_KINDS } from '$core/site/plan';
  import type { CableKind, Spot } from '$core/site/plan';
  import { useSite } from '$lib/client/siteState.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import type { Drawing, PlanState } from './planState.svelte';
  import { keyOf } from './planState.svelte';
  import { freshId } from '../survey/sheets';

  let { plan }: { plan: PlanState } = $props();
  const site = useSite();
  const sheet = $derived(site.design.plan);
  let what = $state<Drawing['what'] | ''>('');
  let heightM = $state<number | null>(null);
  let carries = $state<CableKind[]>(['dc', 'ac']);
  let spotKind = $state<Spot['kind']>('transformer');
  let put = $state('');
  const DRAWN = [
    ['tray', 'Draw a tray'],
    ['room', 'Draw a room'],
    ['spot', 'Set a place'],
  ] as const;
  const HEIGHT_OF = { tray: 'Height of the tray', room: 'Floor', spot: 'Height' } as const;
  const HOW = {
    tray: 'Click its corners one after the other; Enter ends it.',
    room: 'Click two opposite corners.',
    spot: 'Click where it stands.',
  } as const;
  const nowhere = $derived(plan.nowhere.find((t) => keyOf(t) === put));
  const wanting = $derived(
    heightM === null || !Number.isFinite(heightM)
      ? 'Give the height first.'
      : what === 'tray' && carries.length === 0
        ? 'Say what lies on it first.'
        : '',
  );

  const trays = (points: readonly Position[]) => {
    if (points.length < 2) return;
    const label = `Tray ${sheet.trays.length + 1}`;
    const tray = {
      id: freshId('tray'),
      label,
      carries: [...carries],
      widthMm: null,
      depthMm: null,
      dcLeadMm: null,
      busCableMm: null,
      points: [...points],
    };
    plan.picked = keyOf({ kind: 'tray', id: tray.id });
    void site.apply({ kind: 'tray', tray });
  };
  const rooms = ([a, b]: readonly Position[]) => {
    if (!a || !b) return;
    const size = { widthM: Math.abs(a.xM - b.xM), depthM: Math.abs(a.yM - b.yM) };
    const corner = { xM: Math.min(a.xM, b.xM), yM: Math.min(a.yM, b.yM), zM: a.zM };
    const label = `Room ${sheet.rooms.length + 1}`;
    const room = { id: freshId('room'), label, ...corner, ...size, heightM: null, airM3h: null, inletC: null };
    plan.picked = keyOf({ kind: 'room', id: room.id });
    void site.apply({ kind: 'room', room });
  };
  const spots = ([position]: readonly Position[]) => {
    if (!position) return;
    const n = sheet.spots.filter((s) => s.kind === spotKind).length;
    const label = `${spotKind.charAt(0).toUpperCase()}${spotKind.slice(1)}${n ? ` ${n + 1}` : ''}`;
    const spot = { id: freshId('spot'), label, kind: spotKind, position };
    plan.picked = keyOf({ kind: 'spot', id: spot.id });
    void site.apply({ kind: 'spot', spot });
  };
  function begin() {
    if (what === '' || heightM === null || wanting) return;
    const done = { tray: trays, room: rooms, spot: spots }[what];
    plan.drawing = { what, zM: heightM, points: [], done };
  }
  function putThere() {
    const thing = nowhere;
    if (!thing || heightM === null) return;
    const to = { zM: heightM };
    plan.drawing = { what: 'spot', zM: to.zM, points: [], done: ([p]) => p && plan.put(thing, p) };
  }
  const level = $derived(sheet.levels.find((l) => l.id === plan.levelId));
  $effect(() => {
    if (level) heightM = level.zM;
  });
</script>

<div class="no-print flex flex-wrap items-end gap-x-3 gap-y-1 text-sm">
  {#if plan.drawing}
    <p class="flex-1 border-l-4 border-primary-600 bg-paper px-2 py-1" role="status">
      {HOW[plan.drawing.what]}
      {#if plan.drawing.points.length}{plan.drawing.points.length} so far.{/if}
      {#if plan.drawing.what === 'tray'}<button
          type="button"
          class="ml-2 underline"
          disabled={plan.drawing.points.length < 2}
          onclick={() => plan.endDrawing()}>End it here</button
        >{/if}
      <button type="button" class="ml-2 underline" onclick={() => (plan.drawing = null)}>Leave it</button>
    </p>
  {:else}
    <div class="flex gap-1" role="group" aria-label="Draw">
      {#each DRAWN as [kind, words] (kind)}<button
          type="button"
          class="h-8 border border-ink px-2 {what === kind ? 'bg-primary-50 font-semibold' : 'bg-paper'}"
          aria-pressed={what === kind}
          onclick={() => ((what = what === kind ? '' : kind), (put = ''))}>{words}</button
        >{/each}
    </div>
    {#if what === 'tray'}
      <fieldset class="flex items-center gap-2 pb-1">
        <legend class="sr-only">What lies on it</legend>
        <Checkbox
          name="carries"
          classes={{ div: 'font-normal text-ink' }}
          choices={CABLE_KINDS.map((kind) => ({ value: kind, label: CABLE_WORDS[kind] }))}
          bind:group={carries}
        />
      </fieldset>
    {:else if what === 'spot'}
      <Choice label="What stands there" choices={SPOT_KINDS} bind:value={spotKind} />
    {/if}
    {#if plan.nowhere.length}
      <Choice
        label="Not on the plan yet"
        choices={[
          { value: '', name: `${plan.nowhere.length} of ${plan.things.length}` },
          ...plan.nowhere.map((thing) => ({ value: keyOf(thing), name: thing.label })),
        ]}
        bind:value={put}
      />
    {/if}
    {#if what !== '' || nowhere}
      <Amount label={what === '' ? 'Its height' : HEIGHT_OF[what]} unit="m" width="w-28" bind:value={heightM} />
      {#if nowhere}<Button size="xs" disabled={heightM === null} onclick={putThere}>Put {nowhere.label}</Button
        >{:else}<Button size="xs" disabled={wanting !== ''} onclick={begin}>Draw it</Button>{/if}
      {#if wanting && !nowhere}<span class="pb-1 text-dim">{wanting}</span>{/if}
    {/if}
    {#if sheet.levels.length}
      <div class="ml-auto">
        <Choice
          label="Level shown"
          choices={[
            { value: '', name: 'all levels' },
            ...sheet.levels.map((l) => ({ value: l.id, name: `${l.label}, ${l.zM} m` })),
          ]}
          bind:value={plan.levelId}
        />
      </div>
    {/if}
  {/if}
</div>
