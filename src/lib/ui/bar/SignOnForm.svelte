<script lang="ts">
  import { onMount } from 'svelte';
  import { ROLES } from '$core/proving/entry';
  import {
    BLANK_RANGE,
    INSTRUMENT_KINDS,
    READS,
    instrumentSchema,
    rangeText,
    typedRanges,
  } from '$core/equipment/instrument';
  import type { Instrument, InstrumentKind, Measured, TypedRange } from '$core/equipment/instrument';
  import DateInput from '$lib/ui/form/DateInput.svelte';
  import { ApiProblem, post, read } from '$lib/client/api';
  import { keepSignOn, signOn } from '$lib/client/signOn.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import RangeFields from './RangeFields.svelte';
  import Words from '$lib/ui/form/Words.svelte';

  /** How far and how well an instrument reads, to be typed. */
  function blankRanges(of: InstrumentKind) {
    const blank = $state<Partial<Record<Measured, TypedRange>>>(
      Object.fromEntries(READS[of].map((q) => [q, { ...BLANK_RANGE }])),
    );
    return blank;
  }
  let { done }: { done: () => void } = $props();
  onMount(() => void readShelf());
  let kind = $state<InstrumentKind>('multimeter');
  let name = $state('');
  let serial = $state('');
  let calibratedUntil = $state('');
  let ranges = $derived(blankRanges(kind));
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
    const typed = typedRanges(ranges);
    if (typed.lacks) {
      trouble = typed.lacks;
      return;
    }
    const made = instrumentSchema.safeParse({ kind, name, serial, calibratedUntil, ranges: typed.ranges });
    if (!made.success) {
      trouble = made.error.issues[0]?.message ?? 'Not as expected.';
      return;
    }
    take(made.data);
    [name, serial, calibratedUntil, trouble] = ['', '', '', ''];
    ranges = blankRanges(kind);
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
              .map((r) => `, ${rangeText(r)}`)
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
          {#if ranges[of]}<RangeFields {of} bind:range={ranges[of]} />{/if}
        {/each}
        {#if trouble}<p role="alert" class="col-span-2 text-stop sm:col-span-4">{trouble}</p>{/if}
        <button type="submit" class="justify-self-start border border-ink px-3 py-1.5">Add the instrument</button>
      </form>
    </details>
  </div>
</div>
