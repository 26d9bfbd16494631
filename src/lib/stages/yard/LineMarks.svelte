<script lang="ts">
  import type { ListedSite } from '$lib/schemas/site';
  import { marginWords } from '$lib/ui/marginWords';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { site, words = false }: { site: ListedSite; words?: boolean } = $props();
</script>

<ol class="flex flex-wrap gap-y-1 text-sm {words ? 'gap-x-1' : 'gap-x-0.5'}" aria-label="Line of {site.name}">
  {#each site.summary.line as e (e.element)}
    <li
      class="flex items-center gap-1 {words ? 'border border-rule px-1.5' : ''}"
      title="{e.element}: {marginWords(e)}"
    >
      {#if words}{e.element}{:else}<span class="sr-only">{e.element}</span>{/if}
      <VerdictMark verdict={e.verdict} word={false} />
      {#if words && e.margin !== null}<span class="num">{marginWords(e, true)}</span>{/if}
    </li>
  {/each}
</ol>
