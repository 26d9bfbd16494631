<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { untrack } from 'svelte';
  import { energyInputsSchema } from '$core/strings/part';
  import type { EnergyInputs } from '$core/strings/part';
  import type { ProblemDocument } from '$lib/schemas/problem';

  let { value, save }: { value: EnergyInputs; save: (inputs: EnergyInputs) => Promise<ProblemDocument | null> } =
    $props();

  const listed = (values: number[] | null) => (values ? values.join(' ') : '');
  /** Typed text by field: what is wrong stays as it was typed. */
  let typed = $state(untrack(() => textOf(value)));
  function textOf(v: EnergyInputs) {
    return {
      utcOffsetH: v.utcOffsetH === null ? '' : String(v.utcOffsetH),
      clearness: listed(v.clearness),
      monthlyMeanC: listed(v.monthlyMeanC),
      dailyRangeK: String(v.dailyRangeK),
      albedo: String(v.albedo),
      lossPercent: String(v.lossPercent),
    };
  }
  let errors = $state<Record<string, string>>({});
  let saved = $state(false);

  const number = (text: string) => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')));
  const numbers = (text: string) =>
    text.trim() === ''
      ? null
      : text
          .trim()
          .split(/[\s;]+/)
          .map((t) => number(t.replace(/,$/, '')));

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    saved = false;
    const parsed = energyInputsSchema.safeParse({
      utcOffsetH: typed.utcOffsetH.trim() === '' ? null : number(typed.utcOffsetH),
      clearness: numbers(typed.clearness),
      monthlyMeanC: numbers(typed.monthlyMeanC),
      dailyRangeK: number(typed.dailyRangeK),
      albedo: number(typed.albedo),
      lossPercent: number(typed.lossPercent),
    });
    errors = {};
    if (!parsed.success) {
      for (const issue of parsed.error.issues) {
        const [field = '', at] = issue.path.map(String);
        errors[field] ??= at === undefined ? issue.message : `Value ${Number(at) + 1}: ${issue.message}`;
      }
      return;
    }
    saved = (await save(parsed.data)) === null;
  }
  const FIELDS = [
    ['monthlyMeanC', 'Monthly mean temperature', '°C, twelve values, January first', 'sm:col-span-2'],
    ['clearness', 'Monthly clearness', 'twelve values 0 to 1; empty: 0.6', 'sm:col-span-2'],
    ['dailyRangeK', 'Daily range of temperature', 'K', ''],
    ['utcOffsetH', 'Standard time against UTC', 'h; empty: by longitude', ''],
    ['albedo', 'Light that the ground throws back', '0 to 0.95', ''],
    ['lossPercent', 'Losses besides cable and mismatch', '%', ''],
  ] as const;
</script>

<form onsubmit={submit} novalidate class="grid grid-cols-1 gap-2 sm:grid-cols-4">
  {#each FIELDS as [field, label, unit, span] (field)}
    <label class="text-sm text-dim {span}"
      >{label} <span class="num">[{unit}]</span>
      <input
        class="num block w-full border bg-white px-2 py-1 text-ink {errors[field] ? 'border-stop' : 'border-rule'}"
        inputmode="decimal"
        aria-invalid={errors[field] !== undefined}
        aria-describedby={errors[field] ? `energy-${field}-error` : undefined}
        bind:value={typed[field]}
      />
      {#if errors[field]}<span id="energy-{field}-error" class="text-stop">{errors[field]}</span>{/if}
    </label>
  {/each}
  <p class="sm:col-span-4">
    <Button type="submit" size="sm">Save the inputs</Button>
    <span aria-live="polite" class="ml-2 text-sm text-dim">{saved ? 'Saved.' : ''}</span>
  </p>
</form>
