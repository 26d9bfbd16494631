<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import { FACTORY_ADDRESS, FIRST_ADDRESS, LAST_ADDRESS } from '$core/links/addresses';
  import { busesOf, devicesOn } from '$core/links/buses';
  import { isUnit } from '$core/links/segments';
  import { walkOrder } from '$core/links/field/moves';
  import { GRID_CODES } from '$core/links/modbus/gridCodes';
  import type { ChainDevice } from '$core/links/part';
  import { ADDRESSED } from '$core/proving/kinds/addressed';
  import { SET_UP } from '$core/proving/kinds/setUp';
  import { useLog } from '$lib/client/useLog.svelte';
  import { scanRequest } from '$lib/schemas/field';
  import { signOn } from '$lib/client/signOn.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { chosenBus } from './chosenBus';
  import StandInBadge from './StandInBadge.svelte';
  import { ScanState } from './scanState.svelte';
  import { WalkState } from './walkState.svelte';

  type Addressed = ChainDevice & { readonly address: number };
  const site = useSite();
  const log = useLog();
  let speaks = $state<'Modbus TCP' | 'RTU over TCP'>('RTU over TCP');
  const bus = $derived(chosenBus(site.design.chain));
  /** Its place among those of the fleet. */
  const at = $derived(busesOf(site.design.chain).indexOf(bus));
  const walk = new WalkState(site.siteId, () => ({ bus: at, speaks }));
  const search = new ScanState();
  onDestroy(() => search.stop());
  const WAYS = ['one at a time', 'by serial'] as const;
  let way = $state<(typeof WAYS)[number]>('one at a time');
  let from = $state<number | null>(FACTORY_ADDRESS);
  let gridCode = $state('1');
  /** The unit that somebody stands at; null until then, and the first that is not done is offered. */
  let chosen = $state<string | null>(null);
  let doneHere = $state.raw<ReadonlySet<string>>(new Set());

  const onChain = $derived(
    devicesOn(site.design.chain, bus).filter((d): d is Addressed => isUnit(d) && d.address !== null),
  );
  const order = $derived(walkOrder(onChain));
  /** Units whose address stands on the record as it is planned: a walk is taken up again behind them. */
  const recorded = $derived(
    new Set(
      onChain.flatMap((d) => {
        const newest = log.entries.findLast((e) => ADDRESSED.is(e) && e.subject.id === d.inverterId);
        return newest &&
          ADDRESSED.is(newest) &&
          newest.values.address === d.address &&
          newest.values.from === 'stand-in'
          ? [d.id]
          : [];
      }),
    ),
  );
  const isDone = (d: Addressed) => doneHere.has(d.id) || recorded.has(d.id);
  const here = $derived(order.find((d) => d.id === chosen) ?? order.find((d) => !isDone(d)) ?? order.at(-1));
  const left = $derived(order.filter((d) => !isDone(d)).length);
  const onRelease = $derived(log.current?.design.inverters.some((u) => u.id === here?.inverterId) ?? false);
  const mayRecord = $derived(onRelease && signOn.by !== '');
  const subject = $derived({ scope: 'inverter', id: here?.inverterId ?? '' } as const);
  /** Another unit than the one that is planned here, by its serial. */
  const stranger = $derived(
    walk.unit && here?.serial && walk.unit.serial !== here.serial
      ? { serial: walk.unit.serial, planned: onChain.find((d) => d.serial === walk.unit?.serial) ?? null }
      : null,
  );
  const written = $derived(walk.unit !== null && walk.unit.address === here?.address && stranger === null);

  function goTo(id: string | null) {
    chosen = id;
    from = FACTORY_ADDRESS;
    walk.fresh();
  }
  /** Whoever asks something of a unit stands at it, whatever others record meanwhile. */
  function standingAt<T>(d: Addressed, ask: () => T): T {
    chosen = d.id;
    return ask();
  }
  async function write(d: Addressed) {
    const given = await walk.address(d.address);
    if (!given) return;
    doneHere = new Set([...doneHere, d.id]);
    chosen = d.id;
    if (!d.inverterId || !mayRecord) return;
    await log.add({
      kind: ADDRESSED.kind,
      subject,
      values: { from: 'stand-in', address: given.to, serial: given.serial },
    });
  }
  /** Looks for a unit by its serial, at the planned addresses and the factory's. */
  async function find(serial: string) {
    walk.fresh();
    await search.run(site.siteId, scanRequest.parse({ bus: at, speaks }));
    const found = search.result?.findings.find((f) => f.serials.includes(serial));
    if (found) {
      from = found.address;
      await walk.whoIsAt(found.address);
    } else if (search.result)
      walk.failure = `Nobody with the serial ${serial} answers, at the planned addresses or at 1.`;
  }
  const keepSerial = (d: Addressed, serial: string) => site.apply({ kind: 'chain-device', device: { ...d, serial } });
  const clockWords = (aheadS: number | null) =>
    aheadS === null ? 'not set' : aheadS === 0 ? 'right' : `${Math.abs(aheadS)} s ${aheadS > 0 ? 'ahead' : 'behind'}`;
  const next = () => goTo(order.find((d) => !isDone(d) && d.id !== here?.id)?.id ?? null);
</script>

<section class="sheet p-3" aria-labelledby="walk">
  <div class="flex flex-wrap items-end gap-3">
    <h2 id="walk">Addressing walk</h2>
    <StandInBadge />
    <p class="num mr-auto text-sm text-dim">{order.length - left} of {order.length} have their address</p>
    <Choice label="Way" choices={WAYS} bind:value={way} />
    <Choice label="Spoken" choices={scanRequest.shape.speaks.unwrap().options} bind:value={speaks} />
  </div>
  <ol class="mt-3 flex flex-wrap gap-1" aria-label="Units in the order of the walk">
    {#each order as d (d.id)}
      <li>
        <button
          type="button"
          class="num border px-2 py-1 text-sm pointer-coarse:min-h-11 {d.id === here?.id
            ? 'border-ink bg-ink text-paper'
            : 'border-rule'}"
          aria-current={d.id === here?.id ? 'step' : undefined}
          onclick={() => goTo(d.id)}
          >{d.label} → {d.address}{#if isDone(d)}<span class="ml-1"
              >✓<span class="sr-only">, has its address</span></span
            >{/if}</button
        >
      </li>
    {/each}
  </ol>
  {#if !here}
    <p class="mt-2 text-dim">No device of the chain has an address yet: number them along the chain, then walk.</p>
  {:else}
    {@const place = onChain.findIndex((d) => d.id === here.id) + 1}
    <div class="mt-3 border-l-4 border-ink pl-3">
      <p class="text-2xl"><b>{here.label}</b> <span class="num">→ {here.address}</span></p>
      <p class="text-sm text-dim">
        Serial by the plan: <span class="num">{here.serial ?? 'not known'}</span>.
        {way === 'one at a time'
          ? `Every other unit without power or unplugged; this one answers at ${FACTORY_ADDRESS}, as it shipped.`
          : 'Found by its serial wherever it answers.'}
        {#if here.address === FACTORY_ADDRESS}It comes last: till then {FACTORY_ADDRESS} is for the next one.{/if}
      </p>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        {#if way === 'one at a time'}
          <Button
            size="sm"
            color="alternative"
            disabled={walk.busy}
            onclick={() => standingAt(here, () => walk.power(place))}>Power for {here.label} alone</Button
          >
        {:else if here.serial}
          {@const serial = here.serial}
          <Button
            size="sm"
            color="alternative"
            disabled={walk.busy || search.running}
            onclick={() => standingAt(here, () => find(serial))}>Find it by its serial</Button
          >
        {/if}
        <Amount label="Answers now at" min={FIRST_ADDRESS} max={LAST_ADDRESS} step={1} bind:value={from} />
        <Button
          size="sm"
          color="alternative"
          disabled={walk.busy || from === null}
          onclick={() => standingAt(here, () => walk.whoIsAt(from ?? FACTORY_ADDRESS))}>Who is there?</Button
        >
        <Button size="sm" disabled={walk.busy || !walk.unit || stranger !== null || written} onclick={() => write(here)}
          >Write address {here.address}</Button
        >
      </div>
    </div>
    {#if search.running}
      <p role="status" class="mt-2 text-sm">
        Looking for it: address {search.asked?.address ?? '…'}
        <button type="button" class="underline" onclick={() => search.stop()}>Stop</button>
      </p>
    {/if}
    {#if walk.failure || search.failure}
      <p role="alert" class="mt-2 text-stop">{walk.failure || search.failure}</p>
    {/if}
    <div aria-live="polite" class="mt-2">
      {#if walk.unit}
        {@const u = walk.unit}
        <p>
          <span class="num">{u.serial}</span> answers at <span class="num">{u.address}</span>: {u.type}, {u.ratedKw} kW, firmware
          {u.firmware}, clock {clockWords(u.clockAheadS)}, grid code
          {u.gridCode ? (GRID_CODES[u.gridCode]?.name ?? u.gridCode) : 'not set'}
        </p>
        {#if stranger}
          <p role="alert" class="border-l-4 border-stop pl-2">
            <VerdictMark verdict="stop" word={false} /> This is not {here.label}: {stranger.planned
              ? `its serial is planned for ${stranger.planned.label}.`
              : 'the plan does not know its serial.'}
            {#if stranger.planned}
              {@const other = stranger.planned}
              <button type="button" class="underline" onclick={() => goTo(other.id)}>Go to {other.label}</button>
            {/if}
          </p>
        {/if}
        {#if !here.serial}
          <button type="button" class="underline" onclick={() => keepSerial(here, u.serial)}
            >Keep its serial in the plan</button
          >
        {/if}
      {/if}
      {#if walk.steps.length}<p class="text-sm">{walk.steps.join(' · ')}</p>{/if}
    </div>
    {#if written && here.inverterId}
      <div class="mt-3 flex flex-wrap items-end gap-3">
        <Choice
          label="Grid code"
          choices={[
            ...Object.entries(GRID_CODES).map(([value, c]) => ({ value, name: c.name })),
            { value: '', name: 'leave it as it is' },
          ]}
          bind:value={gridCode}
        />
        <Button
          size="sm"
          color="alternative"
          disabled={walk.busy}
          onclick={() => walk.setUp(gridCode === '' ? null : Number(gridCode))}>Set clock and grid code</Button
        >
      </div>
      {#if mayRecord}
        <details class="mt-2">
          <summary class="cursor-pointer">Set-up sheet of {here.label}</summary>
          <p class="text-sm text-dim">
            What a stand-in says goes on the record as that, and closes no gate: the sheet of the real unit is signed at
            the unit.
          </p>
          <EntryForm
            kind={SET_UP}
            {subject}
            label="Record the set-up sheet"
            prefill={{
              from: 'stand-in',
              address: walk.unit?.address ?? null,
              bitRate: walk.unit?.bitRate ?? null,
              firmware: walk.unit?.firmware ?? '',
              clockAheadS: walk.unit?.clockAheadS ?? null,
            }}
            merge={(typed) => ({ ...typed, from: 'stand-in' })}
          />
        </details>
      {/if}
    {/if}
    {#if !mayRecord}
      <p class="mt-2 text-sm text-dim">
        {onRelease
          ? 'Nobody has signed on: what is written here does not go on the record.'
          : 'Not on the release that is built: what is written here does not go on the record.'}
      </p>
    {/if}
    <p class="mt-3 flex flex-wrap gap-3">
      <Button size="lg" class="min-h-12" disabled={left === 0 || walk.busy} onclick={next}>Next unit</Button>
      {#if way === 'one at a time'}
        <Button size="lg" class="min-h-12" color="alternative" disabled={walk.busy} onclick={() => walk.power(null)}
          >Power for all</Button
        >
      {/if}
    </p>
  {/if}
</section>
