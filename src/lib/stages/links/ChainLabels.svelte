<script lang="ts">
  import { chainLabels, chainName } from '$core/links/line/chainSheet';
  import type { ChainResult } from '$core/links/results';

  let { results, all }: { results: ChainResult; all: readonly ChainResult[] } = $props();
  const labels = $derived(chainLabels(results, all));
  const key = $derived(`${results.bus}-${results.segment ?? 1}`);
</script>

<section class="sheet p-3 break-before-page" aria-labelledby="chain-labels-{key}">
  <h2 id="chain-labels-{key}">Labels{all.length > 1 ? ` of ${chainName(results, all)}` : ''}</h2>
  <p class="no-print text-sm text-dim">One for every device, two for every piece of cable.</p>
  <ul class="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4 print:grid-cols-4">
    {#each labels as l (`${l.on}|${l.title}`)}
      <li class="border border-ink p-2 break-inside-avoid">
        <b class="num block">{l.title}</b>
        {#each l.lines as line (line)}<span class="block text-sm">{line}</span>{/each}
      </li>
    {/each}
  </ul>
</section>
