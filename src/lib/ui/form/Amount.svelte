<script lang="ts">
  import { Input, Label } from 'flowbite-svelte';
  import { CONTROL } from './control';

  /** A number in a toolbar: counts at once, nothing to save. Null where the field is empty. */
  let {
    label,
    unit = '',
    value = $bindable(),
    onamount,
    width = 'w-24',
    min,
    max,
    step = 'any',
    placeholder,
  }: {
    label: string;
    unit?: string;
    value: number | null;
    /** Where what is typed is kept elsewhere. */
    onamount?: (value: number | null) => void;
    width?: string;
    min?: number;
    max?: number;
    step?: number | 'any';
    placeholder?: string | undefined;
  } = $props();
  const id = $props.id();
  function take(next: number | null) {
    value = next;
    onamount?.(next);
  }
</script>

<div class={CONTROL}>
  <Label for={id} class="mb-0.5 text-sm font-normal text-dim"
    >{label}{#if unit}&nbsp;<span class="num">[{unit}]</span>{/if}</Label
  >
  <div class={width}>
    <Input
      {id}
      type="number"
      size="sm"
      class="num"
      {min}
      {max}
      {step}
      {placeholder}
      bind:value={() => value as number, (next: number | null) => take(next)}
    />
  </div>
</div>
