<script lang="ts">
  import type { ListedSite } from '$lib/schemas/site';
  import { marginWords } from '$lib/ui/marginWords';
  import { VERDICT_COLOUR } from '$lib/ui/verdictColour';
  import VerdictGlyph from '$lib/ui/VerdictGlyph.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { site, words = false }: { site: ListedSite; words?: boolean } = $props();
  const { line } = $derived(site.summary);
</script>

{#if words}
  <ol class="flex flex-wrap gap-1 text-sm" aria-label="Line of {site.name}">
    {#each line as e (e.element)}
      <li class="flex items-center gap-1 border border-rule px-1.5" title="{e.element}: {marginWords(e)}">
        {e.element}
        <VerdictMark verdict={e.verdict} word={false} />
        {#if e.margin !== null}<span class="num">{marginWords(e, true)}</span>{/if}
      </li>
    {/each}
  </ol>
{:else}
  <!-- One picture with one sentence: hundreds of rows of them are drawn while the list is scrolled. -->
  <span
    class="flex gap-0.5 text-sm"
    role="img"
    aria-label="Line of {site.name}: {line.map((e) => `${e.element} ${e.verdict}`).join(', ')}"
  >
    {#each line as e (e.element)}<span class={VERDICT_COLOUR[e.verdict]} title="{e.element}: {marginWords(e)}"
        ><VerdictGlyph verdict={e.verdict} /></span
      >{/each}
  </span>
{/if}
