<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { dragHandle, dragHandleZone } from 'svelte-dnd-action';
  import { fixed } from '$core/kernel/quantity';
  import { linksResults } from '$core/links/results';
  import { measuredM } from '$core/links/chain';
  import { BIT_RATES, newDevice } from '$core/links/part';
  import type { ChainDevice } from '$core/links/part';
  import { useSite } from '$lib/client/siteState.svelte';
  import { chainDeviceForm, chainDeviceFromForm, chainDeviceToForm, halfPlace } from '$lib/schemas/forms';
  import Caution from '$lib/ui/Caution.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  const site = useSite();
  const design = $derived(site.design);
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.element === 'chain'));
  const chain = $derived(linksResults(design));
  const hops = $derived(new Map(chain.hops.map((h) => [h.to.id, h.cableM])));
  const addressVerdict = $derived(
    new Map(checks.filter((c) => c.id === 'links.address').map((c) => [c.subject.id, c.verdict])),
  );
  let dragged = $state.raw<ChainDevice[] | null>(null);
  const devices = $derived(dragged ?? design.chain.devices);
  let open = $state('');
  let said = $state('');

  const before = (i: number) => devices[i - 1] ?? null;
  const measuredTo = (i: number) => {
    const [from, to] = [before(i), devices[i]];
    return from && to ? measuredM(from, to) : null;
  };
  const reorder = (ids: string[]) => site.apply({ kind: 'chain-order', ids });
  function move(device: ChainDevice, by: 1 | -1) {
    const ids = design.chain.devices.map((d) => d.id);
    const from = ids.indexOf(device.id);
    const to = from + by;
    if (to < 0 || to >= ids.length) return;
    ids.splice(from, 1);
    ids.splice(to, 0, device.id);
    said = `${device.label} is now number ${to + 1} of ${ids.length}`;
    void reorder(ids).then(() => document.getElementById(`move-${by > 0 ? 'down' : 'up'}-${device.id}`)?.focus());
  }
  function toggle(device: ChainDevice) {
    void site.apply({ kind: 'chain-device', device: { ...device, terminated: !device.terminated } });
  }
  function address(device: ChainDevice, text: string) {
    const value = text === '' ? null : Number(text);
    void site.apply({ kind: 'chain-device', device: { ...device, address: value } });
  }
  async function add(kind: 'logger' | 'meter') {
    const id = `${kind}-${crypto.randomUUID().slice(0, 8)}`;
    const label = `${kind === 'logger' ? 'Logger' : 'Meter'} ${design.chain.devices.filter((d) => d.kind === kind).length + 1}`;
    await site.apply({
      kind: 'chain-device',
      device: newDevice(id, kind, label),
    });
    if (kind === 'logger') await reorder([id, ...design.chain.devices.map((d) => d.id).filter((d) => d !== id)]);
  }
</script>

<Stage>
  {#snippet main()}
    <Caution
      >Open bays only with AC and DC isolated. Data cable in a power bay needs insulation for the highest voltage there,
      or a sleeve. Measure D0 to local earth before landing the reference: above 4.95 V stop and find the earth fault.</Caution
    >
    <section class="sheet p-3" aria-labelledby="chain">
      <header class="mb-2 flex flex-wrap items-end gap-3">
        <h2 id="chain">RS-485 chain</h2>
        <label class="text-sm text-dim"
          >Bit rate
          <select
            class="num block border border-rule bg-white px-2 py-1 text-ink"
            value={String(design.chain.bitRate ?? '')}
            onchange={(e) =>
              site.apply({
                kind: 'bit-rate',
                bitRate: BIT_RATES.find((r) => String(r) === e.currentTarget.value) ?? null,
              })}
          >
            <option value="">not known yet</option>
            {#each BIT_RATES as rate (rate)}<option value={String(rate)}>{rate} bit/s</option>{/each}
          </select>
        </label>
        <Button size="xs" disabled={!devices.length} onclick={() => site.apply({ kind: 'number-chain' })}
          >Number along the chain, terminate both ends</Button
        >
        <Button size="xs" color="alternative" onclick={() => add('logger')}>Add a logger</Button>
        <Button size="xs" color="alternative" onclick={() => add('meter')}>Add a meter</Button>
        <p class="num ml-auto">
          {chain.lengthM.value === null ? 'length unknown' : `${fixed(chain.lengthM.value, 1)} m of cable`}
        </p>
      </header>
      <p aria-live="polite" class="sr-only">{said}</p>
      {#if devices.length === 0}
        <p class="text-dim">Nothing on the chain yet. Inverters join it as they are added on the survey.</p>
      {:else}
        <p class="mb-1 text-sm text-dim">
          In to out, first the logger or lead unit. Drag by the grip, or use the arrows.
        </p>
        <ol
          use:dragHandleZone={{ items: devices.map((d) => ({ ...d })), flipDurationMs: 120, dropTargetStyle: {} }}
          onconsider={(e) => (dragged = e.detail.items as ChainDevice[])}
          onfinalize={(e) => {
            const ids = (e.detail.items as ChainDevice[]).map((d) => d.id);
            dragged = e.detail.items as ChainDevice[];
            void reorder(ids).then(() => (dragged = null));
          }}
        >
          {#each devices as d, i (d.id)}
            <li class="border-t border-rule bg-sheet">
              <div
                class="grid grid-cols-[auto_1fr_auto] items-center gap-x-3 gap-y-1 py-1.5 sm:grid-cols-[auto_9rem_auto_1fr_auto_auto]"
              >
                <span
                  use:dragHandle
                  aria-label="Drag {d.label}"
                  class="num flex h-9 w-11 cursor-grab items-center justify-center border border-rule bg-paper"
                  >⠿ {i + 1}</span
                >
                <button
                  type="button"
                  class="text-left"
                  aria-expanded={open === d.id}
                  onclick={() => (open = open === d.id ? '' : d.id)}
                >
                  <span class="font-semibold underline decoration-rule underline-offset-4">{d.label}</span>
                </button>
                <span class="flex items-center gap-1">
                  {#if d.kind === 'logger'}<span class="text-sm text-dim">asks, has no address</span>{:else}
                    <label class="text-sm text-dim"
                      >address
                      <input
                        class="num ml-1 w-20 border border-rule bg-white px-2 py-1 text-ink"
                        type="number"
                        min="1"
                        max="247"
                        value={d.address}
                        placeholder="still 1"
                        aria-label="Address of {d.label}"
                        onchange={(e) => address(d, e.currentTarget.value)}
                      />
                    </label>
                    <VerdictMark verdict={addressVerdict.get(d.id) ?? 'unknown'} word={false} />
                  {/if}
                </span>
                <button
                  type="button"
                  class="justify-self-start border px-2 py-1 text-sm {d.terminated
                    ? 'border-ink bg-ink text-paper'
                    : 'border-dashed border-dim'}"
                  aria-pressed={d.terminated}
                  onclick={() => toggle(d)}
                >
                  {d.terminated ? '⊣ 120 Ω on' : '120 Ω off'}
                </button>
                <span class="num text-sm text-dim"
                  >{i === 0
                    ? 'start'
                    : hops.get(d.id) == null
                      ? 'hop unknown'
                      : `${fixed(hops.get(d.id) ?? 0, 1)} m`}</span
                >
                <span class="flex gap-1">
                  <button
                    id="move-up-{d.id}"
                    type="button"
                    class="h-9 w-9 border border-rule"
                    disabled={i === 0}
                    aria-label="Move {d.label} up"
                    onclick={() => move(d, -1)}>↑</button
                  >
                  <button
                    id="move-down-{d.id}"
                    type="button"
                    class="h-9 w-9 border border-rule"
                    disabled={i === devices.length - 1}
                    aria-label="Move {d.label} down"
                    onclick={() => move(d, 1)}>↓</button
                  >
                </span>
              </div>
              {#if open === d.id}
                <div class="bg-paper p-2">
                  <EditForm
                    schema={chainDeviceForm}
                    value={chainDeviceToForm(d, measuredTo(i))}
                    prefix="device-{d.id}"
                    label="Save"
                    refine={halfPlace}
                    groups={[
                      {
                        title: '',
                        paths: d.inverterId
                          ? ['entryM', ...(i > 0 ? ['hopM'] : [])]
                          : ['label', 'address', 'unitLoads', 'entryM', 'hopM', 'xM', 'yM', 'zM'],
                      },
                    ]}
                    save={(value) =>
                      site.apply({
                        kind: 'chain-device',
                        device: chainDeviceFromForm(d, before(i), chainDeviceForm.parse(value)),
                      })}
                  />
                  {#if !d.inverterId}<button
                      type="button"
                      class="mt-2 underline"
                      onclick={() => site.apply({ kind: 'remove-chain-device', deviceId: d.id })}
                      >Take {d.label} off the chain</button
                    >{/if}
                </div>
              {/if}
            </li>
          {/each}
        </ol>
      {/if}
    </section>
    <section class="sheet p-3 text-sm">
      <h2>Landing it</h2>
      <ul class="list-disc pl-5">
        <li>
          Shielded twisted pair, in–out from unit to unit, no star; same pair and colours everywhere; reference ground
          as third wire.
        </li>
        <li>Never trust the letters A and B: the line that is positive at rest is D1. Measure before you land.</li>
        <li>
          Every unit ships at address 1: power one at a time, write its address, read it back; the unit planned at 1
          comes last.
        </li>
        <li>Shield carried through, earthed at the logger end only.</li>
      </ul>
    </section>
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: chain" />{/snippet}
</Stage>
