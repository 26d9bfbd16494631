<script lang="ts">
  import type { Verdict } from '$core/kernel/check';
  import { obstructionsOf } from '$core/mounting/clearances';
  import type { Hung, Wall } from '$core/mounting/part';
  import type { HungUnit } from '$core/mounting/results';
  import { keyStep, snapped, FINE_MM, STEP_MM } from './wallView';

  let {
    wall,
    hung,
    verdicts,
    picked,
    moving,
    onpick,
    onmove,
    ondrop,
  }: {
    wall: Wall;
    hung: readonly HungUnit[];
    verdicts: ReadonlyMap<string, Verdict>;
    picked: string | null;
    /** Where a unit is held that is not let go yet. */
    moving: Hung | null;
    onpick: (inverterId: string) => void;
    onmove: (place: Hung | null) => void;
    ondrop: () => void;
  } = $props();

  const COLOUR = { holds: 'holds', tight: 'tight', stop: 'stop', unknown: 'unknown' } as const;
  /** No smaller than this, px a millimetre: a long wall is scrolled, not shrunk until nobody reads it. */
  const LEAST_SCALE = 0.062;
  const TEXT_PX = 12.5;
  let roomPx = $state(0);
  const scale = $derived(Math.max(LEAST_SCALE, (roomPx - 8 * TEXT_PX) / wall.widthMm));
  const text = $derived(TEXT_PX / scale);
  const line = $derived(1 / (2 * scale));
  /** Room round the wall for dimensions, mm of the wall. */
  const box = $derived({
    x: -4.5 * text,
    y: -1.5 * text,
    width: wall.widthMm + 8 * text,
    height: wall.heightMm + 6.2 * text,
  });
  const up = (yMm: number) => wall.heightMm - yMm;
  const placeOf = (h: HungUnit): Hung => (moving?.inverterId === h.unit.id ? moving : h.at);
  const boxes = $derived(
    hung
      .flatMap((h) => (h.size.value ? [{ h, size: h.size.value, at: placeOf(h) }] : []))
      .sort((a, b) => a.at.xMm - b.at.xMm),
  );
  let svg = $state<SVGSVGElement>();
  let grip: { dx: number; dy: number } | null = null;

  /** A point of the pointer in millimetres of the wall. */
  function onWall(e: PointerEvent): { xMm: number; yMm: number } {
    const back = svg?.getScreenCTM()?.inverse();
    const p = back ? new DOMPoint(e.clientX, e.clientY).matrixTransform(back) : { x: 0, y: 0 };
    return { xMm: p.x, yMm: up(p.y) };
  }
  function take(e: PointerEvent, h: HungUnit) {
    const p = onWall(e);
    grip = { dx: p.xMm - h.at.xMm, dy: p.yMm - h.at.yMm };
    (e.currentTarget as Element).setPointerCapture(e.pointerId);
    onpick(h.unit.id);
  }
  function drag(e: PointerEvent, h: HungUnit) {
    if (!grip) return;
    const p = onWall(e);
    const at = snapped(wall, h, p.xMm - grip.dx, p.yMm - grip.dy, e.shiftKey ? FINE_MM : STEP_MM);
    if (at.xMm !== placeOf(h).xMm || at.yMm !== placeOf(h).yMm) onmove({ ...h.at, ...at });
  }
  function letGo() {
    if (grip && moving) ondrop();
    grip = null;
  }
  function key(e: KeyboardEvent, h: HungUnit) {
    const step = keyStep(e.key, e.shiftKey);
    if (step) {
      const at = placeOf(h);
      onpick(h.unit.id);
      onmove({ ...h.at, ...snapped(wall, h, at.xMm + step[0], at.yMm + step[1], e.shiftKey ? FINE_MM : STEP_MM) });
    } else if (e.key === 'Enter' && moving?.inverterId === h.unit.id) ondrop();
    else if (e.key === 'Escape' && moving) onmove(null);
    else if (e.key === 'Enter' || e.key === ' ') onpick(h.unit.id);
    else return;
    e.preventDefault();
    e.stopPropagation();
  }
</script>

<div class="relative overflow-x-auto" bind:clientWidth={roomPx}>
  <svg
    bind:this={svg}
    viewBox="{box.x} {box.y} {box.width} {box.height}"
    style:width="{box.width * scale}px"
    class="block max-w-none touch-pan-x select-none"
    role="group"
    aria-label="{wall.label}, {wall.widthMm} × {wall.heightMm} mm, seen from the front, with {hung.length} units"
    font-family="var(--font-mono)"
    font-size={text}
  >
    <defs>
      <pattern
        id="hatch"
        width={text * 0.7}
        height={text * 0.7}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <path d="M0 0V{text}" stroke="var(--color-dim)" stroke-width={line} />
      </pattern>
    </defs>
    <rect
      width={wall.widthMm}
      height={wall.heightMm}
      fill="var(--color-paper)"
      stroke="var(--color-ink)"
      stroke-width={line * 1.5}
    />
    <path d="M{-text} {wall.heightMm}H{wall.widthMm + text}" stroke="var(--color-ink)" stroke-width={line * 3} />
    {#if wall.topMostMm !== null}
      <path
        d="M0 {up(wall.topMostMm)}H{wall.widthMm}"
        stroke="var(--color-dim)"
        stroke-width={line}
        stroke-dasharray="{text} {text * 0.6}"
      />
      <text x={text * 0.3} y={up(wall.topMostMm) - text * 0.3} fill="var(--color-dim)">tops to {wall.topMostMm}</text>
    {/if}
    {#if wall.trayMm !== null}
      <path
        d="M0 {up(wall.trayMm)}H{wall.widthMm}"
        stroke="var(--color-primary-600)"
        stroke-width={line * 2}
        stroke-dasharray="{text * 0.4} {text * 0.3}"
      />
      <text
        x={wall.widthMm - text * 0.3}
        y={up(wall.trayMm) - text * 0.3}
        text-anchor="end"
        fill="var(--color-primary-600)">tray {wall.trayMm}</text
      >
    {/if}
    {#each obstructionsOf(wall) as o, i (i)}
      <rect
        x={o.xMm}
        y={up(o.yMm + o.heightMm)}
        width={o.widthMm}
        height={o.heightMm}
        fill="url(#hatch)"
        stroke="var(--color-dim)"
        stroke-width={line}
      />
      <text
        x={o.xMm + o.widthMm / 2}
        y={up(o.yMm + o.heightMm) + text * 1.2}
        text-anchor="middle"
        fill="var(--color-ink)"
        stroke="var(--color-paper)"
        stroke-width={text * 0.25}
        paint-order="stroke">{o.label.split(' ')[0]}</text
      >
    {/each}
    {#if wall.boardXMm !== null && wall.boardYMm !== null}
      <path
        d="M{wall.boardXMm} {up(wall.boardYMm) - text * 0.7}v{text * 1.4}m{-text * 0.7} {-text * 0.7}h{text * 1.4}"
        stroke="var(--color-ink)"
        stroke-width={line * 2.5}
      />
      <text
        x={wall.boardXMm}
        y={up(wall.boardYMm) - text}
        text-anchor={wall.boardXMm < wall.widthMm / 2 ? 'start' : 'end'}>cables out</text
      >
    {/if}
    {#each boxes as { h, size, at } (h.unit.id)}
      {@const verdict = verdicts.get(h.unit.id) ?? 'unknown'}
      {@const held = moving?.inverterId === h.unit.id}
      {#if held || picked === h.unit.id}
        <rect
          x={at.xMm - size.leftMm}
          y={up(at.yMm + size.heightMm + size.topMm)}
          width={size.widthMm + size.leftMm + size.rightMm}
          height={size.heightMm + size.topMm + size.bottomMm}
          fill="none"
          stroke="var(--color-primary-600)"
          stroke-width={line}
          stroke-dasharray="{text * 0.5} {text * 0.4}"
        />
      {/if}
      <g
        role="button"
        tabindex="0"
        class="cursor-move touch-none"
        data-part={h.unit.id}
        data-unit={h.unit.tag}
        aria-pressed={picked === h.unit.id}
        aria-label="{h.unit
          .tag}, {at.xMm} mm from the left, {at.yMm} mm up, {verdict}. Arrows move it, Enter lets it go, Escape takes it back."
        onpointerdown={(e) => take(e, h)}
        onpointermove={(e) => drag(e, h)}
        onpointerup={letGo}
        onpointercancel={() => {
          grip = null;
          onmove(null);
        }}
        onkeydown={(e) => key(e, h)}
      >
        <rect
          x={at.xMm}
          y={up(at.yMm + size.heightMm)}
          width={size.widthMm}
          height={size.heightMm}
          fill="var(--color-sheet)"
          stroke="var(--color-{COLOUR[verdict]})"
          stroke-width={line * (held ? 5 : 3.5)}
        />
        <text x={at.xMm + size.widthMm / 2} y={up(at.yMm + size.heightMm / 2)} text-anchor="middle" font-weight="700"
          >{h.unit.tag}</text
        >
        <text
          x={at.xMm + size.widthMm / 2}
          y={up(at.yMm + size.heightMm / 2) + text * 1.2}
          text-anchor="middle"
          fill="var(--color-{COLOUR[verdict]})">{verdict}</text
        >
        <path
          d="M{at.xMm + size.widthMm / 2} {up(at.yMm)}v{text * 0.6}"
          stroke="var(--color-ink)"
          stroke-width={line * 2}
        />
      </g>
    {/each}
    <g stroke="var(--color-ink)" stroke-width={line}>
      {#each boxes as { h, at }, i (h.unit.id)}
        <path d="M{at.xMm} {wall.heightMm}v{text * (i % 2 ? 3 : 1.7)}" stroke="var(--color-dim)" />
        <path d="M{-text * 0.8} {up(at.yMm)}h{text * 0.8}" />
      {/each}
    </g>
    <g fill="var(--color-ink)">
      {#each boxes as { h, at }, i (h.unit.id)}
        <text x={at.xMm} y={wall.heightMm + text * (i % 2 ? 4 : 2.7)} text-anchor="middle">{at.xMm}</text>
      {/each}
      {#each [...new Set(boxes.map((b) => b.at.yMm))] as y (y)}
        <text x={-text} y={up(y) + text * 0.35} text-anchor="end">{y}</text>
      {/each}
      <text x="0" y={wall.heightMm + text * 2.7} text-anchor="middle">0</text>
      <text x={wall.widthMm} y={wall.heightMm + text * 2.7} text-anchor="middle">{wall.widthMm}</text>
    </g>
  </svg>
</div>
<p class="text-sm text-dim">
  To scale, seen from the front, in mm: left and lower edges from the lower left corner. Drag a unit, or move it with
  the arrows ({STEP_MM} mm, with Shift {FINE_MM}); Enter lets go, Escape takes back.
</p>
