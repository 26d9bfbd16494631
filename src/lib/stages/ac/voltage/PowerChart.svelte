<script lang="ts">
  import type { ChartConfiguration } from 'chart.js';
  import type { VoltagePath } from '$core/ac/voltagePath/path';
  import type { Feeding } from '$core/ac/voltagePath/picture';
  import { pictureAt } from '$core/ac/voltagePath/picture';
  import Chart from '$lib/ui/Chart.svelte';

  let { path, feeding }: { path: VoltagePath; feeding: Feeding } = $props();
  const STEPS = 20;
  const INK = '#1f1b16';
  const ACCENT = '#165763';
  const STOP = '#a3231b';

  /** Board, best and worst unit over power; units in between lie between them. */
  const lines = $derived.by(() => {
    const at = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS).flatMap((share) => {
      const picture = pictureAt(path, { ...feeding, share });
      return picture ? [{ share, picture }] : [];
    });
    const line = (of: (p: (typeof at)[number]['picture']) => number) =>
      at.map(({ share, picture }) => ({ x: 100 * share, y: of(picture) }));
    return {
      board: line((p) => p.boardV),
      least: line((p) => Math.min(...p.units.map((u) => u.terminalV))),
      worst: line((p) => p.worst.terminalV),
    };
  });
  const dataset = (
    label: string,
    data: { x: number; y: number }[],
    borderColor: string,
    borderDash: number[] = [],
  ) => ({
    label,
    data,
    borderColor,
    borderDash,
    borderWidth: 2,
    showLine: true,
    pointRadius: 0,
  });
  const config = $derived<ChartConfiguration>({
    type: 'scatter',
    data: {
      datasets: [
        dataset('highest unit', lines.worst, ACCENT),
        dataset('lowest unit', lines.least, ACCENT, [2, 4]),
        dataset('board', lines.board, INK),
        dataset(
          'trip level',
          [
            { x: 0, y: path.tripV },
            { x: 100, y: path.tripV },
          ],
          STOP,
          [8, 4],
        ),
        {
          label: 'now',
          data: [{ x: 100 * feeding.share, y: lines.worst[Math.round(STEPS * feeding.share)]?.y ?? path.restV }],
          backgroundColor: ACCENT,
          pointRadius: 6,
        },
      ],
    },
    options: {
      plugins: { legend: { labels: { usePointStyle: true, pointStyle: 'line' } } },
      scales: {
        x: { title: { display: true, text: 'power of all units, %' }, min: 0, max: 100 },
        y: { title: { display: true, text: 'line to line, V' } },
      },
    },
  });
</script>

<Chart {config} label="Voltage at board and units over power, with the trip level at {path.tripV} V" height="17rem" />
