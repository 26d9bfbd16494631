<script lang="ts">
  import type { ChartConfiguration } from 'chart.js';
  import { Button } from 'flowbite-svelte';
  import { onDestroy, untrack } from 'svelte';
  import { fixed } from '$core/kernel/quantity';
  import { CLEAR_SKY, ratioWords } from '$core/strings/year/yearResult';
  import type { YearResult } from '$core/strings/year/yearResult';
  import type { Stamp } from '$core/weather/weatherCsv';
  import type { LineError, WeatherYear } from '$core/weather/weatherYear';
  import { ApiProblem, post } from '$lib/client/api';
  import { useSite } from '$lib/client/siteState.svelte';
  import Chart from '$lib/ui/Chart.svelte';
  import EnergyForm from '$lib/ui/strings/EnergyForm.svelte';
  import HeatMap from '$lib/ui/strings/HeatMap.svelte';
  import StringsNav from '$lib/ui/strings/StringsNav.svelte';
  import type { LongWork } from '$lib/workers/stringsWork';
  import { calledBack, startStringsWork } from '$lib/workers/stringsWork';

  let { data } = $props();
  const site = useSite();
  const design = $derived(site.design);

  let weather = $state.raw<WeatherYear | null>(untrack(() => data.weather));
  let fingerprint = $state<string | null>(untrack(() => data.fingerprint));
  let shown = $state.raw<{ result: YearResult; revision: number; weather: string } | null>(untrack(() => data.newest));
  const stale = $derived(
    shown !== null && (shown.revision !== site.revision || shown.weather !== (fingerprint ?? CLEAR_SKY)),
  );
  let missing = $state.raw<readonly string[]>([]);
  let share = $state<number | null>(null);
  let took = $state<number | null>(null);
  let trouble = $state('');
  let worker: LongWork | null = null;
  onDestroy(stop);
  function stop() {
    worker?.end();
    worker = null;
    share = null;
    reading = false;
  }

  async function compute() {
    stop();
    const own = startStringsWork();
    worker = own;
    share = 0;
    missing = [];
    trouble = '';
    took = null;
    const began = performance.now();
    const { revision } = site;
    const from = fingerprint ?? CLEAR_SKY;
    try {
      const answer = await own.work.year(
        design,
        data.year,
        weather,
        calledBack((s) => {
          // Progress may still be on its way when the answer is here already.
          if (worker === own) share = s;
        }),
      );
      took = (performance.now() - began) / 1000;
      if (!answer.value) missing = answer.missing;
      else {
        shown = { result: answer.value, revision, weather: from };
        await post(`/api/v1/sites/${site.siteId}/energy`, {
          revision,
          year: data.year,
          weather: from,
          result: answer.value,
        });
      }
    } catch (cause) {
      trouble = cause instanceof ApiProblem ? cause.problem.detail : String(cause);
    } finally {
      if (worker === own) stop();
    }
  }

  // Weather files.
  let lineErrors = $state.raw<readonly LineError[]>([]);
  let stamp = $state<Stamp>('starts');
  let reading = $state(false);
  let hint = $state('');
  async function read(file: File | undefined) {
    if (!file) return;
    stop();
    reading = true;
    lineErrors = [];
    hint = '';
    trouble = '';
    const own = startStringsWork();
    worker = own;
    try {
      if (file.size > 30e6) {
        trouble = `${file.name} has ${fixed(file.size / 1e6, 0)} MB; at most 30 MB are read.`;
        return;
      }
      const { latitudeDeg, longitudeDeg } = design.survey;
      const place = latitudeDeg !== null && longitudeDeg !== null ? { latitudeDeg, longitudeDeg } : null;
      const answer = await own.work.weather(await file.text(), file.name, stamp, place);
      lineErrors = answer.errors;
      if (!answer.year) return;
      hint = place ? '' : 'The survey does not say where the site is: nobody has held this file against the sun there.';
      const kept = await post<{ fingerprint: string }>(`/api/v1/sites/${site.siteId}/weather`, {
        weather: answer.year,
      });
      weather = answer.year;
      fingerprint = kept.fingerprint;
    } catch (cause) {
      trouble = cause instanceof ApiProblem ? cause.problem.detail : String(cause);
    } finally {
      reading = false;
      if (worker === own) stop();
    }
  }
  async function forget() {
    await post(`/api/v1/sites/${site.siteId}/weather`, { weather: null });
    weather = null;
    fingerprint = null;
    hint = '';
  }

  let unitId = $state('');
  const r = $derived(shown?.result ?? null);
  const unit = $derived(r?.units.find((u) => u.inverterId === unitId) ?? r?.units[0]);
  const bars = $derived.by((): ChartConfiguration | null => {
    const own = r?.trackers.filter((t) => t.inverterId === unit?.inverterId) ?? [];
    if (!own.length) return null;
    const sorted = [...own].sort((a, b) => a.tracker - b.tracker);
    return {
      type: 'bar',
      data: {
        labels: sorted.map((t) => `${t.tracker}`),
        datasets: [
          { label: 'DC energy, MWh', data: sorted.map((t) => t.dcKwh / 1000), backgroundColor: '#165763' },
          ...(sorted.some((t) => t.mismatchKwh > 0)
            ? [
                {
                  label: 'lost by mixing, MWh',
                  data: sorted.map((t) => t.mismatchKwh / 1000),
                  backgroundColor: '#d8c29a',
                  borderColor: '#1f1b16',
                  borderWidth: 1,
                },
              ]
            : []),
        ],
      },
      options: {
        scales: {
          x: { stacked: true, title: { display: true, text: 'tracker' } },
          y: { stacked: true, title: { display: true, text: 'MWh a year' }, beginAtZero: true },
        },
      },
    };
  });
  const mwh = (kwh: number) => `${fixed(kwh / 1000, 1)} MWh`;
</script>

<div class="space-y-4">
  <StringsNav siteId={site.siteId} />
  <section class="sheet p-3" aria-labelledby="inputs-title">
    <h2 id="inputs-title">Weather and losses</h2>
    <div class="mt-1 flex flex-wrap items-end gap-3 text-sm text-dim">
      <p class="mr-auto text-ink">
        {#if weather}Weather: <b>{weather.label}</b>, {weather.hours.length} hours, coldest {fixed(weather.coldestC, 1)} °C.
          {#if design.survey.coldestC !== null && weather.coldestC < design.survey.coldestC}<b class="text-tight"
              >Colder than the design temperature of {design.survey.coldestC} °C: look at that entry.</b
            >{:else}A typical year’s minimum is no design temperature.{/if}
        {:else}No weather file: a clear sky dimmed by monthly clearness stands in, and the result says so.{/if}
      </p>
      <label
        >Stamps of a CSV file
        <select class="block border border-rule bg-white px-2 py-1 text-ink" bind:value={stamp}>
          <option value="starts">start their hour</option><option value="ends">end their hour</option>
        </select></label
      >
      <label
        >Weather file, EPW or CSV
        <input
          class="block w-64 border border-rule bg-white text-ink"
          type="file"
          accept=".epw,.csv,text/csv"
          disabled={reading}
          onchange={(e) => read(e.currentTarget.files?.[0])}
        /></label
      >
      {#if weather}<button type="button" class="underline" onclick={forget}>Forget the file</button>{/if}
    </div>
    {#if reading}<p role="status" class="text-sm">
        Reading … <button type="button" class="underline" onclick={stop}>Stop</button>
      </p>{/if}
    {#if lineErrors.length}
      <div role="alert" class="mt-2 border-l-4 border-stop bg-paper px-3 py-1 text-sm">
        <p class="font-semibold">The file was not taken; nothing changed.</p>
        <ul>
          {#each lineErrors as e, i (i)}<li>Line <b class="num">{e.line}</b>: {e.text}</li>{/each}
        </ul>
      </div>
    {/if}
    {#if hint}<p role="alert" class="mt-1 text-sm text-tight">{hint}</p>{/if}
    <details class="mt-2" open={!weather && design.energy.monthlyMeanC === null}>
      <summary class="cursor-pointer font-semibold">Without a file, and losses</summary>
      {#key design.energy}<EnergyForm
          value={design.energy}
          save={(energy) => site.apply({ kind: 'energy', energy })}
        />{/key}
    </details>
    <div class="mt-3 flex flex-wrap items-center gap-3">
      <Button size="sm" disabled={share !== null} onclick={compute}>Compute the year</Button>
      {#if share !== null && !reading}
        <progress max="1" value={share} aria-label="Year being computed"></progress>
        <Button size="sm" color="alternative" onclick={stop}>Stop</Button>
      {/if}
      {#if took !== null}<span class="text-sm text-dim">Computed in {fixed(took, 1)} s.</span>{/if}
      {#if missing.length}<p role="alert">Missing: {missing.join(', ')}.</p>{/if}
      {#if trouble}<p role="alert" class="text-stop">{trouble}</p>{/if}
    </div>
  </section>

  {#if !r}
    <p class="sheet p-6 text-dim">No year has been computed for this site yet.</p>
  {:else}
    <section class="sheet p-3" aria-labelledby="year-title" data-testid="year">
      <h2 id="year-title">A year of energy</h2>
      {#if stale}<p role="status" class="border-l-4 border-tight px-2 text-sm">
          From revision {shown?.revision}; the design or its weather changed since. Compute again.
        </p>{/if}
      <dl class="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-4 lg:grid-cols-6">
        {#each [['AC energy', mwh(r.acKwh)], ['per kWp', `${fixed(r.kwhPerKwp, 0)} kWh`], ['clipped', `${fixed(r.clippedPercent, 2)} %`], ['lost by mixing', `${fixed(r.mismatchKwh, 0)} kWh`], ['lost to tracker current, at most', `${fixed(r.limitedKwh, 0)} kWh`], ['lost in DC cable', `${fixed(r.cableKwh, 0)} kWh`], ['level ground', `${fixed(r.globalKwhM2, 0)} kWh/m²`]] as [name, text] (name)}
          <div class="border-t-2 border-ink pt-1">
            <dt class="text-sm text-dim">{name}</dt>
            <dd class="num text-lg">{text}</dd>
          </div>
        {/each}
      </dl>
      <div class="mt-3"><HeatMap kw={r.heatMapKw} /></div>
      <details class="mt-2 text-sm">
        <summary class="cursor-pointer font-semibold">What it rests on</summary>
        <ul class="list-disc pl-5">
          {#each r.assumptions as a (a)}<li>{a}</li>{/each}
        </ul>
        <p class="num">
          {#each r.planes as p (p.planeId)}<span class="mr-4">{p.label} {fixed(p.kwhM2, 0)} kWh/m²</span>{/each}
        </p>
      </details>
    </section>
    <section class="sheet p-3" aria-labelledby="units-title">
      <h2 id="units-title">By inverter</h2>
      <div class="overflow-x-auto">
        <table class="grid-table">
          <thead
            ><tr
              ><th scope="col">Unit</th><th scope="col">DC/AC</th><th scope="col">AC energy</th><th scope="col"
                >Clipped</th
              ><th scope="col">Clipped for</th><th scope="col">Below start-up</th><th scope="col"></th></tr
            ></thead
          >
          <tbody>
            {#each r.units as u (u.inverterId)}
              <tr class={u.inverterId === unit?.inverterId ? 'bg-primary-50' : ''}>
                <th scope="row"
                  ><button type="button" class="underline" onclick={() => (unitId = u.inverterId)}>{u.tag}</button></th
                >
                <td class="num">{fixed((100 * u.dcW) / u.ratedW, 0)} %</td><td class="num">{mwh(u.acKwh)}</td>
                <td class="num">{fixed(u.clippedPercent, 2)} %, {fixed(u.clippedKwh, 0)} kWh</td>
                <td class="num">{fixed(u.clippedHours, 0)} h</td><td class="num">{fixed(u.waitingHours, 0)} h</td>
                <td class="text-sm text-tight">{ratioWords(u)}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      {#if bars && unit}
        <h3 class="mt-3">Trackers of {unit.tag}</h3>
        <Chart config={bars} label="DC energy a year of each tracker of {unit.tag}" height="14rem" />
      {/if}
    </section>
  {/if}
</div>
