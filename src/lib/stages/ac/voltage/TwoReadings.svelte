<script lang="ts">
  import type { RunResult } from '$core/ac/results';
  import type { VoltagePath } from '$core/ac/voltagePath/path';
  import type { Readings } from '$core/ac/voltagePath/readings';
  import { readingChecks, readingsSchema } from '$core/ac/voltagePath/readings';
  import type { Answer } from '$core/kernel/answer';
  import Choice from '$lib/ui/form/Choice.svelte';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import { fieldsOf } from '$lib/ui/form/fields';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { runs, path }: { runs: readonly RunResult[]; path: Answer<VoltagePath> } = $props();
  const fields = fieldsOf(readingsSchema, Object.keys(readingsSchema.shape));
  let values = $state<Record<string, unknown>>(Object.fromEntries(fields.map((f) => [f.path, null])));
  let unitId = $state('');
  const run = $derived(runs.find((r) => r.inverter.id === unitId) ?? runs[0]);
  const parsed = $derived(readingsSchema.safeParse(values));
  const errors = (path: string) =>
    parsed.error?.issues.filter((i) => i.path[0] === path && values[path] !== null).map((i) => i.message) ?? [];
  const checks = $derived(run && parsed.success ? readingChecks(parsed.data as Readings, run, path) : []);
</script>

<section class="sheet p-3" aria-labelledby="two-readings">
  <header class="flex flex-wrap items-end gap-3">
    <h2 id="two-readings" class="mr-auto">Two readings: whose problem is it</h2>
    <Choice
      label="Unit"
      choices={runs.map((r) => ({ value: r.inverter.id, name: r.inverter.tag }))}
      value={run?.inverter.id ?? ''}
      onchoose={(id) => (unitId = id)}
    />
  </header>
  <p class="text-sm text-dim">
    Read unit and board in the same minute, off or low and then at more than 40 % of rating, at unity power factor.
    Nothing here is kept.
  </p>
  <div class="my-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
    {#each fields as field (field.path)}
      <FieldInput
        {field}
        id="read-{field.path}"
        bind:value={
          () => values[field.path], (next) => (values[field.path] = next === undefined || next === '' ? null : next)
        }
        errors={errors(field.path)}
      />
    {/each}
  </div>
  <ul class="space-y-2" aria-live="polite">
    {#each checks as c (c.subject.path)}
      <li class="border-t border-rule pt-1">
        <VerdictMark verdict={c.verdict} /> <b>{c.subject.path}</b>
        {#each c.working as line (line)}<p class="pl-6">{line}</p>{/each}
      </li>
    {/each}
  </ul>
</section>
