<script lang="ts">
  import { select } from 'd3-selection';
  import type { D3ZoomEvent } from 'd3-zoom';
  import { zoom, zoomIdentity } from 'd3-zoom';
  import { onMount } from 'svelte';
  import type { Thing } from '$core/design/planThings';
  import { fixed } from '$core/kernel/quantity';
  import type { Position } from '$core/site/position';
  import { useSite } from '$lib/client/siteState.svelte';
  import PlanThing from './PlanThing.svelte';
  import { pathOf } from './glyphs';
  import { labelsOf } from './labels';
  import type { PlanState } from './planState.svelte';
  import { keyOf } from './planState.svelte';
  import type { PlanView } from './planView';
  import { FINE_M, STEP_M, fitted, keyed, pointsOf, scaleBarM, snapped, toPlan, toScreen } from './planView';

  let { plan }: { plan: PlanState } = $props();
  const site = useSite();
  let svg = $state<SVGSVGElement>();
  let width = $state(0);
  let height = $state(0);
  const view = $derived(plan.view);
  const backdrop = $derived(plan.design.plan.backdrop);
  /** The picture that was asked for and is not there: a site that came as a file has none. */
  let gone = $state('');
  const barM = $derived(scaleBarM(view.k, 140));
  const gridM = $derived(scaleBarM(view.k, 90));
  const lines = $derived.by(() => {
    const [from, to] = [toPlan(view, { x: 0, y: height }), toPlan(view, { x: width, y: 0 })];
    const all = (a: number, b: number) =>
      Array.from(
        { length: Math.max(0, Math.floor(b / gridM) - Math.ceil(a / gridM) + 1) },
        (_, i) => Math.round((Math.ceil(a / gridM) + i) * gridM * 1e6) / 1e6,
      );
    return { xs: all(from.xM, to.xM), ys: all(from.yM, to.yM) };
  });
  const tags = $derived(plan.unitGapM * view.k >= 14);
  const labels = $derived(labelsOf(plan.things, view, keyOf, { picked: plan.picked, tags }));
  let align = $state.raw({ alongX: false, alongY: false });

  const zooming = zoom<SVGSVGElement, unknown>()
    .scaleExtent([0.2, 2000])
    .filter(
      (e: Event) =>
        !(e.target as Element).closest('[data-thing]') &&
        // The wheel alone scrolls the page.
        (e instanceof WheelEvent ? e.ctrlKey || e.metaKey : !(e instanceof MouseEvent) || e.button === 0),
    )
    .on('zoom', ({ transform: { k, x, y } }: D3ZoomEvent<SVGSVGElement, unknown>) => (plan.view = { k, x, y }));
  const lay = ({ k, x, y }: PlanView) => {
    if (svg) select(svg).call(zooming.transform, zoomIdentity.translate(x, y).scale(k));
  };
  const nearer = (by: number) => {
    if (svg) select(svg).call(zooming.scaleBy, by);
  };
  const whole = () => {
    const from = backdrop;
    const ends = from ? [from, { xM: from.xM + from.widthM, yM: from.yM + from.heightM }] : [];
    lay(fitted([...plan.things.flatMap((t) => t.shape), ...ends], width, height));
  };
  onMount(() => {
    if (!svg) return;
    select(svg).call(zooming).on('dblclick.zoom', null);
    whole();
  });

  /** Held by the pointer: the thing, from where, and whether it has moved at all. */
  let grip: { thing: Thing; corner: number | null; dx: number; dy: number; moved: boolean } | null = null;
  const under = (e: MouseEvent) => {
    const box = svg?.getBoundingClientRect();
    return toPlan(view, { x: e.clientX - (box?.left ?? 0), y: e.clientY - (box?.top ?? 0) });
  };
  const heldAt = (thing: Thing, corner: number | null): Position | null =>
    corner === null ? thing.position : (thing.shape[corner] ?? null);

  function take(e: PointerEvent, thing: Thing, corner: number | null) {
    plan.picked = keyOf(thing);
    const at = heldAt(thing, corner);
    if (!at || thing.carriedBy || plan.drawing) return;
    const p = under(e);
    grip = { thing, corner, dx: p.xM - at.xM, dy: p.yM - at.yM, moved: false };
    (e.currentTarget as Element).setPointerCapture(e.pointerId);
  }
  function drag(e: PointerEvent) {
    if (!grip) return;
    const at = heldAt(grip.thing, grip.corner);
    if (!at) return;
    const p = under(e);
    const to = { xM: p.xM - grip.dx, yM: p.yM - grip.dy };
    if (!grip.moved && Math.hypot(to.xM - at.xM, to.yM - at.yM) * view.k < 3) return;
    grip.moved = true;
    const { xM, yM, alongX, alongY } = snapped(view, to, pointsOf(plan.things, grip.thing), e.shiftKey);
    align = { alongX, alongY };
    plan.hold({ thing: grip.thing, corner: grip.corner, to: { ...at, xM, yM } });
  }
  function drop() {
    if (grip?.moved) plan.letGo();
    grip = null;
    align = { alongX: false, alongY: false };
  }
  function lost() {
    grip = null;
    plan.takeBack();
  }
  function key(e: KeyboardEvent, thing: Thing, corner: number | null) {
    const own = plan.held && keyOf(plan.held.thing) === keyOf(thing) && plan.held.corner === corner ? plan.held : null;
    const from = own?.to ?? heldAt(thing, corner);
    const to = from && !thing.carriedBy ? keyed(e.key, e.shiftKey, from) : null;
    if (to) plan.hold({ thing, corner, to });
    else if (e.key === 'Enter' && own) plan.letGo();
    else if (e.key === 'Escape' && own) plan.takeBack();
    else if (e.key === 'Enter' || e.key === ' ') plan.picked = keyOf(thing);
    else return;
    e.preventDefault();
    e.stopPropagation();
  }
  function click(e: MouseEvent) {
    if (!plan.drawing) return;
    const { xM, yM } = snapped(view, under(e), pointsOf(plan.things, null), e.shiftKey);
    plan.point(xM, yM);
  }
  function keyOnPlan(e: KeyboardEvent) {
    if (!plan.drawing) return;
    if (e.key === 'Enter') plan.endDrawing();
    else if (e.key === 'Escape') plan.drawing = null;
    else return;
    e.preventDefault();
    e.stopPropagation();
  }
  const north = $derived(plan.design.plan.northDeg);
  const way = $derived(plan.touched?.way?.points.map((p) => toScreen(view, p)) ?? []);
  const guide = $derived(plan.held && toScreen(view, plan.held.to));
</script>

<svelte:window onkeydown={keyOnPlan} />
<div class="relative" bind:clientWidth={width} bind:clientHeight={height} style:height="clamp(340px, 58vh, 760px)">
  <!-- svelte-ignore a11y_no_noninteractive_element_interactions, a11y_click_events_have_key_events -->
  <svg
    bind:this={svg}
    {width}
    {height}
    class="block touch-none overflow-hidden border border-rule bg-sheet select-none {plan.drawing
      ? 'cursor-crosshair'
      : ''}"
    role="group"
    aria-label="Plan of the site, {plan.things.length - plan.nowhere.length} things on it"
    font-size="12.5"
    font-family="var(--font-sans)"
    onclick={click}
  >
    {#if backdrop}{@const at = toScreen(view, { xM: backdrop.xM, yM: backdrop.yM + backdrop.heightM })}
      <image
        href="/sites/{site.siteId}/backdrops/{backdrop.id}"
        x={at.x}
        y={at.y}
        width={backdrop.widthM * view.k}
        height={backdrop.heightM * view.k}
        preserveAspectRatio="none"
        opacity="0.45"
        onerror={() => (gone = backdrop.id)}><title>{backdrop.name}, to trace over</title></image
      >{/if}
    <g stroke="var(--color-rule)" stroke-width="0.6" opacity="0.7">
      {#each lines.xs as x (x)}{@const at = toScreen(view, { xM: x, yM: 0 }).x}<path d="M{at} 0V{height}" />{/each}
      {#each lines.ys as y (y)}{@const at = toScreen(view, { xM: 0, yM: y }).y}<path d="M0 {at}H{width}" />{/each}
    </g>
    {#each plan.things as thing (keyOf(thing))}
      {#if thing.shape.length}
        <PlanThing
          {thing}
          {view}
          held={plan.held && keyOf(plan.held.thing) === keyOf(thing) ? plan.held : null}
          picked={plan.picked === keyOf(thing)}
          faint={!plan.onLevel(thing)}
          {tags}
          label={plan.held && keyOf(plan.held.thing) === keyOf(thing) ? undefined : labels.get(keyOf(thing))}
          ontake={take}
          ondrag={drag}
          ondrop={drop}
          onlost={lost}
          onkey={key}
        />
      {/if}
    {/each}
    {#if guide && align.alongX}<path
        d="M{guide.x} 0V{height}"
        stroke="var(--color-primary-500)"
        stroke-dasharray="3 4"
      />{/if}
    {#if guide && align.alongY}<path
        d="M0 {guide.y}H{width}"
        stroke="var(--color-primary-500)"
        stroke-dasharray="3 4"
      />{/if}
    {#if way.length}
      <path d={pathOf(way)} fill="none" stroke="var(--color-sheet)" stroke-width="6" />
      <path
        d={pathOf(way)}
        fill="none"
        stroke="var(--color-primary-600)"
        stroke-width="3"
        stroke-dasharray="9 4"
        data-testid="way"
      />
    {/if}
    {#if plan.drawing?.points.length}
      {@const points = plan.drawing.points.map((p) => toScreen(view, p))}
      <path d={pathOf(points)} fill="none" stroke="var(--color-primary-600)" stroke-width="2.5" />
      {#each points as p, i (i)}<circle cx={p.x} cy={p.y} r="4" fill="var(--color-primary-600)" />{/each}
    {/if}
    <g transform="translate(34 44) rotate({north})" aria-label="North, {north}° from straight up" role="img">
      <path d="M0 -24L7 10L0 5L-7 10Z" fill="var(--color-ink)" />
      <text y="-27" text-anchor="middle" font-weight="700" transform="rotate({-north} 0 -31)">N</text>
    </g>
    <g transform="translate(16 {height - 18})" role="img" aria-label="Scale bar, {barM} m">
      <path d="M0 -5V0H{barM * view.k}V-5" fill="none" stroke="var(--color-ink)" stroke-width="2" />
      <text x={barM * view.k + 6} y="2" paint-order="stroke" stroke="var(--color-sheet)" stroke-width="3">{barM} m</text
      >
    </g>
  </svg>
  <div class="no-print absolute top-2 right-2 flex flex-col gap-1">
    <button type="button" class="h-8 w-8 border border-ink bg-paper" aria-label="Nearer" onclick={() => nearer(1.5)}
      >+</button
    >
    <button
      type="button"
      class="h-8 w-8 border border-ink bg-paper"
      aria-label="Farther"
      onclick={() => nearer(1 / 1.5)}>−</button
    >
    <button
      type="button"
      class="h-8 w-8 border border-ink bg-paper text-sm"
      aria-label="Whole plan"
      title="Whole plan"
      onclick={whole}>⤢</button
    >
  </div>
</div>
{#if backdrop && gone === backdrop.id}<p class="text-sm text-tight">
    “{backdrop.name}” is not kept here: load it again under “To trace over”.
  </p>{/if}
<p class="text-sm text-dim">
  Grid {gridM} m. Drag a thing, or move it with the arrows ({fixed(STEP_M, 1)} m, with Shift {fixed(FINE_M, 2)} m); Enter
  lets go, Escape takes back. Ctrl and the wheel bring the plan nearer.
</p>
