<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import { trackerCurve } from '$core/strings/curve/tracker';
  import CurveChart from '$lib/stages/strings/CurveChart.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import type { BenchState } from './benchState.svelte';

  let { bench }: { bench: BenchState } = $props();
</script>

<section class="sheet p-3 lg:col-span-2" aria-labelledby="b-curve">
  <header class="flex flex-wrap items-end gap-3 text-sm text-dim">
    <h2 id="b-curve" class="mr-auto text-ink">Curve of a tracker</h2>
    <Amount label="Light" unit="W/m²" min={1} max={1600} bind:value={bench.irradiance} />
    <Amount label="Cell" unit="°C" width="w-20" min={-40} max={100} bind:value={bench.cellC} />
  </header>
  {#if bench.best && bench.lit}
    <p>
      <b class="num">{fixed(bench.best.powerW / 1000, 2)} kW</b> at
      <b class="num">{fixed(bench.best.voltageV, 1)} V</b>, inside
      {bench.range.minV} to {bench.range.maxV} V.
    </p>
    <CurveChart
      curve={trackerCurve(bench.lit)}
      window={bench.range}
      best={bench.best}
      label="Current and power of {bench.strings} strings of {bench.modules} modules; highest {fixed(
        bench.best.powerW / 1000,
        2,
      )} kW"
    />
  {:else if !bench.model}<p>This sheet describes no real curve (SM01).</p>
  {:else}<p role="alert" class="text-stop">Light must be 1 to 1600 W/m² and the cell −40 to 100 °C.</p>{/if}
</section>
