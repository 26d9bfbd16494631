<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { z } from 'zod';
  import type { Calculation } from '$core/kernel/discipline';
  import { ApiProblem, post } from '$lib/client/api';
  import Formula from '$lib/ui/Formula.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import ListInput from '$lib/ui/form/ListInput.svelte';
  import { blankRow, fieldsOf } from '$lib/ui/form/fields';
  import Choice from '$lib/ui/form/Choice.svelte';
  import { outcomeOf } from './outcome';

  type Values = Record<string, unknown>;
  let { title, calculations }: { title: string; calculations: Readonly<Record<string, Calculation>> } = $props();

  /** An id has no spaces: with one the section would have no name. */
  const headingId = $derived(`b-${title.toLowerCase().replaceAll(/\W+/g, '-')}`);
  const names = $derived(Object.keys(calculations));
  let picked = $state('');
  const name = $derived(calculations[picked] ? picked : (names[0] ?? ''));
  const calculation = $derived(calculations[name]);
  const input = $derived(calculation?.input as z.ZodObject | undefined);
  const fields = $derived(input ? fieldsOf(input, Object.keys(input.shape)) : []);
  /** What was typed, by calculation: going back to one finds it again. */
  let typed = $state<Record<string, Values>>({});
  const values = $derived<Values>({ ...startOf(), ...typed[name] });
  const parsed = $derived(input?.safeParse(values));
  /** Nothing is said of a field that nobody touched. */
  const errors = $derived(
    parsed?.success === false
      ? parsed.error.issues.filter((i) => i.path.reduce<unknown>((v, k) => (v as Values)?.[String(k)], values) != null)
      : [],
  );
  const open = $derived(parsed?.success === false ? parsed.error.issues.length - errors.length : 0);
  let asked = $state.raw<{ readonly of: unknown; readonly answer?: unknown; readonly problem?: string } | null>(null);
  const result = $derived.by(() => {
    if (!calculation || !parsed?.success) return null;
    if (calculation.long) return asked?.of === typed[name] ? asked : null;
    try {
      return { answer: calculation.run(parsed.data), problem: undefined };
    } catch (cause) {
      if (!(cause instanceof RangeError)) throw cause;
      return { problem: cause.message };
    }
  });
  const outcome = $derived(calculation && result?.answer ? outcomeOf(calculation.output, result.answer) : null);

  /** What the schema itself begins with; lists begin with a row to type into. */
  function startOf(): Values {
    return Object.fromEntries(
      fields.map((f) => {
        const of = (input?.shape as Record<string, z.ZodType> | undefined)?.[f.path]?.safeParse(undefined);
        if (of?.success) return [f.path, of.data];
        return [f.path, f.kind === 'list' ? [blankRow(f, '1')] : null];
      }),
    );
  }
  const put = (path: string, next: unknown) =>
    (typed[name] = { ...values, [path]: next === undefined || next === '' ? null : next });
  const said = (path: string) => errors.filter((e) => e.path.length === 1 && e.path[0] === path).map((e) => e.message);
  function saidOfList(path: string) {
    const rows: Record<string, Record<string, string[]> | string[]> = {};
    for (const e of errors.filter((x) => x.path[0] === path)) {
      if (e.path.length === 1) rows['_errors'] = [e.message];
      else rows[String(e.path[1])] = { ...(rows[String(e.path[1])] as object), [String(e.path[2])]: [e.message] };
    }
    return rows;
  }
  async function compute() {
    const of = typed[name];
    try {
      asked = { of, answer: await post(`/api/v1/calculations/${name}`, values) };
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      asked = { of, problem: cause.problem.detail };
    }
  }
</script>

<section class="sheet p-3" aria-labelledby={headingId}>
  <header class="flex flex-wrap items-end gap-3">
    <h2 id={headingId} class="mr-auto">{title}</h2>
    <Choice
      label="Calculation"
      wide
      value={name}
      choices={names.map((n) => ({ value: n, name: calculations[n]?.summary ?? n }))}
      onchoose={(n) => (picked = n)}
    />
  </header>
  <div class="mt-2 grid gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
    <div class="grid grid-cols-2 items-end gap-x-3 gap-y-2 self-start sm:grid-cols-3">
      {#each fields as field (`${name}/${field.path}`)}
        {#if field.kind === 'list'}
          <ListInput
            {field}
            id="b-{name}-{field.path}"
            bind:value={() => (values[field.path] ?? []) as Values[], (next) => put(field.path, next)}
            errors={saidOfList(field.path)}
          />
        {:else}
          <FieldInput
            {field}
            id="b-{name}-{field.path}"
            bind:value={() => values[field.path], (next) => put(field.path, next)}
            errors={said(field.path)}
          />
        {/if}
      {/each}
    </div>
    <div aria-live="polite" class="min-w-0 self-start">
      {#if calculation?.long && parsed?.success && !outcome}
        <Button size="sm" onclick={compute}>Compute</Button>
      {/if}
      {#if outcome}
        {#if outcome.verdict}<p class="mb-1"><VerdictMark verdict={outcome.verdict} /></p>{/if}
        <dl class="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 gap-y-0.5">
          {#each outcome.lines as line (line.label)}
            <dt class="text-dim"><Formula line={line.label} /></dt>
            <dd class="num text-right">{line.text}</dd>
          {/each}
        </dl>
      {:else if result?.problem}<p role="alert" class="text-stop">{result.problem}</p>
      {:else if errors.length}<p class="text-stop">Out of range: see beside the fields.</p>
      {:else if open}<p class="text-dim">
          <VerdictMark verdict="unknown" />
          {open} inputs missing.
        </p>{/if}
    </div>
  </div>
</section>
