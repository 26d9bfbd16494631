<script lang="ts">
  import type { ChartConfiguration } from 'chart.js';
  import type { FedHour } from '$core/design/tripHours';
  import Chart from '$lib/ui/Chart.svelte';

  let { hours, tripV, label }: { hours: readonly FedHour[]; tripV: number; label: string } = $props();
  const line = (of: (h: FedHour) => number) => hours.map((h) => ({ x: h.hour + 0.5, y: of(h) }));
  const [FROM_H, TO_H] = [3, 22];
  const drawn = { borderWidth: 2, showLine: true, pointRadius: 2 };
  const config = $derived<ChartConfiguration>({
    type: 'scatter',
    data: {
      datasets: [
        { ...drawn, label: 'highest unit', data: line((h) => h.worstV), borderColor: '#165763', yAxisID: 'v' },
        { ...drawn, label: 'board', data: line((h) => h.boardV), borderColor: '#1f1b16', yAxisID: 'v' },
        {
          ...drawn,
          label: 'trip level',
          data: [FROM_H, TO_H].map((x) => ({ x, y: tripV })),
          borderColor: '#a3231b',
          borderDash: [8, 4],
          pointRadius: 0,
          yAxisID: 'v',
        },
        {
          ...drawn,
          label: 'power',
          data: line((h) => h.powerW / 1000),
          borderColor: '#8d8372',
          borderDash: [2, 4],
          yAxisID: 'w',
        },
      ],
    },
    options: {
      plugins: { legend: { labels: { usePointStyle: true, pointStyle: 'line' } } },
      scales: {
        x: { title: { display: true, text: 'standard time, h' }, min: FROM_H, max: TO_H },
        v: { position: 'left', title: { display: true, text: 'line to line, V' } },
        w: { position: 'right', title: { display: true, text: 'power, kW' }, min: 0, grid: { display: false } },
      },
    },
  });
</script>

<Chart {config} label="Voltage and power on {label}" height="16rem" />
