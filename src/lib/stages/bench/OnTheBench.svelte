<script lang="ts">
  import { SCHOOL_NAMES } from '$core/conductor/school';
  import type { InverterType } from '$core/equipment/inverterType';
  import { MODULE_MOUNTING } from '$core/equipment/moduleMounting';
  import type { ModuleType } from '$core/equipment/moduleType';
  import { BUILDINGS } from '$core/site/survey';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import type { BenchState, Shelf } from './benchState.svelte';
  import { inRange } from './benchState.svelte';

  let {
    bench,
    shelf,
    module,
    inverter,
  }: { bench: BenchState; shelf: Shelf; module: ModuleType; inverter: InverterType } = $props();
  const MOUNTINGS = (Object.keys(MODULE_MOUNTING) as (keyof typeof MODULE_MOUNTING)[]).map((value) => ({
    value,
    name: MODULE_MOUNTING[value].words,
  }));
</script>

<section class="sheet flex flex-wrap items-end gap-3 p-3 text-sm text-dim" aria-label="What is on the bench">
  <Choice
    label="Module"
    value={module.id}
    choices={shelf.modules.map((m) => ({ value: m.id, name: m.name }))}
    onchoose={(id) => (bench.moduleId = id)}
  />
  <Choice
    label="Inverter"
    value={inverter.id}
    choices={shelf.inverters.map((t) => ({ value: t.id, name: t.name }))}
    onchoose={(id) => (bench.typeId = id)}
  />
  <Choice label="Mounting" choices={MOUNTINGS} bind:value={bench.mounting} />
  <Choice label="School" choices={SCHOOL_NAMES} bind:value={bench.school} />
  <Choice label="On a building" choices={BUILDINGS} bind:value={bench.building} />
  <Amount
    label="Light on the rear over light in front"
    width="w-32"
    min={0}
    max={0.3}
    step={0.01}
    placeholder="usually {MODULE_MOUNTING[bench.mounting].rearRatio}"
    bind:value={bench.rearShare}
  />
  <Amount label="Modules in series" width="w-20" min={1} max={60} step={1} bind:value={bench.modules} />
  <Amount label="Strings in parallel" width="w-20" min={1} max={24} step={1} bind:value={bench.strings} />
  {#if bench.rearShare !== null && !inRange(bench.rearShare, 0, 0.3)}<p role="alert" class="text-stop">
      The share on the rear must be 0 to 0.3.
    </p>{/if}
  {#if !bench.counted}<p role="alert" class="text-stop">
      Modules must be a whole number from 1 to 60, strings from 1 to 24.
    </p>{/if}
</section>
