<script lang="ts">
  import type { RunResult } from '$core/ac/results';
  import type { Check } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';

  let { result, gap }: { result: RunResult; gap: Check | null } = $props();

  /** Colours only where a conductor is meant: IEC 60445. */
  const PHASES = [
    { name: 'L1', colour: '#7a4a21' },
    { name: 'L2', colour: '#1c1c1c' },
    { name: 'L3', colour: '#8b8b8b' },
  ] as const;
  const bay = $derived(result.type.bay);
  const spacing = $derived(bay.studSpacingMm);
  const palm = $derived(result.lug.value?.palmWidthMm ?? null);
  const conductors = $derived([
    ...PHASES,
    ...(result.type.wiring === '3-wire plus PE' ? [] : [{ name: 'N', colour: '#2a5fb0' }]),
    { name: 'PE', colour: '#3c7a2a' },
  ]);
  const widthMm = $derived((spacing ?? 40) * conductors.length + 10);
  const cable = $derived(result.diameter.value?.nominalMm ?? null);
  const short = (mm: number) => (Number.isInteger(mm) ? String(mm) : fixed(mm, 1));
  const x = (i: number) => 5 + (spacing ?? 40) * (i + 0.5);
  /** Rows of the drawing from its top, mm: studs' spacing, palms and gaps, upper edge of the palms, gland. */
  const SPACING_Y = 15;
  const PALM_Y = 24;
  const TOP_Y = 31;
  const GLAND_Y = 128;
  const GAP_COLOUR = { holds: 'ink', tight: 'tight', stop: 'stop', unknown: 'unknown' } as const;
  const gapColour = $derived(`var(--color-${GAP_COLOUR[gap?.verdict ?? 'unknown']})`);
  /** Palms and the gaps between them, from left to right. */
  const measured = $derived(
    palm === null || spacing === null
      ? []
      : conductors.flatMap((_, i) => [
          { from: x(i) - palm / 2, to: x(i) + palm / 2, mm: palm, gap: false },
          ...(i + 1 < conductors.length
            ? [{ from: x(i) + palm / 2, to: x(i + 1) - palm / 2, mm: spacing - palm, gap: true }]
            : []),
        ]),
  );
</script>

{#snippet dimension(from: number, to: number, y: number, text: string, colour: string)}
  <path d="M{from} {y}H{to}M{from} {y - 1.6}v3.2M{to} {y - 1.6}v3.2" stroke={colour} />
  <text
    x={(from + to) / 2}
    y={y + 1.9}
    fill={colour}
    stroke="var(--color-paper)"
    stroke-width="2.4"
    paint-order="stroke">{text}</text
  >
{/snippet}

{#if spacing === null}
  <p class="text-dim">The data sheet of {result.type.name} gives no stud spacing: no drawing without it.</p>
{:else}
  <figure>
    <svg
      viewBox="0 0 {widthMm} 178"
      class="max-h-96 w-full"
      role="img"
      aria-label="AC bay of {result.inverter.tag}: studs M{bay.studM} every {spacing} mm, {palm === null
        ? 'palm unknown'
        : `palms ${palm} mm wide`}, cable {cable === null ? 'unknown' : `${fixed(cable, 1)} mm`}"
    >
      <rect
        x="1"
        y="1"
        width={widthMm - 2}
        height="110"
        fill="var(--color-paper)"
        stroke="var(--color-ink)"
        stroke-width="0.8"
      />
      {#each conductors as c, i (c.name)}
        {#if palm !== null}
          <rect
            x={x(i) - palm / 2}
            y={TOP_Y}
            width={palm}
            height={palm * 0.95}
            fill="#d8c29a"
            stroke="var(--color-ink)"
            stroke-width="0.5"
          />
          <rect
            x={x(i) - palm * 0.3}
            y={TOP_Y + palm * 0.95}
            width={palm * 0.6}
            height="22"
            fill="#c9ae7e"
            stroke="var(--color-ink)"
            stroke-width="0.5"
          />
          <path
            d="M{x(i)} {TOP_Y + 22 + palm * 0.95}C{x(i)} {GLAND_Y - 14},{widthMm / 2} {GLAND_Y - 24},{widthMm /
              2} {GLAND_Y}"
            fill="none"
            stroke={c.colour}
            stroke-width="4.5"
          />
          {#if c.name === 'PE'}
            <path
              d="M{x(i)} {TOP_Y + 22 + palm * 0.95}C{x(i)} {GLAND_Y - 14},{widthMm / 2} {GLAND_Y - 24},{widthMm /
                2} {GLAND_Y}"
              fill="none"
              stroke="#e8c62c"
              stroke-width="4.5"
              stroke-dasharray="5 5"
            />
          {/if}
        {/if}
        <circle
          cx={x(i)}
          cy={TOP_Y + (palm ?? 30) * 0.45}
          r={bay.studM / 2}
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          stroke-width="0.8"
        />
        <text x={x(i)} y="9" text-anchor="middle" font-size="7.5" font-weight="700">{c.name}</text>
      {/each}
      <g font-size="5.5" font-family="var(--font-mono)" stroke-width="0.4" text-anchor="middle">
        {#each conductors as c, i (c.name)}
          <path
            d="M{x(i)} {SPACING_Y - 3}V{TOP_Y + (palm ?? 30) * 0.45}"
            stroke="var(--color-dim)"
            stroke-dasharray="1 1.2"
          />
          {#if i + 1 < conductors.length}
            {@render dimension(x(i), x(i + 1), SPACING_Y, short(spacing), 'var(--color-ink)')}
          {/if}
        {/each}
        {#each measured as m (m.from)}
          <path d="M{m.from} {PALM_Y - 2}V{TOP_Y}" stroke="var(--color-dim)" />
          {@render dimension(m.from, m.to, PALM_Y, short(m.mm), m.gap ? gapColour : 'var(--color-ink)')}
        {/each}
      </g>
      {#if bay.glandClampMaxMm !== null && bay.glandClampMinMm !== null}
        <circle
          cx={widthMm / 2}
          cy={GLAND_Y + 16}
          r={bay.glandClampMaxMm / 2}
          fill="none"
          stroke="var(--color-ink)"
          stroke-width="0.8"
        />
        <circle
          cx={widthMm / 2}
          cy={GLAND_Y + 16}
          r={bay.glandClampMinMm / 2}
          fill="none"
          stroke="var(--color-ink)"
          stroke-width="0.5"
          stroke-dasharray="2 2"
        />
        {#if cable !== null}<circle
            cx={widthMm / 2}
            cy={GLAND_Y + 16}
            r={cable / 2}
            fill="#3a3733"
            fill-opacity="0.75"
          />{/if}
        <text
          x={widthMm / 2 + bay.glandClampMaxMm / 2 + 4}
          y={GLAND_Y + 14}
          font-size="6.5"
          font-family="var(--font-mono)">gland {bay.glandClampMinMm}–{bay.glandClampMaxMm} mm</text
        >
        <text
          x={widthMm / 2 + bay.glandClampMaxMm / 2 + 4}
          y={GLAND_Y + 23}
          font-size="6.5"
          font-family="var(--font-mono)">cable {cable === null ? 'unknown' : `${fixed(cable, 1)} mm`}</text
        >
      {/if}
    </svg>
    <figcaption class="text-sm text-dim">
      To scale, seen from the front, in mm: spacing of the studs, and under it palms and the air between them. Palms at
      most {bay.palmMaxWidthMm ?? '–'} × {bay.palmMaxThicknessMm ?? '–'}. Solid ring: largest cable the gland clamps;
      dashed: smallest.
    </figcaption>
  </figure>
{/if}
