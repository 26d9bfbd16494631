<script lang="ts">
  import type { FullAutoFill } from 'svelte/elements';
  import { Input, Label, Textarea } from 'flowbite-svelte';
  import { CONTROL, LABEL } from './control';

  /** A line in somebody's own words, or a few of them. */
  let {
    label,
    value = $bindable(),
    rows = 1,
    placeholder,
    autocomplete,
    required = false,
  }: {
    label: string;
    value: string;
    rows?: number;
    placeholder?: string;
    autocomplete?: FullAutoFill;
    required?: boolean;
  } = $props();
  const id = $props.id();
</script>

<div class="min-w-0 {CONTROL}">
  <Label for={id} class={LABEL}>{label}</Label>
  {#if rows > 1}
    <Textarea {id} {rows} {required} class="w-full text-sm" {placeholder} bind:value />
  {:else}
    <Input {id} type="text" size="sm" {placeholder} {autocomplete} {required} bind:value />
  {/if}
</div>
