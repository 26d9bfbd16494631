<script lang="ts">
  import { Helper, Input, Label, Select } from 'flowbite-svelte';
  import Formula from '$lib/ui/Formula.svelte';
  import { CONTROL, LABEL } from './control';
  import DateInput from './DateInput.svelte';
  import type { Field } from './fields';

  type Choice = { value: string; name: string };
  let {
    field,
    value = $bindable(),
    errors = [],
    id,
    choices,
  }: { field: Field; value: unknown; errors?: readonly string[]; id: string; choices?: readonly Choice[] } = $props();

  const invalid = $derived(errors.length > 0);
  const described = $derived(invalid ? `${id}-error` : undefined);
  const items = $derived([
    ...(field.nullable ? [{ value: '', name: 'not known yet' }] : []),
    ...(choices
      ? choices
      : field.kind === 'yes-no'
        ? [
            { value: 'true', name: 'yes' },
            { value: 'false', name: 'no' },
          ]
        : field.choices.map((c) => ({ value: String(c), name: String(c) }))),
  ]);
  const chosen = $derived(value === null || value === undefined ? '' : String(value));

  /** What a select's text means to the schema. */
  function choose(text: string) {
    if (text === '') value = null;
    else if (field.kind === 'yes-no') value = text === 'true';
    else if (field.kind === 'number') value = Number(text);
    else value = field.choices.find((c) => String(c) === text) ?? text;
  }
</script>

<div class="min-w-0 {CONTROL} {field.wide ? 'sm:col-span-2' : ''}">
  <Label for={id} class={LABEL}>
    <Formula line={field.label} />{#if field.unit}&nbsp;<span class="num">[{field.unit}]</span>{/if}
  </Label>
  {#if choices || field.kind === 'choice' || field.kind === 'yes-no'}
    <Select
      {id}
      name={field.path}
      size="sm"
      {items}
      placeholder={field.nullable ? '' : 'choose'}
      value={chosen}
      aria-invalid={invalid}
      aria-describedby={described}
      onchange={(e) => choose(e.currentTarget.value)}
    />
  {:else if field.kind === 'number'}
    <Input
      {id}
      name={field.path}
      type="number"
      step="any"
      size="sm"
      class="num placeholder:font-sans placeholder:text-xs"
      bind:value={value as number}
      color={invalid ? 'red' : undefined}
      aria-invalid={invalid}
      aria-describedby={described}
      placeholder={field.nullable ? 'not known yet' : ''}
    />
  {:else if field.kind === 'date'}
    <DateInput {id} name={field.path} bind:value={value as string} {invalid} describedby={described} />
  {:else}
    <Input
      {id}
      name={field.path}
      type="text"
      size="sm"
      bind:value={() => (value as string | null) ?? '', (next) => (value = next === '' && field.nullable ? null : next)}
      color={invalid ? 'red' : undefined}
      aria-invalid={invalid}
      aria-describedby={described}
    />
  {/if}
  {#if invalid}<Helper id="{id}-error" color="red" class="mt-0.5">{errors[0]}</Helper>{/if}
</div>
