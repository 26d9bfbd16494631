<script lang="ts">
  import type { BayDrawing } from '$core/ac/bay/drawing';
  import { fixed } from '$core/kernel/quantity';

  let {
    bay,
    studM,
    colour,
    width,
  }: { bay: BayDrawing; studM: number; /** Of the rule on its length. */ colour: string; width: number } = $props();
  /** Times as large as the rest of the drawing. */
  const TIMES = 3;
  const BAR_Y = 50;
  const FILL: Readonly<Record<string, string>> = {
    palm: '#d8c29a',
    flat: '#b9b3a6',
    spring: '#8f897c',
    nut: '#6f6a60',
  };
  const HALF: Readonly<Record<string, number>> = { palm: 1.6, flat: 1.1, spring: 0.9, nut: 0.95 };
  const kind = (name: string) => name.split(' ')[0] ?? '';
  const scale = $derived(
    Math.min(TIMES, (width - 8) / Math.max(bay.studLengthMm ?? 0, bay.stack.at(-1)?.toMm ?? 0, 1)),
  );
</script>

<text x="0" y="10" font-weight="700" font-family="inherit">One stud, from the side</text>
{#if bay.stack.length === 0}
  <text x="0" y="24">palm thickness not known</text>
{:else}
  <rect x="-3" y={BAR_Y - 26} width="3" height="52" fill="var(--color-dim)" />
  {#if bay.studLengthMm !== null}
    <rect
      x="0"
      y={BAR_Y - (studM * scale) / 2}
      width={bay.studLengthMm * scale}
      height={studM * scale}
      fill="var(--color-sheet)"
      stroke={colour}
      stroke-width="0.8"
    />
  {/if}
  {#each bay.stack as part (part.name)}
    {@const half = (HALF[kind(part.name)] ?? 1) * studM * 0.5 * scale}
    <rect
      x={part.fromMm * scale}
      y={BAR_Y - Math.min(half, 24)}
      width={(part.toMm - part.fromMm) * scale}
      height={2 * Math.min(half, 24)}
      fill={FILL[kind(part.name)]}
      fill-opacity="0.85"
      stroke="var(--color-ink)"
      stroke-width="0.5"><title>{part.name}: {fixed(part.toMm - part.fromMm, 1)} mm</title></rect
    >
  {/each}
  <text x="0" y={BAR_Y + 38}>{bay.palms > 1 ? `${bay.palms} palms back to back, ` : ''}washers, nut</text>
  <text x="0" y={BAR_Y + 48} fill={colour}
    >{fixed(bay.stack.at(-1)?.toMm ?? 0, 1)} on {bay.studLengthMm ?? '?'} mm of M{studM}</text
  >
{/if}
