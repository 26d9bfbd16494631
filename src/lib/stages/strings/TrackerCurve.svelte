<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import type { ModuleModel } from '$core/strings/curve/diode';
  import { useSite } from '$lib/client/siteState.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import CurveChart from './CurveChart.svelte';
  import type { CurveState } from './curveState.svelte';

  let { state: curve }: { state: CurveState } = $props();
  const site = useSite();
  const design = $derived(site.design);
  const unit = $derived(curve.unit);
  const trackers = $derived(curve.type?.trackers ?? 0);
  const modelWords = ({ reference: r }: ModuleModel) =>
    `a ${fixed(r.aV, 4)} V · I_L ${fixed(r.lightA, 3)} A · I_0 ${r.saturationA.toExponential(2)} A · R_s ${fixed(r.seriesOhm, 3)} Ω · R_sh ${fixed(r.shuntOhm, 0)} Ω`;
</script>

<section class="sheet p-3" aria-labelledby="curve-title">
  <header class="flex flex-wrap items-end gap-3">
    <h2 id="curve-title" class="mr-auto">Curve of a tracker</h2>
    <Choice
      label="Inverter"
      value={unit?.id}
      choices={design.inverters.map((u) => ({ value: u.id, name: u.tag }))}
      onchoose={(id) => (curve.unitId = id)}
    />
    <Choice label="Tracker" choices={Array.from({ length: trackers }, (_, t) => t + 1)} bind:value={curve.tracker} />
  </header>
  <fieldset class="mt-2 flex flex-wrap gap-x-6 gap-y-2 text-sm text-dim">
    <legend class="sr-only">Light and temperature</legend>
    {#each design.planes as p (p.id)}
      {@const l = curve.lightOf(p.id)}
      <span class="flex items-end gap-3">
        <Amount
          label={p.label}
          unit="W/m²"
          min={0}
          max={1600}
          value={l.g}
          onamount={(g) => (curve.light[p.id] = { ...l, g: g ?? Number.NaN })}
        />
        <Amount
          label="cell"
          unit="°C"
          width="w-20"
          min={-40}
          max={100}
          value={l.c}
          onamount={(c) => (curve.light[p.id] = { ...l, c: c ?? Number.NaN })}
        />
      </span>
    {/each}
  </fieldset>
  {#if !curve.sound}<p role="alert" class="text-stop">Light must be 0 to 1600 W/m² and the cell −40 to 100 °C.</p>{/if}
  {#if curve.curve && unit}
    {@const { best, points } = curve.curve}
    <p class="mt-2">
      {curve.onTracker.length} × on {unit.tag} tracker {curve.tracker}:
      <b class="num">{fixed(best.powerW / 1000, 2)} kW</b>
      at
      <b class="num">{fixed(best.voltageV, 1)} V</b>, inside {curve.range.minV} to {curve.range.maxV} V.
    </p>
    <CurveChart
      curve={points}
      window={curve.range}
      {best}
      label="Current and power of {unit.tag} tracker {curve.tracker} over its voltage; highest {fixed(
        best.powerW / 1000,
        2,
      )} kW at {fixed(best.voltageV, 1)} V"
    />
  {:else if curve.onTracker.length === 0}
    <p class="mt-2 text-dim">No string hangs on {unit?.tag} tracker {curve.tracker}.</p>
  {:else if curve.sound}
    <p class="mt-2 text-dim">
      The sheet of this module describes no real curve (SM01): voltages are still computed, curves are not.
    </p>
  {/if}
  <details class="mt-1 text-sm">
    <summary class="cursor-pointer">Module models</summary>
    {#each design.equipment.modules as m (m.id)}
      {@const model = curve.models.get(m.id)}
      <p class="num">{m.name}: {model ? modelWords(model) : 'no parameter set fits (SM01)'}</p>
      {#if model?.fallback}<p class="text-tight">
          SM02: the voltage coefficient does not fit the curve; the model uses {fixed(100 * model.betaPerK, 3)} %/K against
          {fixed(100 * m.betaUocPerK, 3)} %/K on the sheet. Limits use the sheet.
        </p>{/if}
    {/each}
    <p class="text-dim">De Soto, Klein and Beckman 2006, Solar Energy 80:78 (recalled).</p>
  </details>
</section>
