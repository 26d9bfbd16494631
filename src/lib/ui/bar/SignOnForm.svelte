<script lang="ts">
  import { onMount } from 'svelte';
  import { ROLES } from '$core/proving/entry';
  import { INSTRUMENT_KINDS, MEASURED, READS, instrumentSchema } from '$core/equipment/instrument';
  import type { Instrument, InstrumentKind } from '$core/equipment/instrument';
  import DateInput from '$lib/ui/form/DateInput.svelte';
  import { ApiProblem, post, read } from '$lib/client/api';
  import { keepSignOn, signOn } from '$lib/client/signOn.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import Words from '$lib/ui/form/Words.svelte';

  /** Limits of an instrument's ranges, to be typed. */
  function blankLimits(of: InstrumentKind) {
    const blank = $state(
      Object.fromEntries(READS[of].map((q) => [q, { min: null as number | null, max: null as number | null }])),
    );
    return blank;
  }
  let { done }: { done: () => void } = $props();
  onMount(() => void readShelf());
  let kind = $state<InstrumentKind>('multimeter');
  let name = $state('');
  let serial = $state('');
  let calibratedUntil = $state('');
  const limits = $derived<Record<string, { min: number | null; max: number | null }>>(blankLimits(kind));
  let trouble = $state('');

  /** The company's instruments; none where nobody answers. */
  let shelf = $state.raw<readonly Instrument[]>([]);
  async function readShelf() {
    try {
      shelf = (await read<{ instruments: Instrument[] }>('/api/v1/shelf')).instruments;
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
    }
  }
  function take(instrument: Instrument) {
    signOn.instruments = [...signOn.instruments.filter((i) => i.kind !== instrument.kind), instrument];
    keepSignOn();
  }
  function addInstrument() {
    const ranges = READS[kind].flatMap((of) => {
      const { min, max } = limits[of] ?? { min: null, max: null };
      return max === null ? [] : [{ of, min: min ?? 0, max }];
    });
    const made = instrumentSchema.safeParse({ kind, name, serial, calibratedUntil, ranges });
    if (!made.success) {
      trouble = made.error.issues[0]?.message ?? 'Not as expected.';
      return;
    }
    take(made.data);
    [name, serial, calibratedUntil, trouble] = ['', '', '', ''];
    // On the shelf for the others as well, where somebody answers.
    post('/api/v1/shelf', { kind: 'instrument', sheet: made.data }).then(readShelf, () => undefined);
  }
  function remove(serialNumber: string) {
    signOn.instruments = signOn.instruments.filter((i) => i.serial !== serialNumber);
    keepSignOn();
  }
  const away = $derived(shelf.filter((s) => !signOn.instruments.some((i) => i.serial === s.serial)));
</script>

<div>
  <form
    class="grid grid-cols-2 gap-3 p-3 sm:grid-cols-4"
    oninput={keepSignOn}
    onsubmit={(e) => {
      e.preventDefault();
      keepSignOn();
      done();
    }}
  >
    <Words label="Name" autocomplete="name" bind:value={signOn.by} />
    <Choice label="Role" choices={ROLES} wide bind:value={signOn.role} />
    {#if signOn.role === 'electrician'}<div>
        <label class="text-sm text-dim" for="licensed-until">Licence valid until</label>
        <DateInput
          id="licensed-until"
          bind:value={
            () => signOn.licensedUntil,
            (day) => {
              signOn.licensedUntil = day ?? '';
              keepSignOn();
            }
          }
        />
      </div>{/if}
    <button type="submit" class="self-end justify-self-start bg-ink px-3 py-1.5 text-paper">Keep on this device</button>
  </form>
  <div class="border-t border-rule p-3">
    <p class="text-sm font-semibold">Instruments at hand</p>
    {#if away.length}
      <div class="mt-1 flex flex-wrap gap-1" role="group" aria-label="Take from the shelf">
        {#each away as i (i.serial)}<button
            type="button"
            class="border border-rule px-2 py-1 text-sm"
            onclick={() => take(i)}>+ {i.kind} <span class="num text-dim">{i.serial}</span></button
          >{/each}
        <button type="button" class="border border-ink px-2 py-1 text-sm" onclick={() => [...away].forEach(take)}
          >Take all</button
        >
      </div>
    {/if}
    <ul class="text-sm">
      {#each signOn.instruments as i (i.serial)}
        <li class="flex flex-wrap gap-x-3 border-t border-rule py-1">
          <span>{i.kind}: {i.name} <span class="num">{i.serial}</span></span>
          <span class="text-dim"
            >calibrated until <span class="num">{i.calibratedUntil}</span>{i.ranges
              .map((r) => `, ${r.of} ${r.min} to ${r.max} ${MEASURED[r.of]}`)
              .join('')}</span
          >
          <button type="button" class="ml-auto underline" onclick={() => remove(i.serial)}>remove</button>
        </li>
      {/each}
    </ul>
    <details class="mt-2">
      <summary class="cursor-pointer text-sm underline">Another instrument</summary>
      <form
        class="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-4"
        onsubmit={(e) => {
          e.preventDefault();
          addInstrument();
        }}
      >
        <Choice label="Instrument" choices={INSTRUMENT_KINDS} wide bind:value={kind} />
        <Words label="Make of it" bind:value={name} />
        <Words label="Its serial number" bind:value={serial} />
        <div>
          <label class="text-sm text-dim" for="calibrated-until">Calibrated until</label>
          <DateInput id="calibrated-until" bind:value={() => calibratedUntil, (day) => (calibratedUntil = day ?? '')} />
        </div>
        {#each READS[kind] as of (of)}
          {#if limits[of]}
            <Amount label="{of} from" unit={MEASURED[of]} width="w-full" bind:value={limits[of].min} />
            <Amount label="{of} up to" unit={MEASURED[of]} width="w-full" bind:value={limits[of].max} />
          {/if}
        {/each}
        {#if trouble}<p role="alert" class="col-span-2 text-stop sm:col-span-4">{trouble}</p>{/if}
        <button type="submit" class="justify-self-start border border-ink px-3 py-1.5">Add the instrument</button>
      </form>
    </details>
  </div>
</div>
