<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import FieldInput from './FieldInput.svelte';
  import type { Field } from './fields';
  import { blankRow } from './fields';

  type Row = Record<string, unknown>;
  let {
    field,
    value = $bindable(),
    errors,
    id,
  }: {
    field: Field;
    value: readonly Row[];
    /** What is wrong, by row and field; of the list as a whole under `_errors`. */
    errors?: unknown;
    id: string;
  } = $props();

  const messages = (i: number, path: string) => {
    const found = (errors as Record<number, Record<string, readonly string[]>> | undefined)?.[i]?.[path];
    return Array.isArray(found) ? found : [];
  };
  const whole = $derived((errors as { _errors?: readonly string[] } | undefined)?._errors ?? []);
  const put = (i: number, path: string, next: unknown) =>
    (value = value.map((row, k) => (k === i ? { ...row, [path]: next === undefined ? null : next } : row)));
  const add = () => (value = [...value, blankRow(field, crypto.randomUUID().slice(0, 8))]);
</script>

<fieldset class="col-span-full min-w-0" aria-describedby={whole.length ? `${id}-error` : undefined}>
  <legend class="mb-0.5 text-sm text-dim">{field.label}</legend>
  {#each value as row, i (i)}
    <div class="mb-1 flex flex-wrap items-end gap-2" role="group" aria-label="{field.label}, {i + 1}">
      <span class="num w-5 pb-1.5 text-right text-dim">{i + 1}</span>
      {#each field.items as item (item.path)}
        <div class="w-36">
          <FieldInput
            field={item}
            id="{id}-{i}-{item.path}"
            bind:value={() => row[item.path], (next) => put(i, item.path, next)}
            errors={messages(i, item.path)}
          />
        </div>
      {/each}
      <button
        type="button"
        class="pb-1.5 underline"
        aria-label="Remove {field.label}, {i + 1}"
        onclick={() => (value = value.filter((_, k) => k !== i))}>remove</button
      >
    </div>
  {/each}
  <Button size="xs" color="alternative" onclick={add}
    >Add to: {field.label.charAt(0).toLowerCase() + field.label.slice(1)}</Button
  >
  {#each whole as text (text)}<p id="{id}-error" class="text-sm text-stop">{text}</p>{/each}
</fieldset>
