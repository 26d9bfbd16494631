<script lang="ts">
  import type { ChartConfiguration } from 'chart.js';
  import {
    BarController,
    BarElement,
    CategoryScale,
    Chart,
    Legend,
    LineController,
    LineElement,
    LinearScale,
    PointElement,
    ScatterController,
    Tooltip,
  } from 'chart.js';

  let { config, label, height = '20rem' }: { config: ChartConfiguration; label: string; height?: string } = $props();

  Chart.register(
    BarController,
    BarElement,
    CategoryScale,
    Legend,
    LineController,
    LineElement,
    LinearScale,
    PointElement,
    ScatterController,
    Tooltip,
  );
  Chart.defaults.font.family = "'Archivo Narrow Variable', sans-serif";
  Chart.defaults.font.size = 13;
  Chart.defaults.color = '#1f1b16';
  Chart.defaults.animation = false;

  /** Draws on the canvas for as long as it is there, and again when what it shows changes. */
  const drawn = (canvas: HTMLCanvasElement) => {
    const chart = new Chart(canvas, { ...config, options: { maintainAspectRatio: false, ...config.options } });
    return () => chart.destroy();
  };
</script>

<div style:height role="img" aria-label={label}>
  {#key config}<canvas {@attach drawn}></canvas>{/key}
</div>
