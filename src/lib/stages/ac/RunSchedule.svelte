<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { lineWords } from '$core/ac/cableWords';
  import type { RunResult } from '$core/ac/results';
  import type { Check } from '$core/kernel/check';
  import { worstOf } from '$core/kernel/check';
  import { fixed, formatQuantity } from '$core/kernel/quantity';
  import { useSite } from '$lib/client/siteState.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let {
    results,
    checks,
    picked,
    unsaved,
    onpick,
  }: {
    results: readonly RunResult[];
    checks: readonly Check[];
    picked: string | undefined;
    /** A run has values typed that are not saved: sizing would put others in their place. */
    unsaved: boolean;
    onpick: (inverterId: string) => void;
  } = $props();
  const site = useSite();
  const verdicts = $derived(Map.groupBy(checks, (c) => c.subject.id));
  const verdictOf = (id: string) => worstOf((verdicts.get(id) ?? []).map((c) => c.verdict));
  const lugWords = (r: RunResult) => {
    const lug = r.lug.value;
    return lug ? `${lug.sectionMm2}-M${lug.studM}` : '–';
  };
  async function sizeAll() {
    for (const r of results) if (await site.apply({ kind: 'suggest-run', inverterId: r.inverter.id })) return;
  }
</script>

<section class="sheet relative overflow-x-auto px-3 py-2" aria-labelledby="schedule">
  <header class="mb-1 flex items-center gap-3">
    <h2 id="schedule">Schedule of runs to {site.design.board.label}</h2>
    <Button size="xs" color="alternative" disabled={unsaved} onclick={sizeAll}>Size all runs</Button>
  </header>
  <table class="grid-table">
    <thead
      ><tr
        ><th scope="col">Run</th><th scope="col" class="fig">I<sub>b</sub></th><th scope="col" class="fig">Breaker</th
        ><th scope="col">Cable</th><th scope="col" class="fig">Length</th><th scope="col" class="fig">I<sub>z</sub></th
        ><th scope="col" class="fig">Rise</th><th scope="col" class="fig">PE</th><th scope="col">Lug</th><th
          scope="col"
          class="fig">Torque</th
        ><th scope="col">Verdict</th></tr
      ></thead
    >
    <tbody>
      {#each results as r (r.inverter.id)}
        <tr data-part={r.inverter.id} class={r.inverter.id === picked ? 'bg-primary-50' : ''}>
          <th scope="row"
            ><button
              type="button"
              class="underline"
              aria-pressed={r.inverter.id === picked}
              onclick={() => onpick(r.inverter.id)}>{r.inverter.tag}</button
            ></th
          >
          <td class="fig">{fixed(r.designCurrent.currentA, 1)} A</td>
          <td class="fig">{r.run.breakerA === null ? '–' : `${r.run.breakerA} A`}</td>
          <td class="num whitespace-nowrap">{lineWords(r)}</td>
          <td class="fig">{formatQuantity(r.lengthM, 'm')}</td>
          <td class="fig">{formatQuantity(r.ampacity.value?.izA, 'A')}</td>
          <td class="fig">{r.rise.value ? `${fixed(r.rise.value.percent, 2)} %` : '–'}</td>
          <td class="fig">{r.run.peMm2 === null ? '–' : r.school.sectionName(r.run.peMm2)}</td>
          <td class="num whitespace-nowrap">{lugWords(r)}</td>
          <td class="fig">{r.torque ? `${r.torque.lowNm}–${r.torque.highNm} N·m` : '–'}</td>
          <td><VerdictMark verdict={verdictOf(r.inverter.id)} /></td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>
