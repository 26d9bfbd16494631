<script lang="ts">
  import { Button, Checkbox } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import type { SiteDesign } from '$core/design';
  import type { Answer } from '$core/kernel/answer';
  import { fixed } from '$core/kernel/quantity';
  import { onBus } from '$core/links/edits';
  import type { ChainOrder } from '$core/links/order/chainOrder';
  import { LongTask } from '$lib/client/longTask.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import TaskBar from '$lib/ui/TaskBar.svelte';
  import ChainMap from './ChainMap.svelte';
  import { chosenBus } from './chosenBus';

  /** So long an order of many devices is looked for, s; up to fifteen are ordered exactly, whatever it takes. */
  const LIMIT_S = 2;
  const site = useSite();
  const design = $derived(onBus(site.design, chosenBus(site.design.chain)));
  const devices = $derived(design.chain.devices);
  const task = new LongTask();
  onDestroy(() => task.stop());
  let lastId = $state('');
  let inside = $state(false);
  /** A logger whose own terminator comes out may ask from inside. */
  const mayInside = $derived(devices.some((d) => d.kind === 'logger' && d.terminatorOut));
  let asked = $state.raw<{
    readonly of: SiteDesign;
    readonly lastId: string;
    readonly anyFirst: boolean;
    readonly found: Answer<ChainOrder>;
  } | null>(null);
  const anyFirst = $derived(inside && mayInside);
  /** An order belongs to the design and the end that it was looked for with. */
  const found = $derived(
    asked?.of === design && asked.lastId === lastId && asked.anyFirst === anyFirst ? asked.found : null,
  );
  const savedM = (o: ChainOrder) => o.asItIsM - o.lengthM;
  const byId = $derived(new Map(devices.map((d) => [d.id, d])));
  /** The order that was found, where it saves anything. */
  const better = $derived(
    found?.value && savedM(found.value) > 0.05 ? found.value.ids.flatMap((id) => byId.get(id) ?? []) : null,
  );
  const labels = $derived(new Map(devices.map((d) => [d.id, d.label])));
  const over = (o: ChainOrder) => (100 * (o.lengthM - o.boundM)) / o.boundM;

  async function find() {
    const [of, ends] = [design, { lastId: lastId || null, anyFirst }];
    const answer = await task.run(async ({ work }) => await work.chainOrder(of, ends, LIMIT_S));
    asked = answer && { of, lastId: ends.lastId ?? '', anyFirst: ends.anyFirst, found: answer };
  }
</script>

<section class="sheet p-3" aria-labelledby="shortest">
  <div class="flex flex-wrap items-end gap-3">
    <h2 id="shortest" class="mr-auto">Shortest order</h2>
    <Choice
      label="Ends at"
      choices={[{ value: '', name: 'any device' }, ...devices.slice(1).map((d) => ({ value: d.id, name: d.label }))]}
      bind:value={lastId}
    />
    <div class="flex h-8 items-center">
      <Checkbox bind:checked={inside} disabled={!mayInside}
        >Logger may ask from inside{mayInside ? '' : ' (not known: can its terminator be turned off?)'}</Checkbox
      >
    </div>
    <Button size="xs" disabled={task.running || devices.length < 2} onclick={find}>Find the shortest order</Button>
  </div>
  <TaskBar {task} share={null} name="Trying orders" />
  <ChainMap {design} {devices} found={better} />
  <div aria-live="polite">
    {#if found?.value}
      {@const order = found.value}
      <p class="mt-1">
        <b class="num">{fixed(order.lengthM, 1)} m</b>, {order.proven
          ? 'proven: no other order is shorter'
          : `at most ${fixed(over(order), 1)} % above the possible`}.
        {savedM(order) > 0.05
          ? `As it is the chain takes ${fixed(order.asItIsM, 1)} m, ${fixed(savedM(order), 1)} m more.`
          : 'The chain takes no more as it is.'}
      </p>
      <p class="text-sm text-dim">{order.ids.map((id) => labels.get(id)).join(' – ')}</p>
      {#if savedM(order) > 0.05}
        <Button size="xs" onclick={() => site.apply({ kind: 'chain-order', ids: [...order.ids] })}
          >Take this order</Button
        >
      {/if}
    {:else if found}
      <p class="mt-1">Missing: {found.missing.join(', ')}.</p>
    {:else}
      <p class="mt-1 text-sm text-dim">
        From the first device, or from any where the logger may ask from inside, over all others, by measured routes and
        the ways over the plan, with what every landed end takes. Addresses and terminators stay as they are until the
        chain is numbered again.
      </p>
    {/if}
  </div>
</section>
