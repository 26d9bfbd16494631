<script lang="ts">
  import type { PlugInSheet } from '$core/strings/plugInSheets';

  let {
    sheets,
    letters,
  }: { sheets: readonly PlugInSheet[]; /** Letters of planes by their names. */ letters: ReadonlyMap<string, string> } =
    $props();
</script>

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

<style>
  .label {
    break-inside: avoid;
  }
</style>
