<script lang="ts">
  import { Button, Checkbox } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import { fixed } from '$core/kernel/quantity';
  import { busesOf, devicesOn } from '$core/links/buses';
  import { markOfFinding } from '$core/links/field/compare';
  import type { Move } from '$core/links/field/moves';
  import { SPARE_ADDRESS, mendingWrites } from '$core/links/field/moves';
  import { CAUSES } from '$core/links/field/symptoms';
  import { ApiProblem, post } from '$lib/client/api';
  import { useSite } from '$lib/client/siteState.svelte';
  import type { AddressAnswer, ScanResult } from '$lib/schemas/field';
  import { scanRequest } from '$lib/schemas/field';
  import Choice from '$lib/ui/form/Choice.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { chosenBus } from './chosenBus';
  import HalfSplit from './HalfSplit.svelte';
  import ScanRecord from './ScanRecord.svelte';
  import StandInBadge from './StandInBadge.svelte';
  import { ScanState } from './scanState.svelte';

  const site = useSite();
  const bus = $derived(chosenBus(site.design.chain));
  const devices = $derived(devicesOn(site.design.chain, bus));
  /** Its place among those of the fleet. */
  const at = $derived(busesOf(site.design.chain).indexOf(bus));
  const scan = new ScanState();
  onDestroy(() => scan.stop());
  let speaks = $state<'Modbus TCP' | 'RTU over TCP'>('RTU over TCP');
  let times = $state(1);
  let all = $state(false);
  let said = $state.raw<readonly string[]>([]);
  let failure = $state('');
  const TIMES = [1, 5, 20, 100].map((n) => ({ value: n, name: n === 1 ? 'once' : `${n} times` }));
  const writes = $derived(scan.result ? mendingWrites(scan.result.findings) : []);
  const deviceAt = (address: number) => devices.find((d) => d.address === address);
  const placeOf = (r: ScanResult) => (r.symptom?.at ? (r.rates[r.symptom.at - 1]?.label ?? '') : '');
  const unclear = (r: ScanResult) =>
    ['TRUNK', 'BUS_NOISE', 'FAR_END', 'BREAK_OR_CROSS_AFTER'].includes(r.symptom?.code ?? '');

  const look = () => scan.run(site.siteId, scanRequest.parse({ bus: at, speaks, times, all }));
  const begin = () => {
    said = [];
    failure = '';
    return look();
  };
  /** Writes one after the other, each read back; what is written when one fails stays, and the scan says from where to go on. */
  let writing = $state.raw<{ readonly done: number; readonly of: number } | null>(null);
  let stopped = false;
  async function moveAll(writes: readonly Move[]) {
    [said, failure, stopped] = [[], '', false];
    try {
      for (const [done, { serial, from, to }] of writes.entries()) {
        if (stopped) break;
        writing = { done, of: writes.length };
        const asked = { bus: at, speaks, serial, from, to };
        const given = await post<AddressAnswer>(`/api/v1/sites/${site.siteId}/bus-address`, asked);
        said = [...said, ...given.steps];
      }
    } catch (cause) {
      failure = cause instanceof ApiProblem ? cause.problem.detail : 'The server does not answer.';
    } finally {
      writing = null;
    }
    if (said.length) await look();
  }
  const learn = (address: number, serial: string) => {
    const device = deviceAt(address);
    if (device) void site.apply({ kind: 'chain-device', device: { ...device, serial } });
  };
  const learnAll = (r: ScanResult) => {
    for (const f of r.findings) if (f.kind === 'serial new to the plan' && f.serials[0]) learn(f.address, f.serials[0]);
  };
</script>

<section class="sheet p-3" aria-labelledby="scan">
  <div class="flex flex-wrap items-end gap-3">
    <h2 id="scan" class="mr-auto">Scan: plan against found</h2>
    <Choice label="Spoken" choices={scanRequest.shape.speaks.unwrap().options} bind:value={speaks} />
    <Choice label="Each asked" choices={TIMES} bind:value={times} />
    <div class="flex h-8 items-center"><Checkbox bind:checked={all}>All 247 addresses</Checkbox></div>
    <Button size="xs" disabled={scan.running} onclick={begin}>Scan the bus</Button>
  </div>
  {#if scan.running}
    <div class="mt-1 flex flex-wrap items-center gap-3 text-sm" role="status">
      <progress aria-label="Scanning" max={scan.asked?.of ?? 1} value={scan.asked?.asked ?? 0}></progress>
      {#if scan.asked}address {scan.asked.address}, {scan.asked.asked} of {scan.asked.of}{/if}
      <button type="button" class="underline" onclick={() => scan.stop()}>Stop</button>
    </div>
  {/if}
  {#if writing}
    <div class="mt-1 flex flex-wrap items-center gap-3 text-sm" role="status">
      <progress aria-label="Writing addresses" max={writing.of} value={writing.done}></progress>
      write {writing.done + 1} of {writing.of}
      <button type="button" class="underline" onclick={() => (stopped = true)}>Stop after this one</button>
    </div>
  {/if}
  {#if scan.failure || failure}<p role="alert" class="mt-1 text-stop">{scan.failure || failure}</p>{/if}
  <div aria-live="polite">
    {#if said.length}<p class="mt-1 text-sm">{said.join(' · ')}</p>{/if}
    {#if scan.result}
      {@const r = scan.result}
      <p class="mt-2 flex flex-wrap items-center gap-3">
        <StandInBadge />
        {#if r.symptom}
          <b>{r.symptom.code.replaceAll('_', ' ').toLowerCase()}{placeOf(r) ? ` ${placeOf(r)}` : ''}</b>
        {/if}
        <span class="text-sm text-dim">{fixed(r.tookS, 1)} s</span>
        {#if writes.length > 1}
          <Button size="xs" disabled={writing !== null || scan.running} onclick={() => moveAll(writes)}
            >Bring all to their addresses: {writes.length} writes</Button
          >
        {/if}
        {#if r.findings.some((f) => f.kind === 'serial new to the plan')}
          <Button size="xs" color="alternative" onclick={() => learnAll(r)}>Keep the serials in the plan</Button>
        {/if}
      </p>
      {#if r.rates.some((u) => u.late)}
        <p class="mt-1 border-l-4 border-tight pl-2">
          {r.rates
            .filter((u) => u.late)
            .map((u) => u.label)
            .join(', ')} answers, but later than it is waited for: a longer wait on the logger.
        </p>
      {/if}
      {#if r.symptom && r.symptom.code !== 'HEALTHY'}
        {@const c = CAUSES[r.symptom.code]}
        <dl class="my-1 grid grid-cols-[auto_1fr] gap-x-3 text-sm">
          <dt class="text-dim">Likely</dt>
          <dd>{c.cause}</dd>
          <dt class="text-dim">Next measurement</dt>
          <dd>
            {c.test}
            {#if unclear(r)}<HalfSplit labels={r.rates.map((u) => u.label)} />{/if}
          </dd>
          {#if c.fix}<dt class="text-dim">Then</dt>
            <dd>{c.fix}</dd>{/if}
        </dl>
      {/if}
      <div class="overflow-x-auto">
        <table class="grid-table w-full">
          <thead>
            <tr>
              <th scope="col" class="fig">Address</th><th scope="col">Planned</th><th scope="col">Found</th>
              <th scope="col">Serial</th><th scope="col"><span class="sr-only">What to do</span></th>
            </tr>
          </thead>
          <tbody>
            {#each r.findings as f (f.address)}
              <tr>
                <td class="fig">{f.address}</td>
                <td>{f.label}</td>
                <td class="whitespace-nowrap">
                  <VerdictMark verdict={markOfFinding(f.kind)} word={false} />
                  {f.kind}{f.belongsAt === null ? '' : `, planned at ${f.belongsAt}`}
                </td>
                <td class="num">{f.serials.join(', ')}</td>
                <td>
                  {#if f.belongsAt !== null && f.serials[0]}
                    {@const to = f.belongsAt}
                    {@const serial = f.serials[0]}
                    {#if r.findings.some((o) => o.address === to && o.kind !== 'missing')}
                      <button
                        type="button"
                        class="underline"
                        disabled={writing !== null}
                        onclick={() => moveAll([{ serial, from: f.address, to: SPARE_ADDRESS }])}
                        >park at {SPARE_ADDRESS}</button
                      >
                    {:else}
                      <button
                        type="button"
                        class="underline"
                        disabled={writing !== null}
                        onclick={() => moveAll([{ serial, from: f.address, to }])}>move to {to}</button
                      >
                    {/if}
                  {/if}
                </td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      <ScanRecord result={r} {bus} />
    {:else if !scan.running}
      <p class="mt-1 text-dim">
        Every planned address is asked for its serial, then address 1. What answers stands here beside what was planned.
      </p>
    {/if}
  </div>
</section>
