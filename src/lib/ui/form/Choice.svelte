<script lang="ts" generics="T extends string | number">
  import { Label, Select } from 'flowbite-svelte';
  import { CONTROL, LABEL } from './control';

  /** One of several, in a toolbar: taken at once, nothing to save. */
  let {
    label,
    unit = '',
    choices,
    value = $bindable(),
    onchoose,
    unnamed = false,
    beside = false,
    wide = false,
  }: {
    label: string;
    unit?: string;
    choices: readonly (T | { readonly value: T; readonly name: string })[];
    value: T | undefined;
    /** Where what is chosen is kept elsewhere. */
    onchoose?: (value: T) => void;
    /** What it is shows by what stands in it: its name is for those who do not see that. */
    unnamed?: boolean;
    /** Name and unit in one line with it. */
    beside?: boolean;
    /** As wide as its longest choice, and never wider than what it stands in. */
    wide?: boolean;
  } = $props();
  const id = $props.id();
  const items = $derived(choices.map((c) => (typeof c === 'object' ? { ...c } : { value: c, name: String(c) })));
  function choose(next: T) {
    value = next;
    onchoose?.(next);
  }
</script>

<div
  class="max-w-full {CONTROL} {beside ? 'flex items-center gap-1.5 whitespace-nowrap' : ''} {wide
    ? ''
    : '[&_select]:w-auto'}"
>
  {#if !unnamed}<Label for={id} class={LABEL}
      >{label}{#if unit}&nbsp;<span class="num">[{unit}]</span>{/if}</Label
    >{/if}
  <Select
    {id}
    size="sm"
    {items}
    placeholder=""
    aria-label={unnamed ? label : undefined}
    bind:value={() => value as T, choose}
  />
</div>
