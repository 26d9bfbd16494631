<script lang="ts">
  import type { InverterType } from '$core/equipment/inverterType';
  import { MODULE_MOUNTING } from '$core/equipment/moduleMounting';
  import type { ModuleType } from '$core/equipment/moduleType';
  import { BUILDINGS } from '$core/site/survey';
  import type { BenchState, Shelf } from './benchState.svelte';
  import { BOX, inRange } from './benchState.svelte';

  let {
    bench,
    shelf,
    module,
    inverter,
  }: { bench: BenchState; shelf: Shelf; module: ModuleType; inverter: InverterType } = $props();
</script>

<section class="sheet flex flex-wrap items-end gap-3 p-3 text-sm text-dim" aria-label="What is on the bench">
  <label
    >Module
    <select class="{BOX} pr-7" value={module.id} onchange={(e) => (bench.moduleId = e.currentTarget.value)}>
      {#each shelf.modules as m (m.id)}<option value={m.id}>{m.name}</option>{/each}
    </select></label
  >
  <label
    >Inverter
    <select class="{BOX} pr-7" value={inverter.id} onchange={(e) => (bench.typeId = e.currentTarget.value)}>
      {#each shelf.inverters as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
    </select></label
  >
  <label
    >Mounting
    <select class="{BOX} pr-7" bind:value={bench.mounting}>
      {#each Object.entries(MODULE_MOUNTING) as [key, m] (key)}<option value={key}>{m.words}</option>{/each}
    </select></label
  >
  <label
    >School
    <select class="{BOX} pr-7" bind:value={bench.school}>
      {#each ['IEC', 'NEC', 'AU/NZ'] as s (s)}<option>{s}</option>{/each}
    </select></label
  >
  <label
    >On a building
    <select class="{BOX} pr-7" bind:value={bench.building}>
      {#each BUILDINGS as b (b)}<option>{b}</option>{/each}
    </select></label
  >
  <label
    >Light on the rear over light in front<input
      class="num w-32 {BOX}"
      type="number"
      min="0"
      max="0.3"
      step="0.01"
      placeholder="usually {MODULE_MOUNTING[bench.mounting].rearRatio}"
      bind:value={bench.rearShare}
    /></label
  >
  <label
    >Modules in series<input class="num w-20 {BOX}" type="number" min="1" max="60" bind:value={bench.modules} /></label
  >
  <label
    >Strings in parallel<input
      class="num w-20 {BOX}"
      type="number"
      min="1"
      max="24"
      bind:value={bench.strings}
    /></label
  >
  {#if bench.rearShare !== null && !inRange(bench.rearShare, 0, 0.3)}<p role="alert" class="text-stop">
      The share on the rear must be 0 to 0.3.
    </p>{/if}
  {#if !bench.counted}<p role="alert" class="text-stop">
      Modules must be a whole number from 1 to 60, strings from 1 to 24.
    </p>{/if}
</section>
