<script lang="ts">
  import { Button, Fileupload } from 'flowbite-svelte';
  import { compareLayouts } from '$core/strings/layout/compare';
  import { LIST_COLUMNS } from '$core/strings/stringList';
  import { useSite } from '$lib/client/siteState.svelte';
  import { ListState } from './listState.svelte';

  const site = useSite();
  const list = new ListState(site);
  const difference = $derived(list.read && compareLayouts(site.design, site.design.strings, list.read.strings));
  let files = $state<FileList | null>(null);
  function open() {
    const [file] = files ?? [];
    if (file) void list.open(file);
  }
</script>

<section class="sheet no-print p-3" aria-labelledby="files-title">
  <h2 id="files-title">String list as a file</h2>
  <div class="mt-1 flex flex-wrap items-end gap-3">
    <a class="border border-ink px-3 py-1" href="/sites/{site.siteId}/strings/lists/map.csv" download>CSV</a>
    <a class="border border-ink px-3 py-1" href="/sites/{site.siteId}/strings/lists/map.xlsx" download>XLSX</a>
    <div>
      <label class="text-sm text-dim" for="list-file">Read a list, CSV or XLSX</label>
      <Fileupload
        id="list-file"
        size="sm"
        class="w-72"
        accept=".csv,.xlsx,text/csv"
        disabled={list.reading}
        bind:files
        onchange={open}
      />
    </div>
    {#if list.reading}<span role="status">Reading …</span>{/if}
  </div>
  <p class="mt-1 text-sm text-dim">Columns: {LIST_COLUMNS.join(', ')}. Planes and inverters by their names.</p>
  {#if list.problem}
    <div role="alert" class="mt-2 border-l-4 border-stop bg-paper px-3 py-1 text-sm">
      <p class="font-semibold">{list.problem.detail}</p>
      <ul>
        {#each list.problem.errors ?? [] as e, i (i)}<li>{e.detail}</li>{/each}
      </ul>
    </div>
  {/if}
  {#if list.read && difference}
    <div class="mt-2 border-l-4 border-ink bg-paper px-3 py-2 text-sm" data-testid="list-read">
      <p>
        <b>{list.read.name}</b>: {list.read.strings.length} strings, {difference.strings.length} differ from the board, {difference.usedB}
        modules on inputs (now {difference.usedA}).
      </p>
      <ul class="max-h-40 overflow-y-auto">
        {#each difference.strings.slice(0, 200) as s, i (i)}<li class="num">{s.number}: {s.what}</li>{/each}
      </ul>
      <div class="mt-1 flex gap-3">
        <Button size="xs" disabled={!difference.strings.length} onclick={() => list.take()}>Take the list over</Button>
        <Button size="xs" color="alternative" onclick={() => (list.read = null)}>Leave it</Button>
      </div>
    </div>
  {/if}
</section>
