<script lang="ts">
  import type { SiteDesign } from '$core/design';
  import { named } from '$lib/ui/record/words';

  let {
    units,
    siteId,
    design,
  }: {
    /** Units that run without their proofs. */
    units: readonly { unit: string; tag: string; why: readonly string[] }[];
    siteId: string;
    design: SiteDesign;
  } = $props();
</script>

{#if units.length}
  <div class="mb-2 border-4 border-stop bg-sheet px-3 py-2 text-stop" role="alert">
    <p class="text-lg font-bold">Switch off until proved</p>
    <ul>
      {#each units as { unit, tag, why } (unit)}<li>
          <a class="font-semibold underline" href="/sites/{siteId}/energise">{tag}</a>: {named(
            why.slice(0, 3).join('; '),
            design,
          )}
        </li>{/each}
    </ul>
  </div>
{/if}
