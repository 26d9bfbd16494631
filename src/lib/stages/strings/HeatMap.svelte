<script lang="ts">
  import { fixed } from '$core/kernel/quantity';

  /** Mean AC power by month and hour, kW. Shade and figure say the same. */
  let { kw }: { kw: readonly (readonly number[])[] } = $props();
  const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
  const top = $derived(Math.max(1e-9, ...kw.flat()));
  const hours = $derived(
    Array.from({ length: 24 }, (_, h) => h).filter((h) => kw.some((row) => (row[h] ?? 0) > 0.0005 * top)),
  );
</script>

<div class="overflow-x-auto">
  <table class="w-full border-collapse text-center text-xs">
    <caption class="pb-1 text-left text-sm text-dim">Mean AC power, kW, by month and hour of standard time</caption>
    <thead>
      <tr
        ><th scope="col"><span class="sr-only">Month</span></th>{#each hours as h (h)}<th
            scope="col"
            class="num px-1 font-normal">{h}</th
          >{/each}</tr
      >
    </thead>
    <tbody>
      {#each MONTHS as month, m (month)}
        <tr>
          <th scope="row" class="pr-2 text-right font-normal">{month}</th>
          {#each hours as h (h)}
            {@const v = kw[m]?.[h] ?? 0}
            {@const share = v / top}
            <td
              class="num border border-sheet px-1 py-0.5"
              style:background="color-mix(in srgb, var(--color-primary-700) {fixed(100 * share, 0)}%,
              var(--color-paper))"
              style:color={share > 0.45 ? 'var(--color-sheet)' : 'var(--color-ink)'}
              >{v < 0.0005 * top ? '' : fixed(v, top < 20 ? 1 : 0)}</td
            >
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
