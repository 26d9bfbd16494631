<script lang="ts">
  import type { ChartConfiguration } from 'chart.js';
  import type { CurvePoint, TrackerPoint, TrackingWindow } from '$core/strings/curve/tracker';
  import Chart from '$lib/ui/Chart.svelte';

  let {
    curve,
    window: range,
    best,
    label,
  }: { curve: readonly CurvePoint[]; window: TrackingWindow; best: TrackerPoint; label: string } = $props();

  const INK = '#1f1b16';
  const ACCENT = '#165763';
  const config = $derived.by((): ChartConfiguration => {
    const top = Math.max(...curve.map((p) => p.powerW)) / 1000;
    const edge = (v: number) => [
      { x: v, y: 0 },
      { x: v, y: top },
    ];
    return {
      type: 'scatter',
      data: {
        datasets: [
          {
            label: 'current',
            data: curve.filter((p) => p.currentA >= 0).map((p) => ({ x: p.voltageV, y: p.currentA })),
            borderColor: INK,
            borderWidth: 2,
            showLine: true,
            pointRadius: 0,
            yAxisID: 'a',
          },
          {
            label: 'power',
            data: curve.filter((p) => p.powerW >= 0).map((p) => ({ x: p.voltageV, y: p.powerW / 1000 })),
            borderColor: ACCENT,
            borderDash: [6, 4],
            borderWidth: 2,
            showLine: true,
            pointRadius: 0,
            yAxisID: 'w',
          },
          {
            label: 'highest power in the tracking range',
            data: [{ x: best.voltageV, y: best.powerW / 1000 }],
            pointStyle: 'rectRot',
            pointRadius: 8,
            backgroundColor: ACCENT,
            yAxisID: 'w',
          },
          ...[range.minV, range.maxV].map((v, i) => ({
            label: i === 0 ? 'tracking range' : '',
            data: edge(v),
            borderColor: '#8d8372',
            borderWidth: 1,
            showLine: true,
            pointRadius: 0,
            yAxisID: 'w',
          })),
        ],
      },
      options: {
        scales: {
          x: { title: { display: true, text: 'voltage, V' }, min: 0 },
          a: { position: 'left', title: { display: true, text: 'current, A' }, min: 0 },
          w: { position: 'right', title: { display: true, text: 'power, kW' }, min: 0, grid: { display: false } },
        },
        plugins: { legend: { labels: { filter: (item) => item.text !== '', usePointStyle: false } } },
      },
    };
  });
</script>

<Chart {config} {label} />
