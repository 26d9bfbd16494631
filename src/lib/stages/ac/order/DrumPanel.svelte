<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import type { CableKindList } from '$core/ac/schedule/cableList';
  import type { DrumPlan } from '$core/ac/schedule/drums';
  import { fixed } from '$core/kernel/quantity';
  import { LongTask } from '$lib/client/longTask.svelte';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import { fieldsOf } from '$lib/ui/form/fields';
  import TaskBar from '$lib/ui/TaskBar.svelte';
  import { drumsSchema, remaindersIn } from './drumsAsked';

  let { kind }: { kind: CableKindList } = $props();
  const LIMIT_S = 2;
  const task = new LongTask();
  onDestroy(() => task.stop());
  const fields = fieldsOf(drumsSchema, Object.keys(drumsSchema.shape));
  let values = $state<Record<string, unknown>>({ drumM: null, remainders: '' });
  const parsed = $derived(drumsSchema.safeParse(values));
  const errors = (path: string) =>
    parsed.error?.issues.filter((i) => i.path[0] === path && values[path] !== null).map((i) => i.message) ?? [];
  let plan = $state.raw<{ readonly of: readonly unknown[]; readonly drums: DrumPlan } | null>(null);
  /** The plan belongs to these very cuts and no others. */
  const shown = $derived(plan?.of[0] === kind.name && plan.of[1] === kind.metres ? plan.drums : null);

  async function find() {
    const asked = parsed.data;
    if (!asked) return;
    const of = [kind.name, kind.metres];
    const { cuts } = $state.snapshot(kind);
    const drums = await task.run(
      async ({ work }) => await work.drums(cuts, asked.drumM, remaindersIn(asked.remainders), LIMIT_S),
    );
    plan = drums && { of, drums };
  }
</script>

<section class="sheet p-3" aria-label="Drums of {kind.name}">
  <h2>Drums of {kind.name}</h2>
  <div class="flex flex-wrap items-end gap-3">
    {#each fields as field (field.path)}
      <div class="w-64">
        <FieldInput
          {field}
          id="drum-{kind.name}-{field.path}"
          bind:value={() => values[field.path], (next) => (values[field.path] = next === undefined ? null : next)}
          errors={errors(field.path)}
        />
      </div>
    {/each}
    <Button size="sm" disabled={!parsed.success} onclick={find}
      >Cut {kind.cuts.length} {kind.cuts.length === 1 ? 'piece' : 'pieces'}</Button
    >
  </div>
  <TaskBar {task} share={null} name="Cutting">trying orders</TaskBar>
  {#if shown}
    <p class="mt-2">
      <b class="num">{shown.newDrums}</b> new {shown.newDrums === 1 ? 'drum' : 'drums'}, {shown.proved
        ? 'proved the fewest'
        : `at least ${shown.atLeast} are needed`}.
    </p>
    <table class="grid-table">
      <thead
        ><tr
          ><th scope="col">Drum</th><th scope="col" class="fig">Length</th><th scope="col">Cuts</th><th
            scope="col"
            class="fig">Left for the store</th
          ></tr
        ></thead
      >
      <tbody>
        {#each shown.drums as d, i (i)}
          <tr
            ><td>{d.isNew ? 'new' : 'from the store'}</td><td class="fig">{fixed(d.lengthM, 1)} m</td><td class="num"
              >{d.cuts.map((c) => `${c.tag} ${fixed(c.lengthM, 1)} m`).join(' · ') || 'not touched'}</td
            ><td class="fig">{fixed(d.leftM, 1)} m</td></tr
          >
        {/each}
      </tbody>
    </table>
  {/if}
</section>
