<script lang="ts">
  import { DC_CABLE_MODES, DC_SECTIONS_MM2 } from '$core/conductor/laid';
  import { fixed } from '$core/kernel/quantity';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import { marginWords } from '$lib/ui/marginWords';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import type { BenchState } from './benchState.svelte';

  let { bench }: { bench: BenchState } = $props();
</script>

<section class="sheet p-3" aria-labelledby="b-cable">
  <h2 id="b-cable">DC cable</h2>
  <div class="mt-1 flex flex-wrap items-end gap-2 text-sm text-dim">
    <Choice label="Section" unit="mm²" choices={DC_SECTIONS_MM2} bind:value={bench.sectionMm2} />
    <Amount label="One way" unit="m" bind:value={bench.lengthM} />
    <Choice label="Laid" choices={DC_CABLE_MODES} bind:value={bench.mode} />
    <Amount label="Ambient" unit="°C" width="w-20" bind:value={bench.ambientC} />
    <Amount label="Circuits together" width="w-20" min={1} max={20} step={1} bind:value={bench.together} />
  </div>
  <p class="mt-2">
    {#if bench.drop}Drop <b class="num">{fixed(bench.drop.dropV, 2)} V, {fixed(bench.drop.dropPercent, 2)} %</b>; {fixed(
        bench.drop.lossW,
        0,
      )} W lost a string at full light, 60 °C conductor.{:else}<VerdictMark verdict="unknown" /> Drop: give the length, 0.1
      to 1000 m.{/if}
  </p>
  {#if bench.cableCheck}{@const c = bench.cableCheck}
    <p>
      <VerdictMark verdict={c.verdict} />
      {#if c.value !== null && c.limit !== null}Carries <b class="num">{fixed(c.limit, 1)} A</b>, needs
        <b class="num">{fixed(c.value, 2)} A</b>: {marginWords(c)} left.{:else}{c.working.join(' ')}{/if}
    </p>
  {/if}
  <p class="text-sm text-dim">IEC 60228 class 5 tinned; EN 50618 A.3 (recalled). 1 % wanted, 2 % at most.</p>
</section>
