<script lang="ts">
  import { dragHandle } from 'svelte-dnd-action';
  import { fixed } from '$core/kernel/quantity';
  import type { Verdict } from '$core/kernel/check';
  import { measuredM } from '$core/links/chain';
  import { MOST_BUSES } from '$core/links/buses';
  import type { ChainDevice } from '$core/links/part';
  import { isUnit } from '$core/links/segments';
  import { useSite } from '$lib/client/siteState.svelte';
  import { chainDeviceForm, chainDeviceFromForm, chainDeviceToForm, halfPlace } from '$lib/schemas/forms';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let {
    device: d,
    before,
    index,
    last,
    hopM,
    verdict,
    open,
    buses,
    ontoggle,
    onmove,
  }: {
    device: ChainDevice;
    /** The device before it; null for the first. */
    before: ChainDevice | null;
    index: number;
    last: boolean;
    /** Cable from the device before it, m; null while unknown. */
    hopM: number | null | undefined;
    /** How its address stands. */
    verdict: Verdict;
    /** Its form is open. */
    open: boolean;
    /** Of the site: where there are several, the unit may stand on another. */
    buses: readonly number[];
    ontoggle: () => void;
    onmove: (by: 1 | -1) => void;
  } = $props();
  const site = useSite();
  const toBus = (bus: number) => site.apply({ kind: 'device-to-bus', deviceId: d.id, bus });
  const changed = (device: ChainDevice) => site.apply({ kind: 'chain-device', device });
  const asForm = $derived(chainDeviceToForm(d, before ? measuredM(before, d) : null));
  const paths = $derived(
    d.inverterId
      ? ['entryM', ...(before ? ['hopM'] : []), 'stubM', 'serial']
      : [
          ...['label', ...(isUnit(d) ? ['address'] : []), 'unitLoads', 'entryM', 'hopM', 'stubM', 'serial'],
          ...(d.kind === 'logger' ? ['terminatorOut'] : []),
          ...(d.kind === 'repeater' ? ['biasedBeyond'] : []),
          ...(d.portOf ? [] : ['xM', 'yM', 'zM']),
        ],
  );
  /** What the form does not show stays as it is now: it may have been changed beside it. */
  function save(value: Record<string, unknown>) {
    const shown = Object.fromEntries(paths.map((path) => [path, value[path]]));
    return changed(chainDeviceFromForm(d, before, chainDeviceForm.parse({ ...asForm, ...shown })));
  }
  const ARROW = 'h-9 w-9 border border-rule disabled:opacity-40';
</script>

{#snippet terminator(which: 'terminated' | 'terminatedBeyond', where: string)}
  <button
    type="button"
    class="border px-2 py-1 text-sm {d[which] ? 'border-ink bg-ink text-paper' : 'border-dashed border-dim'}"
    aria-pressed={d[which]}
    onclick={() => changed({ ...d, [which]: !d[which] })}
  >
    {where}{d[which] ? '⊣ 120 Ω on' : '120 Ω off'}
  </button>
{/snippet}

<div
  class="grid grid-cols-[auto_1fr_auto] items-center gap-x-3 gap-y-1 py-1.5 sm:grid-cols-[auto_9rem_auto_1fr_auto_auto]"
>
  <span
    use:dragHandle
    aria-label="Drag {d.label}"
    class="num flex h-9 w-11 cursor-grab items-center justify-center border border-rule bg-paper">⠿ {index + 1}</span
  >
  <button type="button" class="text-left" aria-expanded={open} onclick={ontoggle}>
    <span class="font-semibold underline decoration-rule underline-offset-4">{d.label}</span>
  </button>
  <span class="flex items-center gap-1">
    {#if !isUnit(d)}<span class="text-sm text-dim">{d.kind === 'logger' ? 'asks' : 'repeats'}, has no address</span
      >{:else}
      <span class="text-sm text-dim" aria-hidden="true">address</span>
      <Amount
        label="Address of {d.label}"
        unnamed
        width="w-20"
        min={1}
        max={247}
        step={1}
        placeholder="still 1"
        value={d.address}
        onsettled={(address) => changed({ ...d, address })}
      />
      <VerdictMark {verdict} word={false} />
    {/if}
  </span>
  <span class="flex gap-1">
    {@render terminator('terminated', d.kind === 'repeater' ? 'before ' : '')}
    {#if d.kind === 'repeater'}{@render terminator('terminatedBeyond', 'behind ')}{/if}
  </span>
  <span class="num flex items-center justify-end gap-2 text-right text-sm text-dim"
    >{#if buses.length > 1 && d.kind !== 'logger'}
      <Choice
        label="Bus of {d.label}"
        unnamed
        choices={buses.map((n) => ({ value: n, name: `Bus ${n}` }))}
        value={d.bus}
        onchoose={toBus}
      />
    {/if}{index === 0 ? 'start' : hopM == null ? 'hop unknown' : `${fixed(hopM, 1)} m`}</span
  >
  <span class="flex gap-1">
    <button
      id="move-up-{d.id}"
      type="button"
      class={ARROW}
      disabled={index === 0}
      aria-label="Move {d.label} up"
      onclick={() => onmove(-1)}>↑</button
    >
    <button
      id="move-down-{d.id}"
      type="button"
      class={ARROW}
      disabled={last}
      aria-label="Move {d.label} down"
      onclick={() => onmove(1)}>↓</button
    >
  </span>
</div>
{#if open}
  <div class="bg-paper p-2">
    <EditForm
      schema={chainDeviceForm}
      value={asForm}
      prefix="device-{d.id}"
      label="Save"
      refine={halfPlace}
      groups={[{ title: '', paths }]}
      {save}
    />
    {#if d.kind !== 'logger' && Math.max(...buses) < MOST_BUSES}<button
        type="button"
        class="mt-2 mr-4 underline"
        onclick={() => toBus(Math.max(...buses) + 1)}>Put {d.label} on a bus of its own</button
      >{/if}
    {#if !d.inverterId}<button
        type="button"
        class="mt-2 underline"
        onclick={() => site.apply({ kind: 'remove-chain-device', deviceId: d.id })}>Take {d.label} off the chain</button
      >{/if}
  </div>
{/if}
