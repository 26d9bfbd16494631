<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import { v7 as uuidv7 } from 'uuid';
  import type { CableKindList } from '$core/ac/schedule/cableList';
  import type { Remainder, StoreChange, StoredCable } from '$core/ac/schedule/cableStore';
  import { afterCutting, inStore, undone } from '$core/ac/schedule/cableStore';
  import type { DrumPlan } from '$core/ac/schedule/drums';
  import { fixed } from '$core/kernel/quantity';
  import { siteDay } from '$core/kernel/siteDay';
  import { LongTask } from '$lib/client/longTask.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import { changeStore } from '$lib/stages/shelf/cableStore';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import { fieldsOf } from '$lib/ui/form/fields';
  import TaskBar from '$lib/ui/TaskBar.svelte';
  import { drumsSchema } from './drumsAsked';

  let { kind, remainders }: { kind: CableKindList; remainders: readonly Remainder[] } = $props();
  const LIMIT_S = 2;
  const site = useSite();
  const store = $derived(inStore(remainders, kind.cable));
  const task = new LongTask();
  onDestroy(() => task.stop());
  const fields = fieldsOf(drumsSchema, Object.keys(drumsSchema.shape));
  let values = $state<Record<string, unknown>>({ drumM: null, keepM: null });
  const parsed = $derived(drumsSchema.safeParse(values));
  const errors = (path: string) =>
    parsed.error?.issues.filter((i) => i.path[0] === path && values[path] !== null).map((i) => i.message) ?? [];
  let plan = $state.raw<{ readonly of: string; readonly drums: DrumPlan } | null>(null);
  /** The plan belongs to these very cuts and this very store. */
  const of = $derived(JSON.stringify([kind.name, kind.cuts, store]));
  const shown = $derived(plan?.of === of ? plan.drums : null);

  async function find() {
    const asked = parsed.data;
    if (!asked) return;
    const asOf = of;
    const { cuts } = $state.snapshot(kind);
    const lengths = store.map((r) => r.lengthM);
    const drums = await task.run(async ({ work }) => await work.drums(cuts, asked.drumM, lengths, LIMIT_S));
    plan = drums && { of: asOf, drums };
    booked = null;
  }

  /** A cable of which insulation or cores are not said yet is none that the store knows. */
  const kept = $derived(!Object.values(kind.cable).includes(null));
  /** What cutting by this plan changes in the store; null while it is not said from which length remainders are kept. */
  const change = $derived.by((): StoreChange | null => {
    const keepM = parsed.data?.keepM ?? null;
    if (!shown || keepM === null || !kept) return null;
    return afterCutting(shown, store, {
      ...(kind.cable as StoredCable),
      dated: siteDay(Date.now(), site.design.survey.timeZone ?? 'UTC'),
      where: null,
      keepM,
      newId: uuidv7,
    });
  });
  let booked = $state.raw<{ readonly done: StoreChange; readonly back: StoreChange } | null>(null);
  let problem = $state.raw<ProblemDocument | null>(null);

  async function book(done: StoreChange) {
    const back = undone(done, store);
    problem = await changeStore(done);
    booked = problem ? null : { done, back };
  }
  async function putBack() {
    problem = booked && (await changeStore(booked.back));
    booked = null;
  }
  const counted = (n: number) => `${n} ${n === 1 ? 'remainder' : 'remainders'}`;
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
  <p class="text-sm text-dim">
    In store: {store.map((r) => `${fixed(r.lengthM, 1)} m${r.where ? ` (${r.where})` : ''}`).join(' · ') ||
      'nothing of this cable'}.
    <a class="underline" href="/shelf#store">The store</a>
  </p>
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
    <p class="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
      <Button size="sm" color="alternative" disabled={change === null} onclick={() => change && book(change)}
        >It is cut so: change the store</Button
      >
      <span class="text-sm text-dim"
        >{change
          ? `${counted(change.take.length)} out, ${counted(change.put.length)} in`
          : kept
            ? 'Say from which length remainders are kept; what is shorter is scrap.'
            : 'Metal, insulation, cores or section of these runs is not said: the store knows no such cable.'}</span
      >
    </p>
  {/if}
  {#if problem}<p role="alert" class="border-l-4 border-stop px-2">{problem.detail}</p>{/if}
  {#if booked}
    <p role="status">
      The store was changed: {counted(booked.done.take.length)} out, {booked.done.put
        .map((r) => `${fixed(r.lengthM, 1)} m`)
        .join(', ') || 'nothing'} in. <button type="button" class="underline" onclick={putBack}>Undo</button>
    </p>
  {/if}
</section>
