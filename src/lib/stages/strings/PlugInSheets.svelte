<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import type { PlugInSheet } from '$core/strings/plugInSheets';
  import { PLUG_IN_C } from '$core/strings/plugInSheets';
  import Caution from '$lib/ui/Caution.svelte';

  let {
    sheets,
    letters,
    site,
  }: {
    sheets: readonly PlugInSheet[];
    /** Letters of planes by their names. */
    letters: ReadonlyMap<string, string>;
    site: string;
  } = $props();
</script>

<Caution
  >Measure every string before plugging: polarity, then voltage. A string in light is live. Licensed electrical workers;
  local code rules.</Caution
>
<div class="grid gap-4 lg:grid-cols-2 print:grid-cols-1">
  {#each sheets.filter((s) => s.rows.length) as s (s.inverterId)}
    <section class="sheet plug-in relative overflow-x-auto p-3" aria-label="Plug-in sheet of {s.tag}">
      <h3>{site} · {s.tag} <span class="font-normal text-dim">{s.typeName}</span></h3>
      <table class="grid-table text-sm">
        <thead
          ><tr
            ><th scope="col">Input</th><th scope="col">Tag</th><th scope="col">Plane</th><th scope="col" class="fig"
              >Modules</th
            >{#each PLUG_IN_C as c (c)}<th scope="col" class="fig">V at {c} °C</th>{/each}<th scope="col">Read, V</th
            ></tr
          ></thead
        >
        <tbody>
          {#each s.rows as r (r.stringId)}
            <tr>
              <th scope="row" class="num">{r.tracker}.{r.input}{r.branch === 2 ? ' Y' : ''}</th>
              <td class="num font-bold">{letters.get(r.plane)} {r.number}</td>
              <td>{r.plane}</td><td class="fig">{r.modules}</td>
              {#each r.expectedV as v, i (i)}<td class="fig">{fixed(v, 0)}</td>{/each}
              <td class="w-16 border-b border-ink"></td>
            </tr>
          {/each}
        </tbody>
      </table>
      {#if s.caps.length}<p class="mt-1 text-sm">
          Caps on: <span class="num">{s.caps.join(', ')}</span>
        </p>{/if}
      <p class="text-xs text-dim">Open circuit, cell temperature, full light; weaker light reads up to 1 % less.</p>
    </section>
  {/each}
</div>

<style>
  .plug-in {
    break-inside: avoid;
  }
</style>
