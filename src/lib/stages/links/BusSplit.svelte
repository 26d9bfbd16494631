<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import type { SiteDesign } from '$core/design';
  import type { Answer } from '$core/kernel/answer';
  import { fixed } from '$core/kernel/quantity';
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
        units, <b class="num">{fixed(split.lengthM, 1)} m</b> of cable; by {split.binds.join(' and ')}.
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
      {#if split.buses.length > 1}
        <p class="text-sm text-dim">
          A design keeps one bus: this is for paper. Its checks, scope and sheet are those of one chain over all
          devices.
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
