<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import type { Cell } from '@tanstack/svelte-table';
  import { choicesOf, columnWords } from '$core/ac/schedule/runTable';
  import type { FEATURES, RunRow } from './columns';
  import { isFigure, shownIn, typedIn } from './columns';
  import type { RunGrid } from './grid.svelte';

  let {
    grid,
    cell,
    onleft,
  }: {
    grid: RunGrid;
    cell: Cell<typeof FEATURES, RunRow, unknown>;
    /** Typing is over: focus goes back to the cell. */
    onleft: () => void;
  } = $props();

  const id = $derived(cell.column.id);
  const column = $derived(typedIn(id));
  const typedNow = $derived(column && grid.typedRun(cell.row.id));
  const shown = $derived(shownIn(cell.row.original, id, typedNow));
  const selected = $derived(cell.getIsSelected());
  const editing = $derived(grid.editing?.rowId === cell.row.id && grid.editing.column === id ? grid.editing : null);
  const choices = $derived(column ? choicesOf(column) : []);

  function typed(event: KeyboardEvent) {
    event.stopPropagation();
    if (event.key === 'Escape') grid.cancel();
    else if (event.key === 'Enter' || event.key === 'Tab') {
      event.preventDefault();
      if (!grid.commit(event.ctrlKey || event.metaKey)) return;
      grid.table.moveCellSelection(event.key === 'Tab' ? (event.shiftKey ? 'left' : 'right') : 'down');
    } else return;
    onleft();
  }

  /** The field takes the keyboard as soon as it is there, behind what was typed already. */
  function grab(node: HTMLInputElement) {
    node.focus();
    node.setSelectionRange(node.value.length, node.value.length);
  }
</script>

<td
  role="gridcell"
  tabindex={cell.getTabIndex()}
  aria-selected={selected}
  aria-readonly={column ? undefined : true}
  class="whitespace-nowrap {isFigure(id) ? 'fig' : ''} {shown.reckoned ? 'text-dim' : ''} {selected
    ? 'bg-primary-100'
    : ''}"
  onmousedown={cell.getSelectionStartHandler()}
  onmouseenter={cell.getSelectionExtendHandler()}
  ondblclick={() => grid.edit()}
  onfocus={() => grid.editing || selected || grid.table.setFocusedCell(cell.row.id, id)}
>
  {#if editing && column}
    <!-- One field of text for every kind of cell: a table is typed in, and what was typed is judged when it is left. -->
    <Input
      {@attach grab}
      size="sm"
      class="num h-6 w-24 px-1 py-0 text-sm"
      list={choices.length ? `choices-${column}` : undefined}
      aria-label="{columnWords(column).name} of {cell.row.original.tag}"
      aria-invalid={editing.wrong !== ''}
      aria-describedby={editing.wrong ? 'cell-wrong' : undefined}
      bind:value={() => editing.text, (text) => (editing.text = text)}
      onkeydown={typed}
      onblur={() => grid.commit(false)}
      onmousedown={(e) => e.stopPropagation()}
    />
    {#if choices.length}<datalist id="choices-{column}"
        >{#each choices as c (c)}<option value={c}></option>{/each}</datalist
      >{/if}
    {#if editing.wrong}<p id="cell-wrong" role="alert" class="text-left text-sm whitespace-normal text-stop">
        {editing.wrong}
      </p>{/if}
  {:else}{shown.text}{/if}
</td>
