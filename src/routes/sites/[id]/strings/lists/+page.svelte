<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { fixed } from '$core/kernel/quantity';
  import type { PvString } from '$core/site/parts';
  import { compareLayouts } from '$core/strings/layout/compare';
  import { PLUG_IN_C, plugInSheets } from '$core/strings/plugInSheets';
  import { LIST_COLUMNS } from '$core/strings/stringList';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import { useSite } from '$lib/client/siteState.svelte';
  import Caution from '$lib/ui/Caution.svelte';
  import { planeLetter } from '$lib/ui/planeGlyph';
  import StringsNav from '$lib/ui/strings/StringsNav.svelte';

  const site = useSite();
  const design = $derived(site.design);
  const sheets = $derived(plugInSheets(design));
  const letters = $derived(new Map(design.planes.map((p, i) => [p.label, planeLetter(i)])));
  let printing = $state<'labels' | 'sheets'>('sheets');

  let reading = $state(false);
  let problem = $state.raw<ProblemDocument | null>(null);
  let read = $state.raw<{ name: string; strings: PvString[] } | null>(null);
  const difference = $derived(read && compareLayouts(design, design.strings, read.strings));
  async function open(file: File | undefined) {
    if (!file) return;
    reading = true;
    problem = null;
    read = null;
    try {
      const response = await fetch(`/api/v1/sites/${site.siteId}/string-list`, {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      });
      const answer = (await response.json()) as { strings: PvString[] } & ProblemDocument;
      if (response.ok) read = { name: file.name, strings: answer.strings };
      else problem = answer;
    } catch {
      problem = {
        type: 'about:blank',
        title: 'No answer',
        status: 0,
        detail: 'The server does not answer. Try again when it is back.',
      };
    } finally {
      reading = false;
    }
  }
  async function take() {
    if (read && !(await site.apply({ kind: 'strings', strings: read.strings }))) read = null;
  }
</script>

<div class="space-y-4">
  <StringsNav siteId={site.siteId} />
  <section class="sheet no-print p-3" aria-labelledby="files-title">
    <h2 id="files-title">String list as a file</h2>
    <div class="mt-1 flex flex-wrap items-end gap-3">
      <a class="border border-ink px-3 py-1" href="/sites/{site.siteId}/strings/lists/map.csv" download>CSV</a>
      <a class="border border-ink px-3 py-1" href="/sites/{site.siteId}/strings/lists/map.xlsx" download>XLSX</a>
      <label class="text-sm text-dim"
        >Read a list, CSV or XLSX
        <input
          class="block w-72 border border-rule bg-white text-ink"
          type="file"
          accept=".csv,.xlsx,text/csv"
          disabled={reading}
          onchange={(e) => {
            void open(e.currentTarget.files?.[0]);
            e.currentTarget.value = '';
          }}
        /></label
      >
      {#if reading}<span role="status">Reading …</span>{/if}
    </div>
    <p class="mt-1 text-sm text-dim">Columns: {LIST_COLUMNS.join(', ')}. Planes and inverters by their names.</p>
    {#if problem}
      <div role="alert" class="mt-2 border-l-4 border-stop bg-paper px-3 py-1 text-sm">
        <p class="font-semibold">{problem.detail}</p>
        <ul>
          {#each problem.errors ?? [] as e, i (i)}<li>{e.detail}</li>{/each}
        </ul>
      </div>
    {/if}
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

  {#if sheets.every((s) => s.rows.length === 0)}
    <p class="sheet p-6 text-dim">No string hangs on an input yet: hang some on the peg board first.</p>
  {:else}
    <div class="no-print flex flex-wrap items-end gap-3">
      <label class="text-sm text-dim"
        >To print
        <select class="block border border-rule bg-white px-2 py-1 text-ink" bind:value={printing}>
          <option value="sheets">plug-in sheets</option><option value="labels">string labels</option>
        </select></label
      >
      <Button size="sm" onclick={() => window.print()}>Print</Button>
    </div>
    {#if printing === 'sheets'}
      <Caution
        >Measure every string before plugging: polarity, then voltage. A string in light is live. Licensed electrical
        workers; local code rules.</Caution
      >
      <div class="grid gap-4 lg:grid-cols-2 print:grid-cols-1">
        {#each sheets.filter((s) => s.rows.length) as s (s.inverterId)}
          <section class="sheet plug-in p-3" aria-label="Plug-in sheet of {s.tag}">
            <h3>{design.survey.name} · {s.tag} <span class="font-normal text-dim">{s.typeName}</span></h3>
            <table class="grid-table text-sm">
              <thead
                ><tr
                  ><th scope="col">Input</th><th scope="col">Tag</th><th scope="col">Plane</th><th scope="col"
                    >Modules</th
                  >{#each PLUG_IN_C as c (c)}<th scope="col">V at {c} °C</th>{/each}<th scope="col">Read, V</th></tr
                ></thead
              >
              <tbody>
                {#each s.rows as r (r.stringId)}
                  <tr>
                    <th scope="row" class="num">{r.tracker}.{r.input}{r.branch === 2 ? ' Y' : ''}</th>
                    <td class="num font-bold">{letters.get(r.plane)} {r.number}</td>
                    <td>{r.plane}</td><td class="num">{r.modules}</td>
                    {#each r.expectedV as v, i (i)}<td class="num">{fixed(v, 0)}</td>{/each}
                    <td class="w-16 border-b border-ink"></td>
                  </tr>
                {/each}
              </tbody>
            </table>
            {#if s.caps.length}<p class="mt-1 text-sm">
                Caps on: <span class="num">{s.caps.join(', ')}</span>
              </p>{/if}
            <p class="text-xs text-dim">
              Open circuit, cell temperature, full light; weaker light reads up to 1 % less.
            </p>
          </section>
        {/each}
      </div>
    {:else}
      <div
        class="grid grid-cols-2 gap-2 sm:grid-cols-4 lg:grid-cols-6 print:grid-cols-5"
        role="list"
        aria-label="String labels"
      >
        {#each sheets.flatMap((s) => s.rows) as r (r.stringId)}
          <div role="listitem" class="label border-2 border-ink bg-white p-1 text-center leading-tight">
            <p class="flex items-center justify-center gap-1 text-xl font-bold">
              <span class="border-2 border-ink px-1">{letters.get(r.plane)}</span><span class="num">{r.number}</span>
            </p>
            <p class="num font-bold">{r.label}</p>
            <p class="text-xs">{r.modules} modules · {r.plane}</p>
          </div>
        {/each}
      </div>
    {/if}
  {/if}
</div>

<style>
  .plug-in,
  .label {
    break-inside: avoid;
  }
</style>
