<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { PvString } from '$core/site/parts';
  import { compareLayouts } from '$core/strings/layout/compare';
  import { LIST_COLUMNS } from '$core/strings/stringList';
  import { useSite } from '$lib/client/siteState.svelte';
  import FileRead from '$lib/ui/FileRead.svelte';

  interface StringsRead {
    readonly strings: PvString[];
  }
  const site = useSite();
  let read = $state.raw<(StringsRead & { readonly name: string }) | null>(null);
  const difference = $derived(read && compareLayouts(site.design, site.design.strings, read.strings));

  async function take() {
    if (read && !(await site.apply({ kind: 'strings', strings: read.strings }))) read = null;
  }
</script>

<section class="sheet no-print p-3" aria-labelledby="files-title">
  <h2 id="files-title">String list as a file</h2>
  <div class="mt-1 flex flex-wrap items-baseline gap-3">
    <a class="border border-ink px-3 py-1" href="/sites/{site.siteId}/strings/lists/map.csv" download>CSV</a>
    <a class="border border-ink px-3 py-1" href="/sites/{site.siteId}/strings/lists/map.xlsx" download>XLSX</a>
    <FileRead
      label="Read a list, CSV or XLSX"
      path="/api/v1/sites/{site.siteId}/string-list"
      onread={({ strings }: StringsRead, name) => (read = { strings, name })}
    />
  </div>
  <p class="mt-1 text-sm text-dim">Columns: {LIST_COLUMNS.join(', ')}. Planes and inverters by their names.</p>
  {#if read && difference}
    <div class="mt-2 border-l-4 border-ink bg-paper px-3 py-2 text-sm" data-testid="list-read">
      <p>
        <b>{read.name}</b>: {read.strings.length} strings, {difference.strings.length} differ from the board, {difference.usedB}
        modules on inputs (now {difference.usedA}).
      </p>
      <ul class="max-h-40 overflow-y-auto">
        {#each difference.strings.slice(0, 200) as s, i (i)}<li class="num">{s.number}: {s.what}</li>{/each}
      </ul>
      <div class="mt-1 flex gap-3">
        <Button size="xs" disabled={!difference.strings.length} onclick={take}>Take the list over</Button>
        <Button size="xs" color="alternative" onclick={() => (read = null)}>Leave it</Button>
      </div>
    </div>
  {/if}
</section>
