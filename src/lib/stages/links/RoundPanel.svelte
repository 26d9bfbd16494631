<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import { BIT_RATES } from '$core/links/bitRates';
  import type { ChainResult } from '$core/links/results';
  import { fewestOf } from '$core/links/timing/fewestOf';
  import type { PollPlan } from '$core/links/timing/pollPlan';
  import { pollPlanSchema } from '$core/links/timing/pollPlan';
  import { ROUND_SHARE, cures, roundOf } from '$core/links/timing/round';
  import { cycleS, scanS } from '$core/links/timing/serialLine';
  import { useSite } from '$lib/client/siteState.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  let { results }: { results: ChainResult } = $props();
  const site = useSite();
  const poll = $derived(site.design.chain.poll);
  const round = $derived(roundOf(results.chain));
  const fewest = $derived(fewestOf(results));
  const paths = Object.keys(pollPlanSchema.shape);
  const SCAN_WAIT_S = 0.2;
</script>

<section class="sheet p-3" aria-labelledby="round">
  <h2 id="round" class="mb-2">How the logger goes round</h2>
  {#key poll}
    <EditForm
      schema={pollPlanSchema}
      value={poll}
      groups={[{ title: '', paths }]}
      prefix="poll"
      label="Save the round"
      save={(value) => site.apply({ kind: 'poll-plan', poll: value as PollPlan })}
    />
  {/key}
</section>

<section class="sheet p-3" aria-labelledby="rounds">
  <h2 id="rounds">The round at every bit rate</h2>
  {#if round.value}
    {@const r = round.value}
    <p class="mb-2">
      {r.units} units, {r.registers} registers each: <b class="num">{fixed(r.cycleS, 2)} s</b> of {fixed(r.needS, 2)} s wanted.
      A unit that is silent costs <b class="num">{fixed(r.deadS, 2)} s</b> a round.
    </p>
    <div class="overflow-x-auto">
      <table class="grid-table w-full">
        <thead>
          <tr>
            <th scope="col">Bit rate</th>
            <th scope="col" class="fig">One round</th>
            <th scope="col" class="fig">One unit silent</th>
            <th scope="col" class="fig">Silent one asked every tenth round</th>
            <th scope="col" class="fig">All 247 addresses, {1000 * SCAN_WAIT_S} ms each</th>
          </tr>
        </thead>
        <tbody>
          {#each BIT_RATES as bitRate (bitRate)}
            {@const asking = { ...r.asking, bitRate }}
            <tr class={bitRate === r.asking.bitRate ? 'font-bold' : ''}>
              <th scope="row" class="num">{bitRate} bit/s</th>
              <td class="fig">{fixed(cycleS(asking, r.units, r.registers), 2)} s</td>
              {#each [1, 10] as slow (slow)}
                <td class="fig">{r.units ? `${fixed(cycleS(asking, r.units, r.registers, 1, slow), 2)} s` : ''}</td>
              {/each}
              <td class="fig">{fixed(scanS(asking, SCAN_WAIT_S), 1)} s</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    {#if r.cycleS > ROUND_SHARE * r.needS}
      <h3 class="mt-3">What would shorten it, the cheapest first</h3>
      <ol class="list-decimal pl-5">
        {#each cures(r) as cure (cure.what)}
          <li>{cure.what}{cure.cycleS === null ? '' : `: ${fixed(cure.cycleS, 2)} s`}</li>
        {/each}
      </ol>
    {/if}
  {:else}
    <p class="text-dim">Missing: {round.missing.join(', ')}.</p>
  {/if}
  <h3 class="mt-3">Fewest buses</h3>
  {#if fewest.value}
    {@const f = fewest.value}
    {#if f.buses === 1}<p>One bus carries them all.</p>
    {:else}
      <p>
        <b class="num">{f.buses}</b>: {f.binds.join(' and ')} would have it so. Each alone: {Object.entries(f.by)
          .map(([by, n]) => `${by} ${n}`)
          .join(', ')}.
      </p>
    {/if}
  {:else}
    <p class="text-dim">Missing: {fewest.missing.join(', ')}.</p>
  {/if}
</section>
