<script lang="ts">
  import { TRIP_RESERVE_PERCENT } from '$core/ac/limits';
  import { relaid } from '$core/ac/suggestRun';
  import type { MendChange } from '$core/ac/voltagePath/mends';
  import { mends } from '$core/ac/voltagePath/mends';
  import { ALL_FEEDING, pictureAt } from '$core/ac/voltagePath/picture';
  import { fixed } from '$core/kernel/quantity';

  import { useSite } from '$lib/client/siteState.svelte';
  import { Button } from 'flowbite-svelte';

  let { at }: { at: Parameters<typeof mends>[0] } = $props();
  const site = useSite();
  async function lay(change: MendChange) {
    if (change.part === 'board') {
      const { mainSectionMm2, mainParallel } = change;
      await site.apply({ kind: 'board', board: { ...site.design.board, mainSectionMm2, mainParallel } });
      return;
    }
    for (const [id, { sectionMm2, parallel }] of Object.entries(change.laid)) {
      const run = site.design.runs.find((r) => r.inverterId === id);
      if (run && (await site.apply({ kind: 'run', run: relaid(run, sectionMm2, parallel) }))) return;
    }
  }
  const worst = $derived(pictureAt(at.path, ALL_FEEDING)?.worst);
  const found = $derived(mends(at));
</script>

<section class="sheet p-3" aria-labelledby="mends">
  <h2 id="mends">Smallest change that mends it</h2>
  <p class="text-sm text-dim">With the grid at rest at {fixed(at.path.restV, 1)} V, as surveyed.</p>
  {#if found.length === 0}
    <p class="text-dim">
      {#if (worst?.marginPercent ?? 0) >= TRIP_RESERVE_PERCENT}Nothing to mend: at full power the highest unit keeps
        {TRIP_RESERVE_PERCENT} % and more.{:else}No single change brings the highest unit under its level: together, or
        an own transformer.{/if}
    </p>
  {:else}
    <p class="mb-1 text-sm text-dim">
      First re-make bad terminations: the two readings below find them. Then, each alone, for {TRIP_RESERVE_PERCENT} % in
      hand where it can give them:
    </p>
    <table class="grid-table">
      <thead>
        <tr>
          <th scope="col">What</th><th scope="col">Change</th><th scope="col" class="fig">Highest unit</th><th
            scope="col"
            class="fig">Left</th
          ><td></td>
        </tr>
      </thead>
      <tbody>
        {#each found as m (m.kind)}
          <tr>
            <th scope="row">{m.kind}</th>
            <td>{m.words}</td>
            <td class="fig">{fixed(m.worstV, 1)} V</td>
            <td class="fig">{fixed(m.marginPercent, 2)} %</td>
            <td>
              {#if m.change}{@const change = m.change}<Button size="xs" color="alternative" onclick={() => lay(change)}
                  >Lay it so</Button
                >{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>
