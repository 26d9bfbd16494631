<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onMount } from 'svelte';
  import { fixed } from '$core/kernel/quantity';
  import type { SiteDesign } from '$core/design';
  import { ApiProblem, post, read } from '$lib/client/api';
  import type { FleetOrder, FleetView } from '$lib/schemas/standIns/steering';
  import Choice from '$lib/ui/form/Choice.svelte';
  import StandInBadge from './StandInBadge.svelte';
  import type { UnitFault } from './fleetFaults';
  import { UNIT_FAULTS, faultOf, faultWords, fleetLike, fromTheBox } from './fleetFaults';

  let { design, at }: { design: SiteDesign; /** Place of the bus among those of the fleet. */ at: number } = $props();
  let view = $state.raw<FleetView | null>(null);
  let failure = $state('');
  let kind = $state<UnitFault>('duplicate address');
  let unit = $state(2);
  const bus = $derived(view?.buses[at]);
  const STATES = ['not initialised', 'standby', 'starting', 'running', 'limited', 'fault', 'stopped'];

  async function told(ask: () => Promise<FleetView>) {
    try {
      view = await ask();
      failure = '';
    } catch (cause) {
      failure = cause instanceof ApiProblem ? cause.problem.detail : 'The server does not answer.';
    }
  }
  const order = (o: FleetOrder) => told(() => post<FleetView>('/api/v1/stand-ins', o));
  onMount(() => {
    const look = () => told(() => read<FleetView>('/api/v1/stand-ins'));
    void look();
    const again = setInterval(look, 2000);
    return () => clearInterval(again);
  });
  const setFaults = (faults: FleetView['buses'][number]['faults']) => order({ do: 'faults', bus: at, faults });
</script>

<section class="sheet p-3" aria-labelledby="fleet">
  <header class="flex flex-wrap items-center gap-3">
    <h2 id="fleet">Simulated fleet</h2>
    <StandInBadge />
    {#if bus}<p class="num ml-auto text-sm text-dim">
        Modbus TCP on port {bus.tcpPort}, RTU over TCP on {bus.rtuPort}
      </p>{/if}
  </header>
  {#if failure}<p role="alert" class="text-stop">{failure}</p>{/if}
  {#if view && bus}
    <div class="my-2 flex flex-wrap items-end gap-3">
      <Button
        size="xs"
        color="alternative"
        onclick={() => order({ do: 'set up', config: fleetLike(design, view?.config) })}>Set it up like the plan</Button
      >
      <Button
        size="xs"
        color="alternative"
        onclick={() => order({ do: 'set up', config: fromTheBox(fleetLike(design, view?.config)) })}
        >As out of the box</Button
      >
      <Choice label="Fault" choices={UNIT_FAULTS} bind:value={kind} />
      <Choice label="Unit" choices={bus.units.map((_, i) => i + 1)} bind:value={unit} />
      <Button size="xs" onclick={() => setFaults([...bus.faults, faultOf(kind, unit, bus.units.length)])}
        >Put it on</Button
      >
      <Button size="xs" color="alternative" onclick={() => order({ do: 'restart gateway', bus: at, seconds: 10 })}
        >Gateway away for 10 s</Button
      >
    </div>
    {#if bus.only !== null}<p class="text-sm">Only the unit at place {bus.only} has power.</p>{/if}
    {#if bus.faults.length}
      <ul class="mb-2 flex flex-wrap gap-2 text-sm">
        {#each bus.faults as fault, i (i)}
          <li class="border border-tight px-2">
            {faultWords(fault)}
            <button
              type="button"
              class="ml-1 underline"
              aria-label="Take off: {faultWords(fault)}"
              onclick={() => setFaults(bus.faults.filter((_, k) => k !== i))}>off</button
            >
          </li>
        {/each}
      </ul>
    {/if}
    <details>
      <summary class="cursor-pointer text-sm"
        >{bus.units.length} units as they are, {fixed(view.hour, 2)} h of their day</summary
      >
      <div class="overflow-x-auto">
        <table class="grid-table w-full">
          <thead>
            <tr>
              <th scope="col" class="fig">Place</th><th scope="col" class="fig">Address</th><th scope="col">Serial</th>
              <th scope="col">State</th><th scope="col" class="fig">Event</th><th scope="col" class="fig">Power</th>
              <th scope="col" class="fig">At its terminals</th>
            </tr>
          </thead>
          <tbody>
            {#each bus.units as u, i (u.serial)}
              <tr>
                <td class="fig">{i + 1}</td>
                <td class="fig">{u.address}</td>
                <td class="num">{u.serial}</td>
                <td
                  >{u.type === 'meter' ? 'meter' : STATES[u.state]}{u.countdownS === null
                    ? ''
                    : `, ${u.countdownS} s`}</td
                >
                <td class="fig">{u.event || ''}</td>
                <td class="fig">{u.type === 'meter' ? '' : `${fixed(u.powerW / 1000, 1)} kW`}</td>
                <td class="fig">{u.type === 'meter' ? '' : `${fixed(u.terminalV, 1)} V`}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    </details>
  {:else if view}
    <p class="mt-1">
      The fleet has no bus at this place.
      <Button
        size="xs"
        color="alternative"
        onclick={() => order({ do: 'set up', config: fleetLike(design, view?.config) })}>Set it up like the plan</Button
      >
    </p>
  {:else if !failure}<p class="text-dim">Asking the stand-ins …</p>{/if}
</section>
