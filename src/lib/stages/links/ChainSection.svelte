<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { TRIGGERS, dragHandleZone } from 'svelte-dnd-action';
  import type { Check } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import type { ChainDevice } from '$core/links/part';
  import { busesOf } from '$core/links/buses';
  import { BIT_RATES } from '$core/links/bitRates';
  import { newDevice } from '$core/links/part';
  import type { ChainResult } from '$core/links/results';
  import { useSite } from '$lib/client/siteState.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import DeviceRow from './DeviceRow.svelte';

  let { checks, results }: { checks: readonly Check[]; results: ChainResult } = $props();
  const site = useSite();
  const { chain, bus } = $derived(results);
  const buses = $derived(busesOf(site.design.chain));
  const several = $derived(buses.length > 1);
  const hops = $derived(new Map(results.hops.map((h) => [h.to.id, h.cableM])));
  const addresses = $derived(
    new Map(checks.filter((c) => c.id === 'links.address').map((c) => [c.subject.id, c.verdict])),
  );
  let dragged = $state.raw<ChainDevice[] | null>(null);
  const devices = $derived(dragged ?? chain.devices);
  /** What hangs over another bus. */
  let held = $state.raw<{ readonly bus: number; readonly items: ChainDevice[] } | null>(null);
  let open = $state('');
  let said = $state('');

  const reorder = (ids: string[]) => site.apply({ kind: 'chain-order', ids });
  async function toBus(n: number, [device]: readonly ChainDevice[]) {
    if (device && device.kind !== 'logger') {
      said = `${device.label} is now on bus ${n}`;
      await site.apply({ kind: 'device-to-bus', deviceId: device.id, bus: n });
    }
    [held, dragged] = [null, null];
  }
  function move(device: ChainDevice, by: 1 | -1) {
    const ids = chain.devices.map((d) => d.id);
    const from = ids.indexOf(device.id);
    const to = from + by;
    if (to < 0 || to >= ids.length) return;
    ids.splice(from, 1);
    ids.splice(to, 0, device.id);
    said = `${device.label} is now number ${to + 1} of ${ids.length}`;
    void reorder(ids).then(() => document.getElementById(`move-${by > 0 ? 'down' : 'up'}-${device.id}`)?.focus());
  }
  const ADDED = { logger: 'Logger', meter: 'Meter', repeater: 'Repeater' } as const;
  async function add(kind: keyof typeof ADDED) {
    const id = `${kind}-${crypto.randomUUID().slice(0, 8)}`;
    const label = `${ADDED[kind]} ${site.design.chain.devices.filter((d) => d.kind === kind).length + 1}`;
    await site.apply({ kind: 'chain-device', device: { ...newDevice(id, kind, label), bus } });
    if (kind === 'logger') await reorder([id, ...chain.devices.map((d) => d.id).filter((d) => d !== id)]);
  }
  const setRate = (text: string) =>
    site.apply({ kind: 'bit-rate', bitRate: BIT_RATES.find((r) => String(r) === text) ?? null });
</script>

<section class="sheet p-3" aria-labelledby="chain">
  <header class="mb-1 flex flex-wrap items-center gap-3">
    <h2 id="chain">RS-485 chain{several ? `, bus ${bus}` : ''}</h2>
    <Choice
      label="Bit rate"
      beside
      choices={[
        { value: '', name: 'not known yet' },
        ...BIT_RATES.map((rate) => ({ value: String(rate), name: `${rate} bit/s` })),
      ]}
      value={String(chain.bitRate ?? '')}
      onchoose={setRate}
    />
    <Button size="xs" disabled={!devices.length} onclick={() => site.apply({ kind: 'number-chain' })}
      >Number along the chain, terminate both ends</Button
    >
    {#each Object.keys(ADDED) as (keyof typeof ADDED)[] as kind (kind)}
      <Button size="xs" color="alternative" onclick={() => add(kind)}>Add a {kind}</Button>
    {/each}
  </header>
  <p aria-live="polite" class="sr-only">{said}</p>
  {#if devices.length === 0}
    <p class="text-dim">
      The devices on the bus stand here in their order, each with address, terminator and the cable to it. Nothing yet:
      inverters join the chain as they are added on the <a class="underline" href="/sites/{site.siteId}/survey"
        >survey</a
      >.
    </p>
  {:else}
    <div class="mb-1 flex flex-wrap items-baseline justify-between gap-x-3">
      <p class="text-sm text-dim">In to out, first the logger or lead unit. Drag by the grip, or use the arrows.</p>
      <p class="num">
        {results.lengthM.value === null ? 'length unknown' : `${fixed(results.lengthM.value, 1)} m of cable`}
      </p>
    </div>
    <ol
      use:dragHandleZone={{ items: devices.map((d) => ({ ...d })), flipDurationMs: 120, dropTargetStyle: {} }}
      onconsider={(e) => (dragged = e.detail.items as ChainDevice[])}
      onfinalize={(e) => {
        // What was dropped on another bus is told by that.
        if (e.detail.info.trigger === TRIGGERS.DROPPED_INTO_ANOTHER) return;
        const ids = (e.detail.items as ChainDevice[]).map((d) => d.id);
        dragged = e.detail.items as ChainDevice[];
        void reorder(ids).then(() => (dragged = null));
      }}
    >
      {#each devices as d, i (d.id)}
        <li class="border-t border-rule bg-sheet" data-part={d.id}>
          <DeviceRow
            device={d}
            before={devices[i - 1] ?? null}
            index={i}
            last={i === devices.length - 1}
            hopM={hops.get(d.id)}
            verdict={addresses.get(d.id) ?? 'unknown'}
            open={open === d.id}
            {buses}
            ontoggle={() => (open = open === d.id ? '' : d.id)}
            onmove={(by) => move(d, by)}
          />
        </li>
      {/each}
    </ol>
    {#if several}
      <div class="mt-2 flex flex-wrap gap-2" aria-label="Other buses">
        {#each buses.filter((n) => n !== bus) as n (n)}
          <div class="num flex items-center gap-2 border-2 border-dashed border-dim pr-3 text-dim">
            <ul
              class="flex min-h-11 min-w-40 items-center px-3"
              data-bus={n}
              aria-label="Drop here for bus {n}"
              use:dragHandleZone={{
                items: held?.bus === n ? held.items : [],
                flipDurationMs: 0,
                dropTargetStyle: {},
                dropTargetClasses: ['bg-white'],
              }}
              onconsider={(e) => (held = { bus: n, items: e.detail.items as ChainDevice[] })}
              onfinalize={(e) => void toBus(n, e.detail.items as ChainDevice[])}
            >
              {#each held?.bus === n ? held.items : [] as d (d.id)}<li>{d.label}</li>{/each}
            </ul>
            drop here: bus {n}
          </div>
        {/each}
      </div>
    {/if}
  {/if}
</section>
