<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import HeatMap from './HeatMap.svelte';
  import type { YearState } from './yearState.svelte';

  let { year }: { year: YearState } = $props();
  const r = $derived(year.shown?.result);
  const figures = $derived(
    r
      ? [
          ['AC energy', `${fixed(r.acKwh / 1000, 1)} MWh`],
          ['per kWp', `${fixed(r.kwhPerKwp, 0)} kWh`],
          ['clipped', `${fixed(r.clippedPercent, 2)} %`],
          ['not given in the heat', `${fixed(r.heatKwh, 0)} kWh`],
          ['lost by mixing', `${fixed(r.mismatchKwh, 0)} kWh`],
          ['lost to tracker current, at most', `${fixed(r.limitedKwh, 0)} kWh`],
          ['lost in DC cable', `${fixed(r.cableKwh, 0)} kWh`],
          ['level ground', `${fixed(r.globalKwhM2, 0)} kWh/m²`],
        ]
      : [],
  );
</script>

{#if r}
  <section class="sheet p-3" aria-labelledby="year-title" data-testid="year">
    <h2 id="year-title">A year of energy</h2>
    {#if year.stale}<p role="status" class="border-l-4 border-tight px-2 text-sm">
        From revision {year.shown?.revision}; the design or its weather changed since. Compute again.
      </p>{/if}
    <dl class="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-4 lg:grid-cols-8">
      {#each figures as [name, text] (name)}
        <div class="border-t-2 border-ink pt-1">
          <dt class="text-sm text-dim">{name}</dt>
          <dd class="num text-lg">{text}</dd>
        </div>
      {/each}
    </dl>
    <div class="mt-3"><HeatMap kw={r.heatMapKw} /></div>
    <details class="mt-2 text-sm">
      <summary class="cursor-pointer font-semibold">What it rests on</summary>
      <ul class="list-disc pl-5">
        {#each r.assumptions as a (a)}<li>{a}</li>{/each}
      </ul>
      <p class="num">
        {#each r.planes as p (p.planeId)}<span class="mr-4">{p.label} {fixed(p.kwhM2, 0)} kWh/m²</span>{/each}
      </p>
    </details>
  </section>
{/if}
