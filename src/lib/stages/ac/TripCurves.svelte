<script lang="ts">
  import type { ChartConfiguration } from 'chart.js';
  import { LogarithmicScale, Chart as ChartJs } from 'chart.js';
  import { branchCurveOf, mainCurveOf } from '$core/ac/board/curves';
  import { DELAY_LEAST_S } from '$core/ac/board/staysIn';
  import type { Board } from '$core/site/parts';
  import Chart from '$lib/ui/Chart.svelte';

  let { board, faultA }: { board: Board; faultA: number | null } = $props();
  ChartJs.register(LogarithmicScale);

  const INK = '#1f1b16';
  const FAINT = '#8d8372';
  const DASHES = [[], [6, 4], [2, 3], [10, 3, 2, 3]] as const;
  const ratings = $derived([...new Set(board.branchCurves.map((p) => p.breakerA))].sort((a, b) => a - b));
  const config = $derived.by((): ChartConfiguration => {
    const main = mainCurveOf(board);
    const branches = ratings.map((a) => ({ a, curve: branchCurveOf(board, a) }));
    const all = [...main, ...branches.flatMap((b) => b.curve)];
    const currents = [...all.map((p) => p.currentA), ...(faultA === null ? [] : [faultA])];
    const [leastS, mostS] = [Math.min(DELAY_LEAST_S, ...all.map((p) => p.timeS)), Math.max(...all.map((p) => p.timeS))];
    const line = { showLine: true, borderWidth: 2 };
    const level = { showLine: true, borderWidth: 1, pointRadius: 0, borderColor: FAINT };
    const xy = (curve: typeof main) => curve.map((p) => ({ x: p.currentA, y: p.timeS }));
    return {
      type: 'scatter',
      data: {
        datasets: [
          { label: 'main, first to open', data: xy(main), ...line, borderColor: '#165763', backgroundColor: '#165763' },
          ...branches.map(({ a, curve }, i) => ({
            label: `${a} A, last to clear`,
            data: xy(curve),
            ...line,
            borderColor: INK,
            backgroundColor: INK,
            borderDash: [...(DASHES[i % DASHES.length] ?? [])],
          })),
          ...(faultA === null
            ? []
            : [
                {
                  label: 'largest fault',
                  data: [
                    { x: faultA, y: leastS },
                    { x: faultA, y: mostS },
                  ],
                  ...level,
                },
              ]),
          {
            label: 'below: the makers’ tables of energy',
            data: [Math.min(...currents), Math.max(...currents)].map((x) => ({ x, y: DELAY_LEAST_S })),
            ...level,
            borderDash: [3, 3],
          },
        ],
      },
      options: {
        scales: {
          x: { type: 'logarithmic', title: { display: true, text: 'current, A' } },
          y: { type: 'logarithmic', title: { display: true, text: 'time, s' } },
        },
        plugins: { legend: { labels: { boxHeight: 0 } } },
      },
    };
  });
</script>

<Chart
  {config}
  label="Time over current: the main, and the breakers of the runs rated {ratings.join(', ')} A"
  height="22rem"
/>
