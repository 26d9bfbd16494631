<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { nearestFits } from '$core/ac/bay/nearestFit';
  import type { RunResult } from '$core/ac/results';
  import type { Check } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import { useSite } from '$lib/client/siteState.svelte';
  import BayDrawing from './BayDrawing.svelte';

  let { result, checks }: { result: RunResult; /** Of this run. */ checks: readonly Check[] } = $props();
  const site = useSite();
  const fits = $derived(nearestFits(result, checks));
</script>

<section class="sheet px-3 py-2" aria-labelledby="bay">
  <h2 id="bay">AC bay of {result.inverter.tag}</h2>
  {#if fits.length}
    <section class="my-2 border-l-4 border-tight bg-paper px-3 py-1 text-sm" aria-label="What would fit">
      <h3>What would fit</h3>
      <ul class="list-disc pl-5">
        {#each fits as fit (fit.rule + fit.words)}
          <li>
            <span class="text-dim">{fit.rule}:</span>
            {fit.words}
            {#if fit.run}
              {@const { run } = fit}
              <Button size="xs" color="alternative" onclick={() => site.apply({ kind: 'run', run })}>Take it</Button>
            {/if}
          </li>
        {/each}
      </ul>
    </section>
  {/if}
  <BayDrawing {result} {checks} />
  <ul class="mt-2 list-disc pl-5 text-sm">
    <li>
      PE first, then the neutral and the phases back to front. Heat-shrink goes on the cable <b>before</b> the lug.
    </li>
    <li>
      Torque {result.torque ? `${fixed(result.torque.lowNm, 1)} to ${fixed(result.torque.highNm, 1)} N·m` : 'unknown'} ({result
        .torque?.source ?? 'no origin'}). A print beside the stud outranks a table.
    </li>
    {#if result.run.metal === 'Al'}<li>
        Aluminium: bimetal lug, brush the oxide, paste within a minute, crimp, wipe.
      </li>{/if}
  </ul>
</section>
