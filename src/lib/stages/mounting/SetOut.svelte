<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import type { Wall } from '$core/mounting/part';
  import type { HungUnit } from '$core/mounting/results';
  import { LEVEL_MM, SET_OUT_TOLERANCE, setOutSheet } from '$core/mounting/setOut/setOutSheet';

  import { useSite } from '$lib/client/siteState.svelte';

  let { wall, hung }: { wall: Wall; hung: readonly HungUnit[] } = $props();
  const sheet = $derived(setOutSheet(hung));
  const bore = $derived(
    wall.anchorHoleMm === null ? 'by the anchor' : `${wall.anchorHoleMm} × ${wall.anchorDepthMm ?? '–'}`,
  );
  const site = useSite();
  const file = $derived(`/sites/${site.siteId}/mounting/${wall.id}/set-out`);
</script>

<section class="sheet relative overflow-x-auto p-3" aria-labelledby="set-out">
  <header class="flex flex-wrap items-center gap-3">
    <h2 id="set-out" class="mr-auto">Set-out of {wall.label}</h2>
    {#if sheet.holes.length}
      <nav class="no-print flex gap-3" aria-label="Set-out as a file">
        <a class="border border-ink px-3 py-1" href="{file}.pdf" download>PDF to scale, A4</a>
        <a class="border border-ink px-3 py-1" href="{file}.pdf?paper=A3" download>A3</a>
        <a class="border border-ink px-3 py-1" href="{file}.dxf" download>DXF</a>
        <a class="border border-ink px-3 py-1" href="{file}.csv" download>CSV</a>
      </nav>
    {/if}
  </header>
  <p class="max-w-prose text-sm text-dim">
    Running dimensions, never chained: X from the plumb line at the left end, Y from one level line {LEVEL_MM} mm over the
    highest point of the floor, by laser. Holes ±{SET_OUT_TOLERANCE.holeMm} mm, diagonals ±{SET_OUT_TOLERANCE.diagonalMm}
    mm, level {SET_OUT_TOLERANCE.levelMmPerM} mm a metre. Detector first: a hit moves the whole bracket, not a hole. Safety
    screws are nominal: hang, mark, take down, drill, hang again.
  </p>
  {#if sheet.missing.length}<p>Missing: {[...new Set(sheet.missing)].join(', ')}.</p>{/if}
  {#if sheet.holes.length}
    <table class="grid-table mt-1">
      <thead
        ><tr
          ><th scope="col">Hole</th><th scope="col">Unit</th><th scope="col" class="fig">X, mm</th><th
            scope="col"
            class="fig">Y, mm</th
          ><th scope="col" class="fig">Ø × depth, mm</th><th scope="col">When</th></tr
        ></thead
      >
      <tbody>
        {#each sheet.holes as h (h.name)}
          <tr class={h.kind === 'bracket' ? '' : 'text-dim'}>
            <th scope="row">{h.name}</th><td>{h.tag}</td>
            <td class="fig">{fixed(h.xMm, 0)}</td><td class="fig">{fixed(h.yMm, 0)}</td>
            <td class="fig">{h.kind === 'bracket' ? bore : '–'}</td>
            <td>{h.kind === 'bracket' ? 'now' : 'after the trial hang'}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="mt-2">
      Check with the tape:
      {#each sheet.checks as c (`${c.from}${c.to}`)}<span class="mr-3 inline-block whitespace-nowrap"
          >{c.from}–{c.to} <b class="num">{fixed(c.mm, 1)} mm</b></span
        >{/each}
    </p>
    <p class="mt-1">
      Tighten crosswise, 30, 70 and 100 %, then once round:
      {#each sheet.orders as o (o.tag)}<span class="mr-3 inline-block whitespace-nowrap">{o.holes.join(' ')}</span
        >{/each}
    </p>
  {:else if !sheet.missing.length}<p class="text-dim">
      Every hole of the units on this wall stands here. None hangs yet.
    </p>{/if}
</section>
