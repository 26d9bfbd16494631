<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import { CONTROL } from './control';

  /** Words by which a list is searched, as they are typed. */
  let {
    label,
    placeholder = '',
    value = $bindable(''),
    onfind,
    width = 'w-52',
  }: {
    label: string;
    placeholder?: string;
    value?: string;
    /** Where the words are kept elsewhere. */
    onfind?: (words: string) => void;
    width?: string;
  } = $props();
  function take(words: string) {
    value = words;
    onfind?.(words);
  }
</script>

<div class="{width} {CONTROL}">
  <Input type="search" size="sm" aria-label={label} {placeholder} bind:value={() => value, take} />
</div>
