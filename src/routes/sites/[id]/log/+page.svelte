<script lang="ts">
  import { lineOf } from '$core/site/line';
  import { RECORD_VALUES } from '$core/proving/record';
  import type { SiteRecord } from '$core/proving/record';
  import { TOO_DARK_WM2, expectedReading } from '$core/proving/stringCauses';
  import { fixed } from '$core/kernel/quantity';
  import { useSite } from '$lib/client/siteState.svelte';
  import { RecordSender } from '$lib/client/logState.svelte';
  import Caution from '$lib/ui/Caution.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import GateMark from '$lib/ui/GateMark.svelte';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import NotReleased from '$lib/ui/NotReleased.svelte';
  import SignOnCard from '$lib/ui/SignOnCard.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { data } = $props();
  const site = useSite();
  const sender = new RecordSender(site.siteId);
  const design = $derived(data.current?.design);
  let unitId = $state('');
  let stringId = $state('');
  let correcting = $state<string | null>(null);
  let reason = $state('');
  const unit = $derived(design?.inverters.find((i) => i.id === unitId) ?? design?.inverters[0]);
  const strings = $derived(
    design?.strings
      .filter((s) => s.place?.inverterId === unit?.id)
      .sort(
        (a, b) => (a.place?.tracker ?? 0) - (b.place?.tracker ?? 0) || (a.place?.input ?? 0) - (b.place?.input ?? 0),
      ) ?? [],
  );
  const string = $derived(
    strings.find((s) => s.id === stringId) ?? strings.find((s) => stateOf(`D-VOC@${s.id}`) === 'open') ?? strings[0],
  );
  const module = $derived(design && string ? lineOf(design).plane(string.planeId)?.module : undefined);
  const states = $derived(new Map(data.gates.map((g) => [g.key, g.state])));
  const verdicts = $derived(new Map(data.judged.map((j) => [j.id, j.verdict])));
  const corrected = $derived(new Set(data.records.map((r) => r.corrects).filter((id) => id !== null)));
  const checks = $derived(data.judged.flatMap((j) => j.checks));
  const entries = $derived(data.records.filter((r) => r.subject.id === string?.id).toReversed());
  const lastTest = $derived(
    [...data.records]
      .reverse()
      .find((r): r is Extract<SiteRecord, { kind: 'string-test' }> => r.kind === 'string-test'),
  );
  const stateOf = (key: string) => states.get(key) ?? 'locked';

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

  const subject = $derived({ scope: 'string', id: string?.id ?? '' } as const);
  const release = $derived(data.current?.letter ?? 'A');

  async function record(kind: 'string-test' | 'insulation', values: unknown) {
    const done = await sender.send(
      { kind, subject, values, corrects: correcting, reason: correcting ? reason : null },
      release,
    );
    if (done) {
      correcting = null;
      reason = '';
    }
    return done ? null : sender.problem;
  }
  const tag = (evidence: string) =>
    sender.send({ kind: 'gate', subject, values: { gate: 'D-ID', result: 'pass', evidence } }, release);
  const summary = (r: SiteRecord) => {
    if (r.kind === 'string-test')
      return `${fixed(r.values.voltageV, 1)} V at ${fixed(r.values.cellC, 1)} °C, ${r.values.irradianceWm2} W/m²${r.values.currentA === null ? '' : `, ${r.values.currentA} A`}`;
    if (r.kind === 'insulation') return `${r.values.megohm} MΩ at ${r.values.testV} V`;
    if (r.kind === 'gate') return `${r.values.gate} ${r.values.result}: ${r.values.evidence}`;
    return r.kind;
  };
  const when = (iso: string) => iso.slice(0, 16).replace('T', ' ');
</script>

{#if !design || !unit}
  <NotReleased />
{:else}
  <Stage>
    {#snippet main()}
      <SignOnCard />
      <Caution
        >A string in light cannot be switched off. Qualified electricians only, gloves class 0, meter and leads rated
        for the string. Never open a plug under current.</Caution
      >
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
                correcting = null;
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
                correcting = null;
              }}
            >
              <span class="num">{s.place?.tracker}.{s.place?.input} <span class="text-dim">S{s.number}</span></span
              ><GateMark state={stateOf(`D-VOC@${s.id}`)} short />
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
            {#each ['D-ID', 'D-POL', 'D-VOC', 'D-IR'] as gate (gate)}<span
                >{gate} <GateMark state={stateOf(`${gate}@${string.id}`)} /></span
              >{/each}
          </p>
          {#if stateOf(`D-ID@${string.id}`) === 'open'}
            <button
              type="button"
              class="mt-2 border border-ink px-3 py-2"
              disabled={sender.busy}
              onclick={() => tag(`tag at both ends, ${string.modules} modules counted`)}
              >Tag at both ends, {string.modules} modules counted</button
            >
          {:else if stateOf(`D-ID@${string.id}`) === 'locked'}
            <p class="mt-2 text-dim">Waits for the safe start of the day (gate S-SAFE, on Energise).</p>
          {/if}
          {#if correcting}
            <p class="mt-2 border-l-4 border-tight bg-paper px-3 py-2">
              Correcting an entry: the old one stays on record.
              <label class="mt-1 block text-sm text-dim"
                >Why<input
                  class="block w-full border border-rule bg-white px-2 py-1 text-ink"
                  bind:value={reason}
                /></label
              >
              <button type="button" class="underline" onclick={() => (correcting = null)}>Do not correct</button>
            </p>
          {/if}
          <div class="mt-3">
            {#key `${string.id}|${entries.length}`}
              <EditForm
                schema={RECORD_VALUES['string-test']}
                prefix="test-{string.id}-{entries.length}"
                label={correcting ? 'Record the correction' : 'Record the reading'}
                value={{
                  voltageV: null,
                  cellC: lastTest?.values.cellC ?? null,
                  irradianceWm2: lastTest?.values.irradianceWm2 ?? null,
                  currentA: null,
                }}
                groups={[
                  { title: 'Voltage before plugging', paths: ['voltageV', 'cellC', 'irradianceWm2', 'currentA'] },
                ]}
                save={(values) => record('string-test', values)}
              >
                {#snippet extra(values)}
                  {@const now = expectedFor(values)}
                  <p class="text-sm">
                    {now
                      ? `Expected ${fixed(now.stringV, 1)} V ± ${fixed(now.u95Percent, 1)} %, ${fixed(now.currentA, 2)} A`
                      : 'Expected voltage: enter cell temperature and irradiance (at least 100 W/m²).'}
                  </p>
                {/snippet}
              </EditForm>
            {/key}
          </div>
          {#if sender.verdict}<p class="mt-2 border-l-4 border-ink bg-paper px-3 py-2" role="status">
              On record: <VerdictMark verdict={sender.verdict} />. {sender.verdict === 'stop'
                ? 'Do not plug this string.'
                : 'A clear reading is no permission: only closed gates are.'}
            </p>{/if}
          <Trouble problem={sender.problem} ondismiss={() => (sender.problem = null)} />
          <details class="mt-3">
            <summary class="cursor-pointer font-semibold">Insulation of this string</summary>
            <p class="my-1 text-sm text-dim">
              Unit unplugged, arresters out, everyone off the array. The test puts up to 1500 V on it; wait for the
              tester to discharge.
            </p>
            {#key `${string.id}|${entries.length}`}
              <EditForm
                schema={RECORD_VALUES.insulation}
                prefix="insulation-{string.id}-{entries.length}"
                label="Record the insulation"
                value={{ testV: null, megohm: null, seconds: 60 }}
                groups={[{ title: '', paths: ['testV', 'megohm', 'seconds'] }]}
                save={(values) => record('insulation', values)}
              />
            {/key}
          </details>
        </section>
        <section class="sheet p-3" aria-labelledby="entries">
          <h2 id="entries">Entries of this string</h2>
          {#if entries.length === 0}<p class="text-dim">Nothing recorded yet.</p>{/if}
          <ol>
            {#each entries as r (r.id)}
              <li class="border-t border-rule py-1.5 {corrected.has(r.id) ? 'text-dim line-through' : ''}">
                <span class="num">{when(r.doneAt)}</span>
                {summary(r)}
                {#if verdicts.has(r.id)}<VerdictMark verdict={verdicts.get(r.id) ?? 'unknown'} />{/if}
                <span class="block text-sm text-dim"
                  >{r.by}, {r.role}{r.instrument ? `, ${r.instrument.name} ${r.instrument.serial}` : ''}, release {r.release}{r.reason
                    ? ` · ${r.reason}`
                    : ''}
                  {#if !corrected.has(r.id) && (r.kind === 'string-test' || r.kind === 'insulation')}<button
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
