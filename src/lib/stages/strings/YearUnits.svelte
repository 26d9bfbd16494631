<script lang="ts">
  import type { ChartConfiguration } from 'chart.js';
  import { fixed } from '$core/kernel/quantity';
  import type { YearResult } from '$core/strings/year/yearResult';
  import { ratioWords } from '$core/strings/year/yearResult';
  import Chart from '$lib/ui/Chart.svelte';

  let { result: r }: { result: YearResult } = $props();
  let unitId = $state('');
  const unit = $derived(r.units.find((u) => u.inverterId === unitId) ?? r.units[0]);
  const bars = $derived.by((): ChartConfiguration | null => {
    const own = r.trackers.filter((t) => t.inverterId === unit?.inverterId);
    if (!own.length) return null;
    const sorted = [...own].sort((a, b) => a.tracker - b.tracker);
    const energy = { label: 'DC energy, MWh', data: sorted.map((t) => t.dcKwh / 1000), backgroundColor: '#165763' };
    const mixed = {
      label: 'lost by mixing, MWh',
      data: sorted.map((t) => t.mismatchKwh / 1000),
      backgroundColor: '#d8c29a',
      borderColor: '#1f1b16',
      borderWidth: 1,
    };
    return {
      type: 'bar',
      data: {
        labels: sorted.map((t) => `${t.tracker}`),
        datasets: sorted.some((t) => t.mismatchKwh > 0) ? [energy, mixed] : [energy],
      },
      options: {
        scales: {
          x: { stacked: true, title: { display: true, text: 'tracker' } },
          y: { stacked: true, title: { display: true, text: 'MWh a year' }, beginAtZero: true },
        },
      },
    };
  });
</script>

<section class="sheet p-3" aria-labelledby="units-title">
  <h2 id="units-title">By inverter</h2>
  <div class="overflow-x-auto">
    <table class="grid-table">
      <thead
        ><tr
          ><th scope="col">Unit</th><th scope="col" class="fig">DC/AC</th><th scope="col" class="fig">AC energy</th><th
            scope="col"
            class="fig">Clipped</th
          ><th scope="col" class="fig">Clipped for</th><th scope="col" class="fig">Heat</th><th scope="col" class="fig"
            >Below start-up</th
          ><th scope="col"></th></tr
        ></thead
      >
      <tbody>
        {#each r.units as u (u.inverterId)}
          <tr class={u.inverterId === unit?.inverterId ? 'bg-primary-50' : ''}>
            <th scope="row"
              ><button type="button" class="underline" onclick={() => (unitId = u.inverterId)}>{u.tag}</button></th
            >
            <td class="fig">{fixed((100 * u.dcW) / u.ratedW, 0)} %</td>
            <td class="fig">{fixed(u.acKwh / 1000, 1)} MWh</td>
            <td class="fig">{fixed(u.clippedPercent, 2)} %, {fixed(u.clippedKwh, 0)} kWh</td>
            <td class="fig">{fixed(u.clippedHours, 0)} h</td>
            <td class="fig">{fixed(u.heatKwh, 0)} kWh</td>
            <td class="fig">{fixed(u.waitingHours, 0)} h</td>
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
