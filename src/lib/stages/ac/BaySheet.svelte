<script lang="ts">
  import type { RunResult } from '$core/ac/results';
  import type { Check } from '$core/kernel/check';
  import BayDrawing from './BayDrawing.svelte';

  let { result, gap }: { result: RunResult; /** How the palms stand to one another. */ gap: Check | null } = $props();
</script>

<section class="sheet px-3 py-2" aria-labelledby="bay">
  <h2 id="bay">AC bay of {result.inverter.tag}</h2>
  <BayDrawing {result} {gap} />
  <ul class="mt-2 list-disc pl-5 text-sm">
    <li>
      PE first, then the neutral and the phases back to front. Heat-shrink goes on the cable <b>before</b> the lug.
    </li>
    <li>
      Torque {result.torque ? `${result.torque.lowNm} to ${result.torque.highNm} N·m` : 'unknown'} ({result.torque
        ?.source ?? 'no origin'}). A print beside the stud outranks a table.
    </li>
    {#if result.run.metal === 'Al'}<li>
        Aluminium: bimetal lug, brush the oxide, paste within a minute, crimp, wipe.
      </li>{/if}
  </ul>
</section>
