<script lang="ts">
  import type { ModuleType } from '$core/equipment/moduleType';
  import { fixed } from '$core/kernel/quantity';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import type { BenchState } from './benchState.svelte';

  let { bench, module }: { bench: BenchState; module: ModuleType } = $props();
  const A = (x: number) => `${fixed(x, 2)} A`;
</script>

<section class="sheet p-3" aria-labelledby="b-fuse">
  <h2 id="b-fuse">String fuse</h2>
  {#if bench.fuse}
    <p class="mt-1">
      {#if !bench.fuse.needed}None needed: <b class="num">{A(bench.fuse.reverseA)}</b> back into a shorted string, the
        module stands {module.fuseMaxA} A.{:else if bench.fuse.ratingA !== null}Needed, both poles: <b class="num"
          >{bench.fuse.ratingA} A</b
        >, since {A(bench.fuse.reverseA)} flow back and the module stands {module.fuseMaxA} A.{:else}<span
          class="text-stop">Needed, and no standard rating fits (SF01).</span
        >
        At most {bench.fuse.maxUnfused} strings in parallel.{/if}
    </p>
    <p class="num text-sm">
      {bench.school === 'NEC' ? '1.5625' : '1.5'} × g<sub>b</sub> × I<sub>sc</sub> = {A(bench.fuse.leastA)}; at most {A(
        bench.fuse.mostA,
      )}; unfused up to {bench.fuse.maxUnfused}
      strings
    </p>
    <p class="text-sm text-dim">IEC 62548-1; NFPA 70 690.9; ratings IEC 60269-6 (recalled).</p>
  {:else}<p class="mt-1">
      <VerdictMark verdict="unknown" /> Give the light on the rear: {module.name} sees behind.
    </p>{/if}
</section>
