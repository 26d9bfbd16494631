<script lang="ts">
  import { Button, Checkbox } from 'flowbite-svelte';
  import type { RunResult } from '$core/ac/results';
  import type { Check } from '$core/kernel/check';
  import { worstOf } from '$core/kernel/check';
  import { useSite } from '$lib/client/siteState.svelte';
  import type { RunRow } from './columns';
  import { RunGrid } from './grid.svelte';
  import RowsOffer from '$lib/ui/RowsOffer.svelte';
  import Find from '$lib/ui/form/Find.svelte';
  import RunFiles from './RunFiles.svelte';
  import RunTable from './RunTable.svelte';

  let {
    results,
    checks,
    picked,
    unsaved,
    onpick,
  }: {
    results: readonly RunResult[];
    checks: readonly Check[];
    picked: string | undefined;
    /** A run has values typed that are not saved: sizing would put others in their place. */
    unsaved: boolean;
    onpick: (inverterId: string) => void;
  } = $props();
  const site = useSite();
  const verdicts = $derived(Map.groupBy(checks, (c) => c.subject.id));
  /** A row is the very same while its run and its verdict are: the table draws only what changed. */
  let before = new Map<string, RunRow>();
  const rows = $derived.by(() => {
    const now = results.map((r): RunRow => {
      const { id, tag } = r.inverter;
      const verdict = worstOf((verdicts.get(id) ?? []).map((c) => c.verdict));
      const was = before.get(id);
      return was && was.r === r && was.verdict === verdict ? was : { id, tag, r, verdict };
    });
    before = new Map(now.map((row) => [row.id, row]));
    return now;
  });
  let filter = $state('');
  const grid = new RunGrid(site, () => rows);
  const shown = $derived(grid.table.getRowModel().rows.length);

  async function sizeAll() {
    for (const r of results) if (await site.apply({ kind: 'suggest-run', inverterId: r.inverter.id })) return;
  }
</script>

<section class="sheet relative px-3 py-2" aria-labelledby="schedule">
  <header class="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1">
    <h2 id="schedule">Schedule of runs to {site.design.board.label}</h2>
    <Button size="xs" color="alternative" disabled={unsaved} onclick={sizeAll}>Size all runs</Button>
    <div class="no-print ml-auto flex flex-wrap items-center gap-x-3 gap-y-1">
      <Find
        label="Show only runs with"
        placeholder="tag, metal, method …"
        width="w-44"
        bind:value={() => filter, (text) => grid.table.setGlobalFilter((filter = text))}
      />
      <Checkbox checked={grid.all} onchange={(e) => grid.showAll(e.currentTarget.checked)}>every column</Checkbox>
      <RunFiles onread={(offer) => (grid.offer = offer)} />
    </div>
  </header>
  {#if shown < rows.length}<p role="status" class="text-sm text-dim">{shown} of {rows.length} runs</p>{/if}
  {#if grid.offer}
    <RowsOffer
      from={grid.offer.from}
      count={grid.offer.runs.length}
      errors={grid.offer.errors}
      ontake={() => grid.takeOffer()}
      onleave={() => (grid.offer = null)}
    />
  {/if}
  <RunTable {grid} {picked} {onpick} label="Schedule of runs" />
</section>
