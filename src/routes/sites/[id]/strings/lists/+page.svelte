<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { plugInSheets } from '$core/strings/plugInSheets';
  import { useSite } from '$lib/client/siteState.svelte';
  import ListFiles from '$lib/stages/strings/ListFiles.svelte';
  import PlugInSheets from '$lib/stages/strings/PlugInSheets.svelte';
  import StringLabels from '$lib/stages/strings/StringLabels.svelte';
  import StringsNav from '$lib/stages/strings/StringsNav.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import { planeLetter } from '$lib/ui/planeGlyph';

  const site = useSite();
  const design = $derived(site.design);
  const sheets = $derived(plugInSheets(design));
  const letters = $derived(new Map(design.planes.map((p, i) => [p.label, planeLetter(i)])));
  let printing = $state<'labels' | 'sheets'>('sheets');
</script>

<div class="space-y-3">
  <StringsNav siteId={site.siteId} />
  <ListFiles />
  {#if sheets.every((s) => s.rows.length === 0)}
    <p class="sheet p-6 text-dim">
      Plug-in sheets of every inverter and labels of every string stand here, to print. No string hangs on an input yet:
      hang some on the peg board first.
    </p>
  {:else}
    <div class="no-print flex flex-wrap items-center gap-3">
      <Choice
        label="To print"
        beside
        choices={[
          { value: 'sheets', name: 'plug-in sheets' },
          { value: 'labels', name: 'string labels' },
        ]}
        bind:value={printing}
      />
      <Button size="sm" onclick={() => window.print()}>Print</Button>
    </div>
    {#if printing === 'sheets'}<PlugInSheets {sheets} {letters} site={design.survey.name} />{:else}
      <StringLabels {sheets} {letters} />
    {/if}
  {/if}
</div>
