<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import type { SiteDesign } from '$core/design';
  import type { Answer } from '$core/kernel/answer';
  import { fixed } from '$core/kernel/quantity';
  import { MOST_BUSES } from '$core/links/buses';
  import type { SplitChain } from '$core/links/order/splitChain';
  import { LongTask } from '$lib/client/longTask.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import TaskBar from '$lib/ui/TaskBar.svelte';

  /** So long a split is looked for, s. */
  const LIMIT_S = 2;
  const site = useSite();
  const task = new LongTask();
  onDestroy(() => task.stop());
  let asked = $state.raw<{ readonly of: SiteDesign; readonly found: Answer<SplitChain> } | null>(null);
  const found = $derived(asked?.of === site.design ? asked.found : null);
  const labels = $derived(new Map(site.design.chain.devices.map((d) => [d.id, d.label])));
  const over = ({ lengthM, boundM }: SplitChain) => (100 * (lengthM - boundM)) / boundM;

  const hasLogger = $derived(site.design.chain.devices.some((d) => d.kind === 'logger'));
  const keep = ({ buses }: SplitChain) => site.apply({ kind: 'chain-buses', buses: buses.map((b) => [...b.ids]) });

  async function find() {
    const of = site.design;
    const answer = await task.run(async ({ work }) => await work.splitChain(of, LIMIT_S));
    asked = answer && { of, found: answer };
  }
</script>

<section class="sheet p-3" aria-labelledby="split">
  <div class="flex flex-wrap items-end gap-3">
    <h2 id="split" class="mr-auto">Over the buses it needs</h2>
    <Button size="xs" class="no-print" disabled={task.running} onclick={find}>Split the devices over buses</Button>
  </div>
  <TaskBar {task} share={null} name="Trying splits" />
  <div aria-live="polite">
    {#if found?.value}
      {@const split = found.value}
      <p class="mt-1">
        <b class="num">{split.buses.length} {split.buses.length === 1 ? 'bus' : 'buses'}</b> of at most
        <span class="num">{split.mostUnits}</span>
        units, <b class="num">{fixed(split.lengthM, 1)} m</b> of cable{split.buses.length > 1
          ? `; so many by ${split.binds.join(' and ')}`
          : ''}.
        {over(split) < 0.05
          ? 'No split over so many takes less.'
          : `At most ${fixed(over(split), 1)} % above what is possible.`}
      </p>
      <ol class="mt-1 list-decimal pl-5 text-sm">
        {#each split.buses as bus (bus.ids.join('|'))}
          <li>
            <span class="num">{fixed(bus.lengthM, 1)} m:</span>
            {bus.ids.map((id) => labels.get(id)).join(' – ')}
          </li>
        {/each}
      </ol>
      {#if !hasLogger}
        <p class="text-sm">A lead unit asks on its own bus alone: add a logger to the chain to keep several.</p>
      {:else if split.buses.length > MOST_BUSES}
        <p class="text-sm">A site keeps at most {MOST_BUSES} buses: a longer round, or fewer units, first.</p>
      {:else}
        <Button size="xs" class="no-print mt-1" onclick={() => keep(split)}
          >Put the devices on {split.buses.length === 1 ? 'this bus' : 'these buses'}</Button
        >
        <p class="mt-1 text-sm text-dim">
          Each bus gets a port of the logger, and its terminators at both ends. Addresses stay: number them anew along
          the chain.
        </p>
      {/if}
    {:else if found}
      <p class="mt-1">Missing: {found.missing.join(', ')}.</p>
    {:else}
      <p class="mt-1 text-sm text-dim">
        Each bus begins at the logger and keeps unit loads, round, addresses and length; the order of every one is
        looked for as well.
      </p>
    {/if}
  </div>
</section>
