<script lang="ts">
  import { bayCalculations } from '$core/ac/bayCalculations';
  import { boardCalculations } from '$core/ac/boardCalculations';
  import { supplyCalculations } from '$core/proving/supplyCalculations';
  import { runCalculations } from '$core/ac/runCalculations';
  import { voltageCalculations } from '$core/ac/voltagePath/calculations';
  import { busCalculations } from '$core/links/busCalculations';
  import { fixingCalculations } from '$core/mounting/fixing/calculations';
  import { liftCalculations } from '$core/mounting/lift/calculations';
  import { receivingCalculations } from '$core/mounting/receiving/calculations';
  import { setOutCalculations } from '$core/mounting/setOut/calculations';
  import { sitingCalculations } from '$core/mounting/siting/calculations';
  import { wallCalculations } from '$core/mounting/wall/calculations';
  import CableBench from '$lib/stages/bench/CableBench.svelte';
  import CalculationBench from '$lib/stages/bench/CalculationBench.svelte';
  import CurveBench from '$lib/stages/bench/CurveBench.svelte';
  import FuseBench from '$lib/stages/bench/FuseBench.svelte';
  import OnTheBench from '$lib/stages/bench/OnTheBench.svelte';
  import WindowBench from '$lib/stages/bench/WindowBench.svelte';
  import { BenchState } from '$lib/stages/bench/benchState.svelte';
  import Caution from '$lib/ui/Caution.svelte';

  let { data } = $props();
  const bench = new BenchState(() => data.shelf);
  const module = $derived(bench.module);
  const inverter = $derived(bench.inverter);
</script>

<svelte:head><title>Bench · Bolt Yard</title></svelte:head>

<h1>Bench</h1>
<p class="mb-2 max-w-prose text-dim">One calculation at a time, without a site. Nothing here is kept.</p>

{#if !module || !inverter}
  <p class="sheet p-6 text-dim">
    The <a class="underline" href="/shelf">shelf</a> is empty: put a module and an inverter on it.
  </p>
{:else}
  <OnTheBench {bench} shelf={data.shelf} {module} {inverter} />
  <div class="mt-3 grid gap-3 lg:grid-cols-2">
    <WindowBench {bench} {module} {inverter} />
    <FuseBench {bench} {module} />
    <CableBench {bench} />
    <CurveBench {bench} />
  </div>
{/if}
<div class="mt-3 space-y-3">
  <CalculationBench title="AC runs" calculations={{ ...runCalculations, ...bayCalculations, ...boardCalculations }} />
  <CalculationBench title="Supply" calculations={supplyCalculations} />
  <CalculationBench title="Voltage on sunny days" calculations={voltageCalculations} />
  <CalculationBench title="Sun, air and sound" calculations={sitingCalculations} />
  <CalculationBench title="Wall and holes" calculations={{ ...wallCalculations, ...setOutCalculations }} />
  <CalculationBench title="Lifting" calculations={liftCalculations} />
  <CalculationBench title="Bus, meter, network" calculations={busCalculations} />
  <CalculationBench title="Receiving" calculations={receivingCalculations} />
  <CalculationBench title="Fixing" calculations={fixingCalculations} />
  <Caution
    >A string in light is live: it has no off switch. Licensed electrical workers; local code rules. Masonry, roofs and
    frames stay the structural engineer’s word. Ladders are no lift platform.</Caution
  >
</div>
