<script lang="ts">
  import type { SVGAttributes } from 'svelte/elements';
  import { bayDrawing } from '$core/ac/bay/drawing';
  import { bendNeed } from '$core/ac/bay/bend';
  import type { RunResult } from '$core/ac/results';
  import type { Check, Verdict } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import Dimension from './Dimension.svelte';
  import StudStack from './StudStack.svelte';
  import { drawnAs, isStriped } from './colours';
  import { conductorPath } from './conductorPath';

  let {
    result,
    checks,
  }: { result: RunResult; /** Of this run: each gap has the colour of its rule. */ checks: readonly Check[] } =
    $props();

  const bay = $derived(bayDrawing(result));
  const needMm = $derived(bendNeed(result).value?.neededMm ?? null);
  const COLOUR = { holds: 'ink', tight: 'tight', stop: 'stop', unknown: 'unknown' } as const;
  const verdictOf = (id: string): Verdict => checks.find((c) => c.id === id)?.verdict ?? 'unknown';
  const colourOf = (id: string) => `var(--color-${COLOUR[verdictOf(id)]})`;
  const short = (mm: number) => (Number.isInteger(mm) ? String(mm) : fixed(mm, 1));

  /** Rows of the drawing from its top, mm: names, spacing, palms and gaps, axes of the studs. */
  const NAME_Y = 10;
  const SPACING_Y = 19;
  const PALM_Y = 30;
  const AXIS_Y = 58;
  /** Without a height on the sheet the wall is drawn where the bend wants it, and said not to be known. */
  const UNKNOWN_HEIGHT_MM = 200;
  /** Out of the gland the conductor goes straight. */
  const STRAIGHT_MM = 20;
  const heightMm = $derived(bay?.freeHeightMm ?? needMm ?? UNKNOWN_HEIGHT_MM);
  const plateY = $derived(AXIS_Y + heightMm);
  const palmMm = $derived(bay?.palm?.widthMm ?? null);
  const barrelTop = $derived(AXIS_Y + (palmMm ?? 0) / 2);
  const lugEnd = $derived(barrelTop + (bay?.barrel?.depthMm ?? 20));
  const glandR = $derived((bay?.clamp?.maxMm ?? bay?.cableMm ?? 0) / 2);
  const totalH = $derived(plateY + 2 * glandR + 12);
  /** The second cable of a stud lies beside the first, and its palm behind. */
  const BEHIND_MM = 4;
  const coreMm = $derived(Math.min(result.diameter.value?.coreMm ?? 8, 12));
  const stackW = 120;
  const gaps = $derived(
    bay && palmMm !== null
      ? bay.conductors
          .slice(1)
          .map((c, i) => ({ from: (bay.conductors[i]?.xMm ?? 0) + palmMm / 2, to: c.xMm - palmMm / 2 }))
      : [],
  );
  const wayOf = (x: number, entryX: number) => {
    const from = { x, y: lugEnd };
    const to = { x: entryX, y: plateY - STRAIGHT_MM };
    const own = bay?.bendRadiusMm ? conductorPath(from, to, bay.bendRadiusMm) : null;
    const d =
      own ?? `M${from.x} ${from.y}C${from.x} ${(from.y + to.y) / 2},${to.x} ${(from.y + to.y) / 2},${to.x} ${to.y}`;
    return { d: `${d}V${plateY}`, kept: own !== null || !bay?.bendRadiusMm };
  };
</script>

<!-- What is drawn over a conductor behind its palm: the barrel of its lug, and the sleeve over that. -->
{#snippet hull(x: number, widthMm: number, lengthMm: number, look: SVGAttributes<SVGRectElement>)}
  <rect
    x={x - widthMm / 2}
    y={barrelTop}
    width={widthMm}
    height={lengthMm}
    stroke="var(--color-ink)"
    stroke-width="0.5"
    {...look}
  />
{/snippet}

{#if !bay}
  <p class="text-dim">The data sheet of {result.type.name} gives no stud spacing: no drawing without it.</p>
{:else}
  <figure>
    <svg
      viewBox="0 0 {bay.widthMm + stackW} {totalH}"
      class="max-h-[40rem] w-full"
      role="img"
      aria-label="AC bay of {result.inverter.tag}: studs M{result.type.bay.studM} every {bay.spacingMm} mm, {palmMm ===
      null
        ? 'palm unknown'
        : `${bay.palms > 1 ? `${bay.palms} palms a stud, each` : 'palms'} ${palmMm} mm wide`}, {bay.entries
        .length} through the wall, cable {bay.cableMm === null ? 'unknown' : `${fixed(bay.cableMm, 1)} mm`}"
    >
      <rect
        x="0.5"
        y="0.5"
        width={bay.widthMm - 1}
        height={plateY}
        fill="var(--color-paper)"
        stroke="var(--color-ink)"
        stroke-width="0.8"
        stroke-dasharray={bay.freeHeightMm === null ? '4 3' : undefined}
      />
      {#each bay.conductors as c, i (i)}
        {#each c.entries as entry, k (entry)}
          {@const beside = (k - (c.entries.length - 1) / 2) * coreMm}
          {@const way = wayOf(c.xMm + beside, bay.entries[entry]?.xMm ?? c.xMm)}
          <path d={way.d} fill="none" stroke="var(--color-ink)" stroke-width={coreMm * 0.62} />
          <path
            d={way.d}
            fill="none"
            stroke={way.kept ? drawnAs(c.colour) : 'var(--color-stop)'}
            stroke-width={coreMm * 0.55}
          />
          {#if isStriped(c.colour) && way.kept}
            <path d={way.d} fill="none" stroke="#e8c62c" stroke-width={coreMm * 0.55} stroke-dasharray="5 5" />
          {/if}
          {#if bay.sleeve}
            {@const { widthMm, lengthMm } = bay.sleeve}
            {@render hull(c.xMm + beside, widthMm, lengthMm, { fill: '#4b4b4b', 'fill-opacity': 0.35, rx: 2 })}
          {/if}
          {#if bay.barrel}
            {@const { outerMm, depthMm } = bay.barrel}
            {@render hull(c.xMm + beside, outerMm, depthMm, { fill: '#c9ae7e', 'fill-opacity': bay.sleeve ? 0.55 : 1 })}
          {/if}
        {/each}
        {#if palmMm !== null}
          {#each Array.from({ length: bay.palms }, (_, k) => bay.palms - 1 - k) as behind (behind)}
            <rect
              x={c.xMm - palmMm / 2 + behind * BEHIND_MM}
              y={AXIS_Y - palmMm / 2 - behind * BEHIND_MM}
              width={palmMm}
              height={palmMm}
              fill="#d8c29a"
              stroke="var(--color-ink)"
              stroke-width="0.5"
              stroke-dasharray={behind ? '2 1.5' : undefined}
            />
          {/each}
        {/if}
        <circle
          cx={c.xMm}
          cy={AXIS_Y}
          r={result.type.bay.studM / 2}
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          stroke-width="0.8"
        />
        <text x={c.xMm} y={NAME_Y} text-anchor="middle" font-size="9" font-weight="700">{c.name}</text>
        <path
          d="M{c.xMm} {SPACING_Y - 3}V{AXIS_Y}"
          stroke="var(--color-dim)"
          stroke-width="0.4"
          stroke-dasharray="1 1.2"
        />
        {#if i + 1 < bay.conductors.length}
          <Dimension from={c.xMm} to={c.xMm + bay.spacingMm} at={SPACING_Y} text={short(bay.spacingMm)} />
        {/if}
        {#if palmMm !== null}
          <Dimension
            from={c.xMm - palmMm / 2}
            to={c.xMm + palmMm / 2}
            at={PALM_Y}
            text={short(palmMm)}
            colour={colourOf('ac.palm-width')}
          />
        {/if}
      {/each}
      {#each gaps as gap (gap.from)}
        {#if verdictOf('ac.palm-gap') === 'tight'}
          <rect
            x={(gap.from + gap.to) / 2 - 1}
            y={AXIS_Y - (palmMm ?? 0) * 0.7}
            width="2"
            height={(palmMm ?? 0) * 1.6}
            fill="none"
            stroke="var(--color-tight)"
            stroke-width="0.6"
            stroke-dasharray="2 1"
          />
        {/if}
        <Dimension {...gap} at={PALM_Y} text={short(gap.to - gap.from)} colour={colourOf('ac.palm-gap')} />
      {/each}
      <Dimension
        upright
        from={AXIS_Y}
        to={plateY}
        at={bay.widthMm - 5}
        text={bay.freeHeightMm === null ? 'height ?' : short(bay.freeHeightMm)}
        colour={colourOf('ac.bend')}
      />
      {#each bay.entries as entry, i (i)}
        {#if bay.clamp}
          <circle
            cx={entry.xMm}
            cy={plateY + glandR + 4}
            r={bay.clamp.maxMm / 2}
            fill="none"
            stroke={colourOf('ac.gland')}
            stroke-width="0.8"
          />
          <circle
            cx={entry.xMm}
            cy={plateY + glandR + 4}
            r={bay.clamp.minMm / 2}
            fill="none"
            stroke="var(--color-ink)"
            stroke-width="0.5"
            stroke-dasharray="2 2"
          />
        {/if}
        {#if bay.cableMm !== null}
          <circle cx={entry.xMm} cy={plateY + glandR + 4} r={bay.cableMm / 2} fill="#3a3733" fill-opacity="0.75" />
        {/if}
      {/each}
      <g transform="translate({bay.widthMm + 8} 0)" font-size="7.5" font-family="var(--font-mono)">
        <StudStack {bay} studM={result.type.bay.studM} colour={colourOf('ac.stud-length')} width={stackW - 12} />
        <text x="0" y={plateY - 26} fill={colourOf('ac.bend')}>
          {needMm === null ? 'bend not known' : `bend needs ${short(needMm)}`}
        </text>
        {#if bay.bendRadiusMm}<text x="0" y={plateY - 16}>R {short(bay.bendRadiusMm)} on the axis</text>{/if}
        {#if bay.clamp}<text x="0" y={plateY + glandR}>gland {bay.clamp.minMm}–{bay.clamp.maxMm}</text>{/if}
        <text x="0" y={plateY + glandR + 10} fill={colourOf('ac.gland')}>
          cable {bay.cableMm === null ? '?' : fixed(bay.cableMm, 1)}
        </text>
      </g>
    </svg>
    <figcaption class="text-sm text-dim">
      To scale, in mm; the stud to the right three times as large. A figure has the colour of its rule. Palms at most {result
        .type.bay.palmMaxWidthMm ?? '–'} × {result.type.bay.palmMaxThicknessMm ?? '–'}. Solid ring: largest cable the
      gland clamps; dashed: smallest.
    </figcaption>
  </figure>
{/if}
