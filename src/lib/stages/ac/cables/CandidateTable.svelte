<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { Candidate } from '$core/ac/candidates/candidates';
  import type { winners } from '$core/ac/candidates/winners';
  import { lineWords } from '$core/ac/cableWords';
  import type { School } from '$core/conductor/school';
  import { fixed, formatQuantity } from '$core/kernel/quantity';

  let {
    accepted,
    best,
    school,
    ontake,
  }: {
    accepted: readonly Candidate[];
    best: ReturnType<typeof winners> | null;
    school: School;
    ontake: (c: Candidate) => void;
  } = $props();
  const MOST = 20;
  const GOOD_AT = { cost: 'cheapest', mass: 'lightest', loss: 'least loss', ease: 'easiest to lay' } as const;
  const goodAt = (c: Candidate) =>
    (Object.keys(GOOD_AT) as (keyof typeof GOOD_AT)[]).filter((k) => best?.[k] === c).map((k) => GOOD_AT[k]);
</script>

<div class="overflow-x-auto">
  <table class="grid-table">
    <thead>
      <tr>
        <th scope="col">Cable</th><th scope="col" class="fig">Breaker</th><th scope="col" class="fig">Cost</th><th
          scope="col"
          class="fig">Metal</th
        ><th scope="col" class="fig">Rise</th><th scope="col" class="fig">I<sub>z</sub></th><th scope="col" class="fig"
          >Loss</th
        ><th scope="col" class="fig">Diameter</th><th scope="col">PE</th><th scope="col">Best at</th><td></td>
      </tr>
    </thead>
    <tbody>
      {#each accepted.slice(0, MOST) as c (c)}
        {@const wanted = [...new Set(c.open.flatMap((o) => o.missing ?? []))]}
        <tr class={wanted.length ? 'with-more' : ''}>
          <th scope="row" class="num whitespace-nowrap">{lineWords({ run: c.run, school })}, {c.run.cores}</th>
          <td class="fig">{c.run.breakerA} A</td>
          <td class="fig whitespace-nowrap"
            >{c.cost === null ? '–' : `${c.cost.by === 'metal' ? '≈ ' : ''}${fixed(c.cost.amount, 0)}`}</td
          >
          <td class="fig">{fixed(c.massKg, 0)} kg</td>
          <td class="fig">{fixed(c.risePercent, 2)} %</td>
          <td class="fig">{fixed(c.izA, 0)} A</td>
          <td class="fig">{fixed(c.lossW, 0)} W</td>
          <td class="fig">{formatQuantity(c.diameterMm, 'mm')}</td>
          <td class="num whitespace-nowrap">{c.run.peMm2 === null ? '–' : school.sectionName(c.run.peMm2)}</td>
          <td class="font-semibold">{goodAt(c).join(', ')}</td>
          <td
            ><Button size="xs" color="alternative" class="whitespace-nowrap" onclick={() => ontake(c)}>Take it</Button
            ></td
          >
        </tr>
        {#if wanted.length}
          <tr><td colspan="11" class="text-sm text-dim">Still to know: {wanted.join('; ')}</td></tr>
        {/if}
      {/each}
    </tbody>
  </table>
  {#if accepted.length > MOST}<p class="text-sm text-dim">and {accepted.length - MOST} dearer ones.</p>{/if}
</div>

<style>
  .with-more > * {
    border-bottom: 0;
    padding-bottom: 0;
  }
</style>
