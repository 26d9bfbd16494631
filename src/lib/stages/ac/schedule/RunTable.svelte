<script lang="ts">
  import { createVirtualizer } from '@tanstack/svelte-virtual';
  import { get } from 'svelte/store';
  import { tick } from 'svelte';
  import Formula from '$lib/ui/Formula.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import RunCell from './RunCell.svelte';
  import { headOf, isFigure } from './columns';
  import type { RunGrid } from './grid.svelte';

  let {
    grid,
    picked,
    onpick,
    label,
  }: { grid: RunGrid; picked: string | undefined; onpick: (inverterId: string) => void; label: string } = $props();

  const ROW_PX = 29;
  /** Up to so many rows all are drawn; beyond, what is in sight. Paper gets all. */
  const DRAWN_MOST = 80;
  let scroller = $state<HTMLElement>();
  let printing = $state(false);
  const rows = $derived(grid.table.getRowModel().rows);
  const drawAll = $derived(printing || rows.length <= DRAWN_MOST);

  // svelte-ignore state_referenced_locally
  const virtualizer = createVirtualizer<HTMLElement, HTMLTableRowElement>({
    count: rows.length,
    getScrollElement: () => scroller ?? null,
    estimateSize: () => ROW_PX,
    overscan: 8,
  });
  $effect(() => {
    get(virtualizer).setOptions({ count: rows.length, getScrollElement: () => scroller ?? null });
  });
  const inSight = $derived($virtualizer.getVirtualItems());
  const drawn = $derived(
    drawAll
      ? rows.map((row, index) => ({ row, index }))
      : inSight.flatMap(({ index }) => {
          const row = rows[index];
          return row ? [{ row, index }] : [];
        }),
  );
  const above = $derived(drawAll ? 0 : (inSight[0]?.start ?? 0));
  const below = $derived(drawAll ? 0 : $virtualizer.getTotalSize() - (inSight.at(-1)?.end ?? 0));
  const columns = $derived(grid.table.getVisibleLeafColumns());

  /** Focus follows the selected cell, where focus is in the table already. */
  async function follow() {
    const cell = grid.table.getFocusedCell();
    if (!cell) return;
    if (!drawAll) get(virtualizer).scrollToIndex(rows.findIndex((r) => r.id === cell.row.id));
    await tick();
    scroller?.querySelector<HTMLElement>('[role="gridcell"][tabindex="0"]')?.focus();
  }

  const ARROWS: Readonly<Record<string, 'up' | 'down' | 'left' | 'right'>> = {
    ArrowUp: 'up',
    ArrowDown: 'down',
    ArrowLeft: 'left',
    ArrowRight: 'right',
  };

  function move(event: KeyboardEvent) {
    const way = ARROWS[event.key];
    if (!way) return false;
    if (event.shiftKey) grid.table.extendCellSelection(way);
    else grid.table.moveCellSelection(way);
    void follow();
    return true;
  }

  /** Keys over the selected cells, as a spreadsheet has them. */
  function pressed(event: KeyboardEvent) {
    if (grid.editing || !grid.table.getFocusedCell() || event.target instanceof HTMLButtonElement) return;
    const control = event.ctrlKey || event.metaKey;
    if (control) {
      if (event.key.toLowerCase() !== 'd') return;
      grid.fillDown();
    } else if (!move(event)) {
      if (event.key === 'Enter' || event.key === 'F2') grid.edit();
      else if (event.key === 'Delete' || event.key === 'Backspace') grid.clear();
      else if (event.key.length === 1 && !event.altKey) grid.edit(event.key);
      else return;
    }
    event.preventDefault();
    event.stopPropagation();
  }

  const inCells = () => !grid.editing && grid.table.getFocusedCell() !== undefined;
  function copy(event: ClipboardEvent) {
    if (!inCells()) return;
    event.clipboardData?.setData('text/plain', grid.copied());
    event.preventDefault();
  }
  function paste(event: ClipboardEvent) {
    if (!inCells()) return;
    grid.paste(event.clipboardData?.getData('text/plain') ?? '');
    event.preventDefault();
  }
  const SORTED = { asc: 'ascending', desc: 'descending' } as const;
</script>

<!-- What was typed last stands before any command: an undo in the same moment must not reach the change before it. -->
<svelte:window
  onkeydowncapture={(event) => (event.ctrlKey || event.metaKey) && grid.settle()}
  onbeforeprint={() => (printing = true)}
  onafterprint={() => (printing = false)}
  onpagehide={() => grid.settle()}
/>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
  bind:this={scroller}
  class="max-h-[26rem] overflow-auto print:max-h-none print:overflow-visible"
  onkeydown={pressed}
  oncopy={copy}
  onpaste={paste}
>
  <table class="grid-table run-grid" role="grid" aria-label={label} aria-rowcount={rows.length + 1}>
    <thead>
      <tr>
        {#each columns as column (column.id)}
          {@const head = headOf(column.id)}
          {@const sorted = column.getIsSorted()}
          <th
            scope="col"
            class={isFigure(column.id) ? 'fig' : ''}
            aria-sort={sorted ? SORTED[sorted] : undefined}
            title={head.name === head.short ? undefined : head.name}
          >
            <button type="button" class="text-left" onclick={column.getToggleSortingHandler()}>
              <Formula line={head.short} />{#if head.unit}&nbsp;<span class="font-normal">[{head.unit}]</span>{/if}
              {#if sorted}<span aria-hidden="true">{sorted === 'asc' ? '↑' : '↓'}</span>{/if}
            </button>
          </th>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#if above}<tr aria-hidden="true" style:height="{above}px"></tr>{/if}
      {#each drawn as { row, index } (row.id)}
        <tr data-part={row.id} aria-rowindex={index + 2} class={row.id === picked ? 'bg-primary-50' : ''}>
          {#each row.getVisibleCells() as cell (cell.id)}
            {#if cell.column.id === 'tag'}
              <th scope="row" class="whitespace-nowrap"
                ><button type="button" class="underline" aria-pressed={row.id === picked} onclick={() => onpick(row.id)}
                  >{row.original.tag}</button
                ></th
              >
            {:else if cell.column.id === 'verdict'}
              <td><VerdictMark verdict={row.original.verdict} /></td>
            {:else}
              <RunCell {grid} {cell} onleft={follow} />
            {/if}
          {/each}
        </tr>
      {/each}
      {#if below > 0}<tr aria-hidden="true" style:height="{below}px"></tr>{/if}
    </tbody>
  </table>
</div>
<p class="no-print mt-1 text-sm text-dim">
  Arrows move, Shift extends, Enter or a key types, Ctrl Enter into every selected row, Ctrl D fills down, Ctrl C and V
  as a spreadsheet. Figures in grey follow from others.
</p>

<style>
  .run-grid thead th {
    position: sticky;
    top: 0;
    z-index: 2;
    background: var(--color-sheet);
    white-space: nowrap;
  }
  .run-grid th:first-child {
    position: sticky;
    left: 0;
    z-index: 1;
    background: var(--color-sheet);
  }
  .run-grid thead th:first-child {
    z-index: 3;
  }
</style>
