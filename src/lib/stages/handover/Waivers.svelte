<script lang="ts">
  import type { SiteDesign } from '$core/design';
  import type { Entry } from '$core/proving/entry';
  import { lineOfEntry } from '$lib/ui/record/entryLine';
  import { partName } from '$lib/ui/record/words';

  let { waivers, design }: { waivers: readonly Entry[]; design: SiteDesign } = $props();
</script>

<section class="sheet p-4" aria-labelledby="waivers">
  <h2 id="waivers">Waivers and accepted cautions</h2>
  {#if waivers.length === 0}<p>None.</p>{/if}
  <ul>
    {#each waivers as w (w.id)}<li class="border-t border-rule py-1">
        {w.values['gate']} · {partName(w.subject.id, design)} · {lineOfEntry(w)} · {w.reason} · {w.by}, {w.doneAt.slice(
          0,
          10,
        )}
      </li>{/each}
  </ul>
</section>
