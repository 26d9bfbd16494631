<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import type { HungUnit } from '$core/mounting/results';
  import { AWNING_MOST_M, awningFor } from '$core/mounting/siting/awning';
  import { SUN_HOURS, sunByHour } from '$core/mounting/siting/sunByHour';
  import type { SunAtHour } from '$core/mounting/siting/sunByHour';
  import { CRITICAL_HOURS, summerDay, underAwning } from '$core/mounting/siting/unitSun';

  let { unit }: { unit: HungUnit } = $props();
  const place = $derived(underAwning(unit));
  const awningM = $derived(unit.wall.awningDepthM ?? 0);
  const months = $derived(place.value ? sunByHour(place.value, awningM) : []);
  const asked = $derived(
    place.value
      ? awningFor(
          { ...place.value, dayOfYear: summerDay(place.value.latitudeDeg) },
          CRITICAL_HOURS.from,
          CRITICAL_HOURS.to,
        )
      : null,
  );
  const NAMES = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
  const FILL: Readonly<Record<SunAtHour, string>> = {
    none: 'var(--color-paper)',
    shaded: 'url(#sun-shaded)',
    'on the unit': 'var(--color-tight)',
  };
  const CELL = { w: 26, h: 15, left: 34, top: 16 };
  /** The section: metres to the drawing, wall on the left. */
  const M = 90;
  const WALL_X = 20;
  const unitTopM = $derived((unit.type.body.heightMm ?? 600) / 1000);
  const dropM = $derived(place.value?.dropM ?? 0);
  const outM = $derived(Math.max(awningM, asked?.depthM ?? 0, 0.5));
</script>

<section class="sheet p-3" aria-labelledby="sun">
  <h2 id="sun">Sun on {unit.unit.tag}</h2>
  {#if place.value === null}<p>Missing: {place.missing.join(', ')}.</p>{:else}
    <div class="flex flex-wrap items-start gap-6">
      <figure class="w-[27rem] max-w-full">
        <svg
          viewBox="0 0 {CELL.left + SUN_HOURS.length * CELL.w + 4} {CELL.top + 12 * CELL.h + 4}"
          class="w-[27rem] max-w-full"
          role="img"
          aria-label="Sun on {unit.unit.tag} by month and solar hour"
          font-size="9"
          font-family="var(--font-mono)"
        >
          <defs>
            <pattern id="sun-shaded" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="5" height="5" fill="var(--color-paper)" />
              <rect width="1.6" height="5" fill="var(--color-dim)" />
            </pattern>
          </defs>
          {#each SUN_HOURS as h, i (h)}
            <text x={CELL.left + (i + 0.5) * CELL.w} y="11" text-anchor="middle">{h}</text>
          {/each}
          {#each months as m (m.month)}
            <text x={CELL.left - 5} y={CELL.top + (m.month + 0.75) * CELL.h} text-anchor="end">{NAMES[m.month]}</text>
            {#each m.hours as said, i (i)}
              <rect
                x={CELL.left + i * CELL.w}
                y={CELL.top + m.month * CELL.h}
                width={CELL.w}
                height={CELL.h}
                fill={FILL[said]}
                stroke="var(--color-rule)"
                stroke-width="0.6"
              />
            {/each}
          {/each}
        </svg>
        <figcaption class="text-sm text-dim">
          The 21st of each month, solar hours. Filled: sun on the unit. Hatched: kept off by the awning
          {awningM > 0 ? `of ${awningM} m` : '(none there)'}. Empty: no sun on this wall.
        </figcaption>
      </figure>
      <figure class="max-w-xs">
        <svg
          viewBox="0 0 {WALL_X + outM * M + 70} {(dropM + 0.25) * M}"
          class="h-44 max-w-full"
          role="img"
          aria-label="The wall in section with its awning"
          font-size="13"
          font-family="var(--font-mono)"
        >
          <rect x="0" y="0" width={WALL_X} height={(dropM + 0.25) * M} fill="var(--color-rule)" />
          <line x1={WALL_X} y1="4" x2={WALL_X + awningM * M} y2="4" stroke="var(--color-ink)" stroke-width="4" />
          <rect
            x={WALL_X}
            y={(dropM - unitTopM) * M + 4}
            width={place.value.projectionM * M}
            height={unitTopM * M}
            fill="var(--color-paper)"
            stroke="var(--color-ink)"
          />
          {#if asked && asked.answer !== 'no sun'}
            <line
              x1={WALL_X}
              y1="4"
              x2={WALL_X + asked.depthM * M}
              y2="4"
              stroke="var(--color-ink)"
              stroke-dasharray="4 3"
            />
            <line
              x1={WALL_X + asked.depthM * M}
              y1="4"
              x2={WALL_X + place.value.projectionM * M}
              y2={dropM * M + 4}
              stroke="var(--color-tight)"
              stroke-width="1.5"
            />
            <text x={WALL_X + asked.depthM * M + 5} y="14">{fixed(asked.depthM, 2)} m</text>
          {/if}
        </svg>
        <figcaption class="text-sm text-dim">
          {#if asked?.answer === 'no sun'}No summer sun on this wall from {CRITICAL_HOURS.from} to {CRITICAL_HOURS.to} h solar.
          {:else if asked}
            At {asked.atSolarH ?? 0} h solar of midsummer the sun asks for an awning
            <b class="num">{fixed(asked.depthM, 2)} m</b> deep, reaching
            <span class="num">{fixed(asked.leftM, 2)} m</span>
            past the unit to the left and <span class="num">{fixed(asked.rightM, 2)} m</span> to the right.
            {#if asked.depthM > AWNING_MOST_M}No awning saves this wall: a ventilated screen outside the clearances, or
              another wall.{/if}
          {/if}
        </figcaption>
      </figure>
    </div>
  {/if}
</section>
