<script lang="ts">
  import type { SiteDesign } from '$core/design';
  import type { Entry } from '$core/proving/entry';
  import { lineOfEntry } from '$lib/ui/record/entryLine';
  import { named, partName, when } from '$lib/ui/record/words';

  let {
    uncounted,
    design,
  }: { uncounted: readonly { readonly record: Entry; readonly why: string }[]; design: SiteDesign } = $props();
</script>

{#if uncounted.length}
  <section class="sheet p-4" aria-labelledby="uncounted">
    <h2 id="uncounted">Entries that prove nothing</h2>
    <ul>
      {#each uncounted as { record, why } (record.id)}<li class="border-t border-rule py-1">
          {partName(record.subject.id, design)} · {lineOfEntry(record)} · {record.by}, {record.role}, {when(
            record.doneAt,
          )}
          <span class="block text-sm text-stop">{named(why, design)}</span>
        </li>{/each}
    </ul>
  </section>
{/if}
