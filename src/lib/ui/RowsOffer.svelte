<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';

  /** Rows that came in from elsewhere, some of them wrong: taken or left. */
  let {
    from,
    count,
    errors,
    ontake,
    onleave,
    wanted = null,
    more,
  }: {
    from: string;
    /** Rows that can be taken. */
    count: number;
    errors: readonly { readonly row: number; readonly column: string; readonly text: string }[];
    ontake: () => void;
    onleave: () => void;
    /** What is still wanted before they can be taken. */
    wanted?: string | null;
    /** What is asked beside the rows. */
    more?: Snippet;
  } = $props();
  const wrong = $derived(new Set(errors.map((e) => e.row)).size);
  const rows = (n: number) => (n === 1 ? '1 row' : `${n} rows`);
</script>

<div
  role={wrong ? 'alert' : 'status'}
  class="mb-2 border-l-4 bg-paper px-3 py-1 text-sm {wrong ? 'border-stop' : 'border-ink'}"
>
  <p>
    From {from}: {rows(count)} can be taken{wrong ? `; ${rows(wrong)} wrong, left as they are` : ''}.
  </p>
  {#if wrong}
    <ul class="max-h-40 overflow-y-auto">
      {#each errors as e, i (i)}<li>Row {e.row}{e.column ? `, ${e.column}` : ''}: {e.text}</li>{/each}
    </ul>
  {/if}
  {@render more?.()}
  {#if wanted}<p>{wanted}</p>{/if}
  <div class="mt-1 flex gap-3">
    <Button size="xs" disabled={count === 0 || wanted !== null} onclick={ontake}>Take {rows(count)}</Button>
    <Button size="xs" color="alternative" onclick={onleave}>Leave all as it was</Button>
  </div>
</div>
