<script lang="ts">
  import { v7 as uuidv7 } from 'uuid';
  import type { Remainder, StoreChange } from '$core/ac/schedule/cableStore';
  import { remainderSchema, undone } from '$core/ac/schedule/cableStore';
  import { fixed } from '$core/kernel/quantity';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import { changeStore, remainderWords } from './cableStore';

  let { remainders }: { remainders: readonly Remainder[] } = $props();
  const rows = $derived(
    [...remainders].sort(
      (a, b) => remainderWords(a).localeCompare(remainderWords(b), 'en', { numeric: true }) || b.lengthM - a.lengthM,
    ),
  );
  const form = remainderSchema.omit({ id: true });
  const BLANK = {
    metal: null,
    insulation: null,
    cores: null,
    sectionMm2: null,
    lengthM: null,
    dated: null,
    where: null,
  };
  /** Id of the remainder that is changed, `new` for one that is put in. */
  let open = $state<string | null>(null);
  let back = $state.raw<{ readonly what: string; readonly change: StoreChange } | null>(null);
  let problem = $state.raw<ProblemDocument | null>(null);

  async function taken(r: Remainder) {
    const change = { take: [r.id], put: [] };
    const inverse = undone(change, remainders);
    problem = await changeStore(change);
    back = problem
      ? null
      : { what: `${fixed(r.lengthM, 1)} m of ${remainderWords(r)} left the store.`, change: inverse };
  }
  async function putBack() {
    problem = back && (await changeStore(back.change));
    back = null;
  }
  async function saved(values: Record<string, unknown>, was: Remainder | null) {
    const put = [{ ...values, id: was?.id ?? uuidv7() } as Remainder];
    const wrong = await changeStore({ take: was ? [was.id] : [], put });
    if (!wrong) open = null;
    return wrong;
  }
</script>

{#snippet entered(was: Remainder | null)}
  <EditForm
    schema={form}
    value={was ?? BLANK}
    groups={[{ title: '', paths: Object.keys(form.shape) }]}
    prefix="remainder-{was?.id ?? 'new'}"
    label={was ? 'Save the remainder' : 'Put it in the store'}
    save={(values) => saved(values, was)}
  />
{/snippet}

<section class="sheet overflow-x-auto p-3" aria-labelledby="store">
  <header class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2 id="store">Cable in store</h2>
    <span class="text-sm text-dim">{rows.length} {rows.length === 1 ? 'remainder' : 'remainders'}</span>
    <button
      type="button"
      class="text-sm underline"
      aria-expanded={open === 'new'}
      onclick={() => (open = open === 'new' ? null : 'new')}>{open === 'new' ? 'close' : 'put one in'}</button
    >
  </header>
  <p class="text-sm text-dim">
    What drums had left. Runs are cut from here first: AC, Order, “Drums” takes remainders out and puts back what is
    left.
  </p>
  {#if problem}<p role="alert" class="border-l-4 border-stop px-2">{problem.detail}</p>{/if}
  {#if back}
    <p role="status" class="px-2">
      {back.what} <button type="button" class="underline" onclick={putBack}>Put it back</button>
    </p>
  {/if}
  {#if open === 'new'}{@render entered(null)}{/if}
  {#if rows.length}
    <table class="grid-table mt-2">
      <thead
        ><tr
          ><th scope="col">Cable</th><th scope="col" class="fig">Length</th><th scope="col">Left on</th><th scope="col"
            >Where it lies</th
          ><th scope="col"><span class="sr-only">Change</span></th></tr
        ></thead
      >
      <tbody>
        {#each rows as r (r.id)}
          <tr>
            <th scope="row" class="num">{remainderWords(r)}</th>
            <td class="fig">{fixed(r.lengthM, 1)} m</td>
            <td class="num">{r.dated}</td>
            <td>{r.where ?? 'not said'}</td>
            <td class="space-x-3 text-sm whitespace-nowrap">
              <button
                type="button"
                class="underline"
                aria-expanded={open === r.id}
                aria-label="Change {fixed(r.lengthM, 1)} m of {remainderWords(r)}"
                onclick={() => (open = open === r.id ? null : r.id)}>{open === r.id ? 'close' : 'change'}</button
              >
              <button
                type="button"
                class="underline"
                aria-label="Take {fixed(r.lengthM, 1)} m of {remainderWords(r)} out"
                onclick={() => taken(r)}>take out</button
              >
            </td>
          </tr>
          {#if open === r.id}<tr><td colspan="5">{@render entered(r)}</td></tr>{/if}
        {/each}
      </tbody>
    </table>
  {:else if open !== 'new'}
    <p class="text-dim">Nothing is in store: what a drum has left goes here by hand, or from a plan of drums.</p>
  {/if}
</section>
