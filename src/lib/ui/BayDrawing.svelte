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
  const x = (i: number) => 5 + (spacing ?? 40) * (i + 0.5);
  const GLAND_Y = 118;
</script>

{#if spacing === null}
  <p class="text-dim">The data sheet of {result.type.name} gives no stud spacing: no drawing without it.</p>
{:else}
  <figure>
    <svg
      viewBox="0 0 {widthMm} 168"
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
        height="100"
        fill="var(--color-paper)"
        stroke="var(--color-ink)"
        stroke-width="0.8"
      />
      {#each conductors as c, i (c.name)}
        {#if palm !== null}
          <rect
            x={x(i) - palm / 2}
            y="22"
            width={palm}
            height={palm * 0.95}
            fill="#d8c29a"
            stroke="var(--color-ink)"
            stroke-width="0.5"
          />
          <rect
            x={x(i) - palm * 0.3}
            y={22 + palm * 0.95}
            width={palm * 0.6}
            height="22"
            fill="#c9ae7e"
            stroke="var(--color-ink)"
            stroke-width="0.5"
          />
          <path
            d="M{x(i)} {44 + palm * 0.95}C{x(i)} {GLAND_Y - 14},{widthMm / 2} {GLAND_Y - 24},{widthMm / 2} {GLAND_Y}"
            fill="none"
            stroke={c.colour}
            stroke-width="4.5"
          />
          {#if c.name === 'PE'}
            <path
              d="M{x(i)} {44 + palm * 0.95}C{x(i)} {GLAND_Y - 14},{widthMm / 2} {GLAND_Y - 24},{widthMm / 2} {GLAND_Y}"
              fill="none"
              stroke="#e8c62c"
              stroke-width="4.5"
              stroke-dasharray="5 5"
            />
          {/if}
        {/if}
        <circle
          cx={x(i)}
          cy={22 + (palm ?? 30) * 0.45}
          r={bay.studM / 2}
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          stroke-width="0.8"
        />
        <text x={x(i)} y="14" text-anchor="middle" font-size="7.5" font-weight="700">{c.name}</text>
      {/each}
      <g font-size="6" font-family="var(--font-mono)" stroke-width="0.4">
        <path d="M{x(0)} 18H{x(1)}" stroke="var(--color-ink)" /><path
          d="M{x(0)} 16v4M{x(1)} 16v4"
          stroke="var(--color-ink)"
        />
        <text x={(x(0) + x(1)) / 2} y="8" text-anchor="middle">{spacing} mm</text>
        {#if palm !== null}
          {@const y = 26}
          <path
            d="M{x(1) + palm / 2} {y}H{x(2) - palm / 2}"
            stroke={gap?.verdict === 'holds' ? 'var(--color-ink)' : 'var(--color-stop)'}
          />
          {#if gap?.value != null}
            <text x={(x(1) + x(2)) / 2} y={y - 18} text-anchor="middle">gap {fixed(gap.value, 1)} mm</text>
          {/if}
          <text x={x(0)} y={22 + palm * 0.95 - 2} text-anchor="middle">{palm}</text>
        {/if}
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
      To scale, seen from the front. Palms limit {bay.palmMaxWidthMm ?? '–'} × {bay.palmMaxThicknessMm ?? '–'} mm. Solid ring:
      largest cable the gland clamps; dashed: smallest.
    </figcaption>
  </figure>
{/if}
