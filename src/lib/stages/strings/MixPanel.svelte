<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import { useSite } from '$lib/client/siteState.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import TaskBar from '$lib/ui/TaskBar.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import type { CurveState } from './curveState.svelte';

  let { state: curve, overYear }: { state: CurveState; overYear: () => void } = $props();
  const site = useSite();
  const planes = $derived(site.design.planes.map((p) => ({ value: p.id, name: p.label })));
</script>

<section class="sheet p-3" aria-labelledby="mix-title">
  <h2 id="mix-title">What mixing would cost</h2>
  <p class="max-w-prose text-sm text-dim">
    Two strings that would share one tracker of {curve.unit?.tag}: now, in the light set above, and over a year.
  </p>
  <div class="mt-2 flex flex-wrap items-end gap-3 text-sm text-dim">
    <Choice
      label="First plane"
      value={curve.parts[0].planeId}
      choices={planes}
      onchoose={(id) => (curve.planeA = id)}
    />
    <Amount label="Its modules" width="w-20" min={1} max={60} step={1} bind:value={curve.modulesA} />
    <Choice
      label="Second plane"
      value={curve.parts[1].planeId}
      choices={planes}
      onchoose={(id) => (curve.planeB = id)}
    />
    <Amount label="Modules of the second" width="w-20" min={1} max={60} step={1} bind:value={curve.modulesB} />
    <button
      type="button"
      class="h-8 border border-ink bg-sheet px-3 text-ink disabled:opacity-40"
      disabled={curve.overYear.running || !curve.whole}
      onclick={overYear}>Over a year</button
    >
    <TaskBar task={curve.overYear} share={curve.overYear.progress} name="Year being computed" />
  </div>
  {#if !curve.whole}<p role="alert" class="text-stop">Modules must be whole numbers from 1 to 60.</p>{/if}
  {#if curve.now}{@const { parallel, separateW, lossPercent } = curve.now}
    <p class="mt-2">
      Now: <b class="num">{fixed(parallel.powerW, 0)} W</b> together at {fixed(parallel.voltageV, 1)} V,
      <b class="num">{fixed(separateW, 0)} W</b>
      apart: <b class="num">{fixed(separateW - parallel.powerW, 0)} W</b> or {fixed(lossPercent, 2)} % lost. One moment is
      no verdict.
    </p>
  {/if}
  {#if curve.yearly}{@const { kwh, percent, check } = curve.yearly}
    <p class="mt-1" data-testid="mixing-year">
      Over a year: <b class="num">{fixed(kwh, 0)} kWh</b> or {fixed(percent, 2)} % lost: <VerdictMark
        verdict={check.verdict}
      />. {check.working.at(-1)}
    </p>
  {/if}
  {#if curve.missing.length}<p role="alert" class="mt-1 text-stop">Missing: {curve.missing.join(', ')}.</p>{/if}
</section>
