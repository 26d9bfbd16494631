<script lang="ts">
  import type { Thing } from '$core/design/planThings';
  import { fixed } from '$core/kernel/quantity';
  import { bodyOf, middleOf, pathOf, pointsOnScreen, stepOf } from './glyphs';
  import type { Label } from './labels';
  import { ARROW_PX, deepPx } from './labels';
  import type { Held } from './planState.svelte';
  import type { PlanView } from './planView';
  import { toScreen } from './planView';

  let {
    thing,
    view,
    held,
    picked,
    faint,
    tags,
    label,
    ontake,
    ondrag,
    ondrop,
    onlost,
    onkey,
  }: {
    thing: Thing;
    view: PlanView;
    held: Held | null;
    picked: boolean;
    /** It stands on another level than the one shown. */
    faint: boolean;
    /** There is room for the tags of units. */
    tags: boolean;
    /** Where its name stands; absent where there is no room for it, and while it is held. */
    label: Label | undefined;
    ontake: (e: PointerEvent, thing: Thing, corner: number | null) => void;
    ondrag: (e: PointerEvent) => void;
    ondrop: () => void;
    onlost: () => void;
    onkey: (e: KeyboardEvent, thing: Thing, corner: number | null) => void;
  } = $props();

  const by = $derived(
    held && held.corner === null && thing.position
      ? { xM: held.to.xM - thing.position.xM, yM: held.to.yM - thing.position.yM }
      : { xM: 0, yM: 0 },
  );
  const points = $derived(
    pointsOnScreen(view, thing, by).map((p, i) => (held?.corner === i ? toScreen(view, held.to) : p)),
  );
  const middle = $derived(middleOf(points));
  const ink = $derived(picked || held ? 'var(--color-primary-600)' : 'var(--color-ink)');
  const body = $derived(bodyOf(points, thing.facesDeg, deepPx(view)));
  const step = $derived(thing.facesDeg === null ? null : stepOf(thing.facesDeg));
  const at = $derived(held?.to ?? thing.position);
  const words = $derived(
    `${thing.label}, ${thing.kind} at ${at ? `${fixed(at.xM, 2)}, ${fixed(at.yM, 2)}, ${fixed(at.zM, 2)} m` : 'no place'}${
      thing.carriedBy
        ? `, on ${thing.carriedBy}: moved there`
        : '. Arrows move it, Enter lets it go, Escape takes it back.'
    }`,
  );
  /** A tag of a unit runs out from its wall, where there is room for it. */
  const roomForTag = $derived(thing.kind !== 'unit' || picked || tags);
</script>

<g
  role="button"
  tabindex="0"
  data-thing={thing.id}
  data-part={thing.id}
  class={thing.carriedBy ? 'cursor-pointer' : 'cursor-move'}
  opacity={faint ? 0.25 : 1}
  aria-pressed={picked}
  aria-label={words}
  onpointerdown={(e) => ontake(e, thing, null)}
  onpointermove={ondrag}
  onpointerup={ondrop}
  onpointercancel={onlost}
  onkeydown={(e) => onkey(e, thing, null)}
>
  {#if thing.kind === 'room'}
    <path
      d={pathOf(points, true)}
      fill="var(--color-paper)"
      fill-opacity="0.6"
      stroke={ink}
      stroke-width={picked ? 3 : 1.5}
    />
  {:else if thing.kind === 'tray'}
    <path d={pathOf(points)} fill="none" stroke={ink} stroke-width="9" stroke-linejoin="miter" opacity="0.85" />
    <path d={pathOf(points)} fill="none" stroke="var(--color-sheet)" stroke-width="6" />
    <path d={pathOf(points)} fill="none" stroke={ink} stroke-width="6" stroke-dasharray="1.2 7" />
  {:else if thing.kind === 'plane'}
    <path d={pathOf(points)} fill="none" stroke={ink} stroke-width="4" stroke-dasharray="12 3" />
    {#if step}<path
        d="M{middle.x} {middle.y}l{step.x * ARROW_PX} {step.y * ARROW_PX}m{-step.x * 8 - step.y * 5} {-step.y * 8 +
          step.x * 5}L{middle.x + step.x * ARROW_PX} {middle.y + step.y * ARROW_PX}l{-step.x * 8 +
          step.y * 5} {-step.y * 8 - step.x * 5}"
        fill="none"
        stroke={ink}
        stroke-width="2"
      />{/if}
    <circle cx={points[0]?.x} cy={points[0]?.y} r="4" fill={ink} />
  {:else if thing.kind === 'wall'}
    <path d={pathOf(points)} fill="none" stroke="transparent" stroke-width="14" />
    <path d={pathOf(points)} fill="none" stroke={ink} stroke-width="5" />
  {:else if thing.kind === 'unit'}
    <path d={pathOf(body, true)} fill="var(--color-sheet)" stroke={ink} stroke-width={picked ? 3 : 1.8} />
    {#if roomForTag}
      {#if step}
        {@const out = deepPx(view) + 5}
        {@const left = step.x < -0.01}
        <text
          transform="translate({middle.x + step.x * out} {middle.y + step.y * out}) rotate({(thing.facesDeg ?? 0) +
            (left ? 90 : -90)})"
          text-anchor={left ? 'end' : 'start'}
          dominant-baseline="central"
          font-family="var(--font-mono)"
          font-size="11.5">{thing.label}</text
        >{/if}
    {/if}
  {:else}
    {#if thing.kind === 'board'}
      <rect x={middle.x - 9} y={middle.y - 9} width="18" height="18" fill={ink} />
      <path
        d="M{middle.x - 5} {middle.y}h10M{middle.x} {middle.y - 5}v10"
        stroke="var(--color-sheet)"
        stroke-width="2"
      />
    {:else if thing.kind === 'device'}
      <path
        d="M{middle.x} {middle.y - 9}l9 9l-9 9l-9 -9Z"
        fill="var(--color-sheet)"
        stroke={ink}
        stroke-width={picked ? 3.5 : 2.2}
      />
    {:else}
      <circle
        cx={middle.x}
        cy={middle.y}
        r="8"
        fill="var(--color-sheet)"
        stroke={ink}
        stroke-width={picked ? 3.5 : 2.2}
      />
      <circle cx={middle.x} cy={middle.y} r="2.5" fill={ink} />
    {/if}
  {/if}
  {#if label}<text
      x={label.x}
      y={label.y}
      text-anchor={label.anchor}
      fill={thing.kind === 'room' || thing.kind === 'tray' ? 'var(--color-dim)' : ink}
      font-weight={picked ? 700 : 400}
      paint-order="stroke"
      stroke="var(--color-sheet)"
      stroke-width="3">{thing.label}</text
    >{/if}
</g>
{#if thing.kind === 'tray' && picked}
  {#each points as p, i (i)}
    <circle
      role="button"
      tabindex="0"
      data-thing="{thing.id} {i}"
      aria-label="Corner {i + 1} of {thing.label}. Arrows move it, Enter lets it go, Escape takes it back."
      class="cursor-move"
      cx={p.x}
      cy={p.y}
      r="6"
      fill="var(--color-primary-600)"
      onpointerdown={(e) => ontake(e, thing, i)}
      onpointermove={ondrag}
      onpointerup={ondrop}
      onpointercancel={onlost}
      onkeydown={(e) => onkey(e, thing, i)}
    />
  {/each}
{/if}
