<script lang="ts" generics="T extends { readonly id: string }">
  import { Button } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';
  import Formula from './Formula.svelte';

  interface Column {
    readonly name: string;
    /** Of figures: they stand under one another by their last digit. */
    readonly figures?: boolean;
  }
  let {
    title,
    add,
    empty,
    parts,
    columns,
    blank,
    row,
    form,
    onremove,
  }: {
    title: string;

    /** What the button says that begins a new one. */
    add: string;
    /** What is shown where there is none: what will stand here. */
    empty: string;
    parts: readonly T[];
    columns: readonly Column[];
    /** A new part with nothing typed yet. */
    blank: () => T;
    /** The cells of a part, after its place in the list. */
    row: Snippet<[part: T, index: number]>;
    /** The form of an open part; `done` closes it. */
    form: Snippet<[part: T, done: () => void]>;
    /** Absent where nothing is taken away. */
    onremove?: (part: T) => void;
  } = $props();

  let open = $state('');
  let draft = $state.raw<T | null>(null);
  const isNew = $derived(draft !== null && !parts.some((p) => p.id === draft?.id));
  const rows = $derived(draft && isNew ? [...parts, draft] : parts);

  function begin() {
    draft = blank();
    open = draft.id;
  }
  function close() {
    open = '';
    draft = null;
  }
  function toggle(id: string) {
    if (open === id) close();
    else {
      if (id !== draft?.id) draft = null;
      open = id;
    }
  }
</script>

<section class="sheet relative overflow-x-auto p-3" aria-label={title}>
  <header class="mb-1 flex items-center gap-3">
    <h2>{title}</h2>
    <Button size="xs" onclick={begin}>{add}</Button>
  </header>
  {#if rows.length === 0}<p class="text-dim">{empty}</p>{:else}
    <table class="grid-table">
      <thead
        ><tr
          >{#each columns as c (c.name)}<th scope="col" class={c.figures ? 'fig' : ''}><Formula line={c.name} /></th
            >{/each}<th scope="col"><span class="sr-only">What to do with it</span></th></tr
        ></thead
      >
      <tbody>
        {#each rows as part, i (part.id)}
          <tr data-part={part.id}>
            {@render row(part, i)}
            <td class="text-right whitespace-nowrap">
              <button type="button" class="underline" aria-expanded={open === part.id} onclick={() => toggle(part.id)}
                >{open === part.id ? 'close' : 'change'}</button
              >
              {#if onremove && (part.id !== draft?.id || !isNew)}<button
                  type="button"
                  class="ml-2 underline"
                  onclick={() => onremove(part)}>remove</button
                >{/if}
            </td>
          </tr>
          {#if open === part.id}
            <tr><td colspan={columns.length + 1} class="bg-paper">{@render form(part, close)}</td></tr>
          {/if}
        {/each}
      </tbody>
    </table>
  {/if}
</section>
