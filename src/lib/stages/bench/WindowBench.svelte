<script lang="ts">
  import { Checkbox } from 'flowbite-svelte';
  import type { InverterType } from '$core/equipment/inverterType';
  import type { ModuleType } from '$core/equipment/moduleType';
  import { COLD_METHODS } from '$core/site/survey';
  import { stringWindow } from '$core/strings/window';
  import WindowPanel from '$lib/stages/strings/WindowPanel.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import type { BenchState } from './benchState.svelte';
  import { inRange } from './benchState.svelte';

  let { bench, module, inverter }: { bench: BenchState; module: ModuleType; inverter: InverterType } = $props();
  const inputs = $derived(bench.windowInputs);
</script>

<section class="sheet p-3 lg:col-span-2" aria-labelledby="b-window">
  <header class="flex flex-wrap items-end gap-3 text-sm text-dim">
    <h2 id="b-window" class="mr-auto text-ink">String window</h2>
    <Amount label="Coldest morning" unit="°C" bind:value={bench.coldestC} />
    <Amount label="Hot ambient" unit="°C" bind:value={bench.hottestC} />
    <Choice
      label="Cold voltage by"
      choices={COLD_METHODS.filter((m) => m !== 'engineered')}
      bind:value={bench.coldMethod}
    />
    <div class="flex h-8 items-center">
      <Checkbox bind:checked={bench.countTolerance}><span>Count the tolerance of U<sub>oc</sub></span></Checkbox>
    </div>
  </header>
  {#if bench.coldestC !== null && !inRange(bench.coldestC, -60, 35)}<p role="alert" class="text-stop">
      The coldest morning must be −60 to 35 °C.
    </p>{/if}
  {#if bench.hottestC !== null && !inRange(bench.hottestC, 0, 60)}<p role="alert" class="text-stop">
      The hot ambient must be 0 to 60 °C.
    </p>{/if}
  {#if inputs}<WindowPanel answer={stringWindow(inputs)} {inputs} {inverter} {module} modules={bench.modules} />{/if}
</section>
