<script lang="ts">
  import type { InverterType } from '$core/equipment/inverterType';
  import type { ModuleType } from '$core/equipment/moduleType';
  import { COLD_METHODS } from '$core/site/survey';
  import { stringWindow } from '$core/strings/window';
  import WindowPanel from '$lib/stages/strings/WindowPanel.svelte';
  import type { BenchState } from './benchState.svelte';
  import { BOX, inRange } from './benchState.svelte';

  let { bench, module, inverter }: { bench: BenchState; module: ModuleType; inverter: InverterType } = $props();
  const inputs = $derived(bench.windowInputs);
</script>

<section class="sheet p-3 lg:col-span-2" aria-labelledby="b-window">
  <header class="flex flex-wrap items-end gap-3 text-sm text-dim">
    <h2 id="b-window" class="mr-auto text-ink">String window</h2>
    <label>Coldest morning, °C<input class="num w-24 {BOX}" type="number" bind:value={bench.coldestC} /></label>
    <label>Hot ambient, °C<input class="num w-24 {BOX}" type="number" bind:value={bench.hottestC} /></label>
    <label
      >Cold voltage by
      <select class="{BOX} pr-7" bind:value={bench.coldMethod}>
        {#each COLD_METHODS.filter((m) => m !== 'engineered') as m (m)}<option>{m}</option>{/each}
      </select></label
    >
    <label class="flex items-center gap-2"
      ><input type="checkbox" class="border-rule" bind:checked={bench.countTolerance} /><span
        >Count the tolerance of U<sub>oc</sub></span
      ></label
    >
  </header>
  {#if bench.coldestC !== null && !inRange(bench.coldestC, -60, 35)}<p role="alert" class="text-stop">
      The coldest morning must be −60 to 35 °C.
    </p>{/if}
  {#if bench.hottestC !== null && !inRange(bench.hottestC, 0, 60)}<p role="alert" class="text-stop">
      The hot ambient must be 0 to 60 °C.
    </p>{/if}
  {#if inputs}<WindowPanel answer={stringWindow(inputs)} {inputs} {inverter} {module} modules={bench.modules} />{/if}
</section>
