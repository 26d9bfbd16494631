<script lang="ts">
  import { Input, Label } from 'flowbite-svelte';
  import { CONTROL, LABEL } from './control';

  /** A number in a toolbar: counts at once, nothing to save. Null where the field is empty. */
  let {
    label,
    unit = '',
    value = $bindable(),
    onamount,
    onsettled,
    unnamed = false,
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
    /** Where it counts once it is typed whole. */
    onsettled?: (value: number | null) => void;
    /** What it is shows by what stands beside it: its name is for those who do not see that. */
    unnamed?: boolean;
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
  {#if !unnamed}<Label for={id} class={LABEL}
      >{label}{#if unit}&nbsp;<span class="num">[{unit}]</span>{/if}</Label
    >{/if}
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
      aria-label={unnamed ? label : undefined}
      onchange={() => onsettled?.(value)}
      bind:value={() => value as number, (next: number | null) => take(next)}
    />
  </div>
</div>
