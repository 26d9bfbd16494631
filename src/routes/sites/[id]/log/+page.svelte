<script lang="ts">
  import { SvelteMap } from 'svelte/reactivity';
  import { fixed } from '$core/kernel/quantity';
  import { lineOf } from '$core/site/line';
  import type { EntrySubject } from '$core/proving/entry';
  import type { GateId } from '$core/proving/gates/machine';
  import { kindOf, kindNamed } from '$core/proving/kinds';
  import { STRING_TEST } from '$core/proving/kinds/stringTest';
  import { LIGHT_STANDS_MS } from '$core/proving/light';
  import { TOO_DARK_WM2, expectedReading } from '$core/proving/stringCauses';
  import { worstCheck } from '$core/kernel/check';
  import { useLogOf } from '$lib/client/logState.svelte';
  import GateMark from '$lib/ui/GateMark.svelte';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import NotReleased from '$lib/ui/NotReleased.svelte';
  import DangerForm from '$lib/ui/record/DangerForm.svelte';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';
  import { lineOfEntry, named, when } from '$lib/ui/record/words';
  import SignOnCard from '$lib/ui/SignOnCard.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { data } = $props();
  const log = useLogOf(() => data);
  const design = $derived(log.current?.design);
  const GATES: readonly GateId[] = ['D-ID', 'D-POL', 'D-VOC', 'D-IR', 'D-ISC'];
  /** What is measured at a string, after its tag. */
  const KINDS = ['string-test', 'dc-insulation', 'string-current'] as const;
  let unitId = $state('');
  let stringId = $state('');
  let correcting = $state<string | null>(null);
  let reason = $state('');
  const unit = $derived(design?.inverters.find((i) => i.id === unitId) ?? design?.inverters[0]);
  const strings = $derived(design ? lineOf(design).printedStrings.filter((s) => s.place?.inverterId === unit?.id) : []);
  const stateOf = (gate: GateId, id: string) => log.evidence.gate(gate, id)?.state ?? 'locked';
  const string = $derived(
    strings.find((s) => s.id === stringId) ?? strings.find((s) => stateOf('D-VOC', s.id) === 'open') ?? strings[0],
  );
  const module = $derived(design && string ? lineOf(design).plane(string.planeId)?.module : undefined);
  const subject = $derived<EntrySubject>({ scope: 'string', id: string?.id ?? '' });
  const corrected = $derived(new Set(log.entries.map((r) => r.corrects).filter((id) => id !== null)));
  const entries = $derived(log.entries.filter((r) => r.subject.id === string?.id).toReversed());
  const correctingKind = $derived(log.entries.find((e) => e.id === correcting)?.kind);
  const checks = $derived(log.evidence.checks);
  const verdicts = new SvelteMap<string, ReturnType<typeof worstCheck>>();
  $effect(() => {
    for (const e of entries) {
      const { checks: own } = log.evidence.judgement(e);
      if (own.length) verdicts.set(e.id, worstCheck(own));
    }
  });
  /** The newest light on record, where it was read within minutes: offered by name, never filled in. */
  let useLight = $state(false);
  const light = $derived.by(() => {
    const last = log.entries.filter(STRING_TEST.is).findLast((e) => e.values.lightAt === null);
    if (!last) return null;
    const ageMs = log.evidence.nowMs - Date.parse(last.doneAt);
    return ageMs >= 0 && ageMs < LIGHT_STANDS_MS
      ? { at: last.doneAt, ...last.values, ageMin: Math.round(ageMs / 60_000) }
      : null;
  });

  function expectedFor({ cellC, irradianceWm2 }: Record<string, unknown>) {
    if (
      !string ||
      !module ||
      typeof cellC !== 'number' ||
      typeof irradianceWm2 !== 'number' ||
      irradianceWm2 < TOO_DARK_WM2
    )
      return null;
    return expectedReading(module, { modules: string.modules, cellC, irradianceWm2 });
  }
  const tag = (evidence: string) =>
    log.add({ kind: 'gate', subject, values: { gate: 'D-ID', result: 'pass', evidence } });
  const done = () => {
    correcting = null;
    reason = '';
  };
  const open = (kind: string) => (correctingKind ? correctingKind === kind : kind === 'string-test');
</script>

{#if !design || !unit}
  <NotReleased />
{:else}
  <Stage>
    {#snippet main()}
      <SignOnCard />
      <LogStatus />
      <section class="sheet p-3" aria-labelledby="pick">
        <h2 id="pick" class="sr-only">Pick a string</h2>
        <div class="flex flex-wrap gap-1" role="group" aria-label="Inverter">
          {#each design.inverters as i (i.id)}
            <button
              type="button"
              class="border px-3 py-2 whitespace-nowrap {i.id === unit.id
                ? 'border-ink bg-ink text-paper'
                : 'border-rule'}"
              aria-pressed={i.id === unit.id}
              onclick={() => {
                unitId = i.id;
                stringId = '';
                done();
              }}>{i.tag}</button
            >
          {/each}
        </div>
        <div class="mt-2 grid grid-cols-3 gap-1 sm:grid-cols-5 xl:grid-cols-7" role="group" aria-label="String">
          {#each strings as s (s.id)}
            <button
              type="button"
              class="flex items-center justify-between gap-1 border px-2 py-1.5 text-left {s.id === string?.id
                ? 'border-ink bg-primary-100'
                : 'border-rule'}"
              aria-pressed={s.id === string?.id}
              onclick={() => {
                stringId = s.id;
                done();
              }}
            >
              <span class="num">{s.place?.tracker}.{s.place?.input} <span class="text-dim">S{s.number}</span></span
              ><GateMark state={stateOf('D-VOC', s.id)} short />
            </button>
          {/each}
        </div>
      </section>

      {#if string}
        <section class="sheet p-3" aria-labelledby="measure">
          <h2 id="measure">
            {unit.tag} · tracker {string.place?.tracker} · input {string.place?.input} · string {string.number}
            <span class="font-normal text-dim">{string.modules} modules</span>
          </h2>
          <p class="mt-1 flex flex-wrap gap-x-4">
            {#each GATES as gate (gate)}<span>{gate} <GateMark state={stateOf(gate, string.id)} /></span>{/each}
          </p>
          {#each GATES as gate (gate)}{@const why = log.evidence.gate(gate, string.id)?.why}{#if why}<p
                class="text-sm text-dim"
              >
                {gate}: {named(why, design)}
              </p>{/if}{/each}
          {#if ['open', 'stale'].includes(stateOf('D-ID', string.id)) && log.evidence.closed('S-SAFE', 'site')}
            <button
              type="button"
              class="mt-2 border border-ink px-3 py-2"
              disabled={log.busy}
              onclick={() => tag(`tag at both ends, ${string.modules} modules counted`)}
              >Tag at both ends, {string.modules} modules counted</button
            >
          {:else if !log.evidence.closed('S-SAFE', 'site')}
            <p class="mt-2 text-dim">Waits for the safe start of the day (gate S-SAFE, on Energise).</p>
          {/if}
          {#if correcting}
            <p class="mt-2 border-l-4 border-tight bg-paper px-3 py-2">
              Correcting an entry: the old one stays on record, and the new one stands in its place and time.
              <label class="mt-1 block text-sm text-dim"
                >Why<input
                  class="block w-full border border-rule bg-white px-2 py-1 text-ink"
                  bind:value={reason}
                /></label
              >
              <button type="button" class="underline" onclick={done}>Do not correct</button>
            </p>
          {/if}
          {#each KINDS as name (name)}
            {@const kind = kindNamed(name)}
            {#if !correctingKind || correctingKind === name}
              <details class="mt-3 border-t border-rule pt-2" open={open(name)}>
                <summary class="cursor-pointer font-semibold">{kind.title}</summary>
                {#if name === 'string-test' && light && !correcting}
                  <label class="my-2 flex items-center gap-2"
                    ><input type="checkbox" bind:checked={useLight} /> The light of
                    <span class="num">{when(light.at).slice(11)}</span> stands: {light.irradianceWm2} W/m² and {light.cellC}
                    °C, read {light.ageMin} min ago</label
                  >
                {/if}
                <EntryForm
                  {kind}
                  {subject}
                  {reason}
                  corrects={correcting}
                  label={correcting
                    ? 'Record the correction'
                    : name === 'string-test'
                      ? 'Record the reading'
                      : `Record: ${kind.title.toLowerCase()}`}
                  prefill={name === 'string-test' && useLight && light && !correcting
                    ? { cellC: light.cellC, irradianceWm2: light.irradianceWm2 }
                    : {}}
                  merge={(v) =>
                    name === 'string-test' ? { ...v, lightAt: useLight && light && !correcting ? light.at : null } : v}
                  {done}
                >
                  {#snippet extra(values)}
                    {#if name === 'string-test'}
                      {@const now = expectedFor(values)}
                      <p class="text-sm">
                        {now
                          ? `Expected ${fixed(now.stringV, 1)} V ± ${fixed(now.u95Percent, 1)} %, ${fixed(now.currentA, 2)} A`
                          : 'Expected voltage: enter cell temperature and irradiance (at least 100 W/m²).'}
                      </p>
                    {/if}
                  {/snippet}
                </EntryForm>
              </details>
            {/if}
          {/each}
        </section>
        <DangerForm subjects={[{ subject, name: `string ${string.number}` }]} />
        <section class="sheet p-3" aria-labelledby="entries">
          <h2 id="entries">Entries of this string</h2>
          {#if entries.length === 0}<p class="text-dim">Nothing recorded yet.</p>{/if}
          <ol>
            {#each entries as r (r.id)}
              {@const note = log.evidence.notes.get(r.id)}
              <li class="border-t border-rule py-1.5 {corrected.has(r.id) ? 'text-dim line-through' : ''}">
                <span class="num">{when(r.doneAt)}</span>
                {lineOfEntry(r)}
                {#if verdicts.has(r.id)}<VerdictMark verdict={verdicts.get(r.id) ?? 'unknown'} />{/if}
                {#if note}<span class="block text-sm text-stop">Proves nothing: {named(note, design)}</span>{/if}
                <span class="block text-sm text-dim"
                  >{r.by}, {r.role}{r.instrument ? `, ${r.instrument.name} ${r.instrument.serial}` : ''}, release {r.release}{r.reason
                    ? ` · ${r.reason}`
                    : ''}
                  {#if !corrected.has(r.id) && kindOf(r).correctable && (KINDS as readonly string[]).includes(r.kind)}<button
                      type="button"
                      class="ml-2 underline"
                      onclick={() => (correcting = r.id)}>correct</button
                    >{/if}
                </span>
              </li>
            {/each}
          </ol>
        </section>
      {/if}
    {/snippet}
    {#snippet side()}<MarginLedger
        checks={checks.filter((c) => c.subject.id === string?.id || !string)}
        title="Margins: this string"
      /><MarginLedger {checks} title="Margins: all readings" />{/snippet}
  </Stage>
{/if}
