<script lang="ts">
  import type { FullAutoFill } from 'svelte/elements';
  import { Input, Label, Textarea } from 'flowbite-svelte';
  import { CONTROL, LABEL } from './control';

  /** A line in somebody's own words, or a few of them. */
  let {
    label,
    value = $bindable(),
    rows = 1,
    autocomplete,
    required = false,
  }: {
    label: string;
    value: string;
    rows?: number;
    autocomplete?: FullAutoFill;
    required?: boolean;
  } = $props();
  const id = $props.id();
</script>

<div class="min-w-0 {CONTROL}">
  <Label for={id} class={LABEL}>{label}</Label>
  {#if rows > 1}
    <Textarea {id} {rows} {required} class="w-full text-sm" bind:value />
  {:else}
    <Input {id} type="text" size="sm" {autocomplete} {required} bind:value />
  {/if}
</div>
