<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { lineOf } from '$core/site/line';
  import { STEP_READING, dischargeWaitS } from '$core/proving/energise';
  import { energiseProgress } from '$core/proving/energiseProgress';
  import type { GateView } from '$core/proving/gates/machine';
  import { gateRow, isClosed } from '$core/proving/gates/machine';
  import { RECORD_VALUES } from '$core/proving/record';
  import type { RecordKind, SiteRecord } from '$core/proving/record';
  import { useSite } from '$lib/client/siteState.svelte';
  import { RecordSender } from '$lib/client/logState.svelte';
  import Caution from '$lib/ui/Caution.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import GateMark from '$lib/ui/GateMark.svelte';
  import GateTick from '$lib/ui/GateTick.svelte';
  import { GATE_NAME } from '$lib/ui/gateWords';
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
  /** Opens at the first unit that is not on grid yet, and stays where the crew is when it comes on. */
  const firstWaiting = () => {
    const units = data.current?.design.inverters ?? [];
    const running = new Set(data.gates.filter((g) => g.id === 'I-ONGRID' && g.state === 'passed').map((g) => g.object));
    return (units.find((i) => !running.has(i.id)) ?? units[0])?.id ?? '';
  };
  let unitId = $state(untrack(firstWaiting));
  let chosen = $state('');
  const unit = $derived(design?.inverters.find((i) => i.id === unitId) ?? design?.inverters[0]);
  const type = $derived(design && unit ? lineOf(design).inverterType(unit.typeId) : undefined);
  const views = $derived(
    new Map(
      data.gates.map((g): [string, GateView] => [
        g.key,
        { gate: gateRow(g.id), object: g.object, state: g.state, waitsFor: g.waitsFor },
      ]),
    ),
  );
  const siteGates = $derived(data.gates.filter((g) => g.object === 'site'));
  const unitGates = $derived(data.gates.filter((g) => g.object === unit?.id));
  const strings = $derived(new Set(design?.strings.filter((s) => s.place?.inverterId === unit?.id).map((s) => s.id)));
  const stringGates = $derived(
    ['D-ID', 'D-POL', 'D-VOC', 'D-IR'].map((id) => {
      const own = data.gates.filter((g) => g.id === id && strings.has(g.object));
      return { id, closed: own.filter((g) => isClosed(g.state)).length, of: own.length };
    }),
  );
  const shown = $derived(
    [
      ...siteGates.filter((g) => ['S-DOC', 'S-SAFE', 'S-EARTH', 'S-SUPPLY', 'S-PTO'].includes(g.id)),
      ...unitGates,
    ].filter((g) => g.state !== 'n/a'),
  );
  const current = $derived(
    shown.find((g) => g.key === chosen) ?? shown.find((g) => ['open', 'failed', 'stale', 'caution'].includes(g.state)),
  );
  const row = $derived(current && gateRow(current.id));
  const steps = $derived(design && unit ? energiseProgress(design, unit.id, data.records, views) : []);
  const step = $derived(steps.find((s) => s.state !== 'done'));
  const checks = $derived(data.judged.flatMap((j) => j.checks).filter((c) => c.subject.id === unit?.id));
  const release = $derived(data.current?.letter ?? 'A');
  const onGrid = $derived(steps.find((s) => s.step.state === 'ON_GRID')?.state === 'done');
  const signed = $derived(data.records.find((r) => r.kind === 'signature' && r.subject.id === unit?.id));

  let now = $state(Date.now());
  onMount(() => {
    const clock = setInterval(() => (now = Date.now()), 250);
    return () => clearInterval(clock);
  });
  const leftS = $derived(step?.notBeforeMs == null ? 0 : Math.max(0, Math.ceil((step.notBeforeMs - now) / 1000)));

  let reading = $state<number | null>(null);
  let seen = $state('');
  const subjectOf = (object: string): SiteRecord['subject'] =>
    object === 'site' ? { scope: 'site', id: 'site' } : { scope: 'inverter', id: object };
  const measured = { 'I-ACIR': 'insulation', 'I-TORQ': 'torque', 'I-ACV': 'ac-voltages' } as const satisfies Record<
    string,
    RecordKind
  >;
  const kind = $derived(current && current.id in measured ? measured[current.id as keyof typeof measured] : null);
  const FORMS = {
    insulation: { blank: { testV: null, megohm: null, seconds: 60 }, title: 'Dead run, both ends off, N lifted' },
    torque: { blank: { appliedNm: null, joints: 5, witnessMarks: false }, title: 'AC studs' },
    'ac-voltages': {
      blank: {
        l12V: null,
        l23V: null,
        l31V: null,
        l1V: null,
        l2V: null,
        l3V: null,
        frequencyHz: null,
        rotation: 'L1-L2-L3',
      },
      title: 'At the line side of the open isolator',
    },
  } as const;
  async function measure(values: unknown) {
    if (!current || !kind) return null;
    return (await sender.send({ kind, subject: subjectOf(current.object), values }, release)) ? null : sender.problem;
  }
  async function gate(result: 'pass' | 'fail' | 'accepted' | 'reopened', evidence: string, reason: string | null) {
    if (!current) return;
    if (
      await sender.send(
        { kind: 'gate', subject: subjectOf(current.object), values: { gate: current.id, result, evidence }, reason },
        release,
      )
    )
      chosen = '';
  }
  const waive = async (reason: string, reviewDays: number) => {
    if (
      current &&
      (await sender.send(
        { kind: 'waiver', subject: subjectOf(current.object), values: { gate: current.id, reviewDays }, reason },
        release,
      ))
    )
      chosen = '';
  };
  async function confirm() {
    if (!step || !unit) return;
    if (
      await sender.send(
        { kind: 'energise', subject: subjectOf(unit.id), values: { state: step.step.state, reading, seen } },
        release,
      )
    ) {
      reading = null;
      seen = '';
    }
  }
  const sign = () =>
    unit &&
    sender.send(
      {
        kind: 'signature',
        subject: subjectOf(unit.id),
        values: { statement: 'Switched on in the usual order and left feeding.' },
      },
      release,
    );
  let acceptReason = $state('');
  const words = (state: string) => state.replaceAll('_', ' ').toLowerCase();
  /** A gate key with the tag and string number people know: `I-PERMIT of INV-08`. */
  function named(text: string) {
    return text.replace(/@([\w-]+)/g, (_, id: string) => {
      const line = design && lineOf(design);
      const number = line?.string(id)?.string.number;
      return ` of ${line?.inverter(id)?.tag ?? (number === undefined ? id : `string ${number}`)}`;
    });
  }
  const when = (iso: string) => iso.slice(0, 16).replace('T', ' ');
</script>

{#if !design || !unit}
  <NotReleased />
{:else}
  <Stage>
    {#snippet main()}
      <SignOnCard />
      <div class="flex flex-wrap gap-1" role="group" aria-label="Inverter">
        {#each design.inverters as i (i.id)}
          {@const state = views.get(`I-ONGRID@${i.id}`)?.state}
          <button
            type="button"
            class="flex items-center gap-1 border px-3 py-2 whitespace-nowrap {i.id === unit.id
              ? 'border-ink bg-ink text-paper'
              : 'border-rule bg-sheet'}"
            aria-pressed={i.id === unit.id}
            onclick={() => {
              unitId = i.id;
              chosen = '';
            }}
          >
            {i.tag}{state === 'passed' ? ' · on grid' : ''}
          </button>
        {/each}
      </div>

      <div class="grid gap-4 md:grid-cols-2">
        <section class="sheet p-3" aria-labelledby="gates">
          <h2 id="gates">Gates of {unit.tag}</h2>
          <p class="mb-1 text-sm text-dim">
            {#each stringGates as g (g.id)}<span class="mr-3 whitespace-nowrap"
                >{g.id} <span class="num">{g.closed}/{g.of}</span></span
              >{/each} strings, on the <a class="underline" href="/sites/{site.siteId}/log">site log</a>
          </p>
          <ol>
            {#each shown as g (g.key)}
              <li>
                <button
                  type="button"
                  class="flex w-full items-center justify-between gap-2 border-t border-rule px-1 py-1.5 text-left {g.key ===
                  current?.key
                    ? 'bg-primary-100'
                    : ''}"
                  aria-current={g.key === current?.key ? 'step' : undefined}
                  onclick={() => (chosen = g.key)}
                >
                  <span><span class="num text-dim">{g.id}</span> {GATE_NAME[g.id]}</span><GateMark state={g.state} />
                </button>
              </li>
            {/each}
          </ol>
        </section>

        <div class="order-first space-y-4 md:order-none">
          {#if current && row}
            <section class="sheet border-t-4 border-t-primary-600 p-3" aria-labelledby="gate">
              <h2 id="gate">{GATE_NAME[current.id]} <span class="num font-normal text-dim">{current.id}</span></h2>
              <p class="mb-2">
                <GateMark state={current.state} />{#if current.waitsFor.length}
                  <span class="text-sm text-dim"
                    >waits for {current.waitsFor.slice(0, 6).map(named).join(', ')}{current.waitsFor.length > 6
                      ? ' …'
                      : ''}</span
                  >{/if}
              </p>
              {#if row.zone === 'live'}<Caution
                  >Live parts within reach: one hand, barrier the rest, meter proved before and after. Nobody with hands
                  inside meanwhile.</Caution
                >{/if}
              {#if row.zone === 'hands'}<Caution
                  >Locked off and proved dead first. Heavy parts: two people to 95 kg with four handles, three if
                  off-centre, gear above.</Caution
                >{/if}
              <div class="mt-2">
                {#if current.state === 'locked'}
                  <p>Locked until the gates above it are closed.</p>
                {:else if isClosed(current.state)}
                  <p>Closed. If the part was opened again, say so: every proof that rests on it goes stale.</p>
                  <button
                    type="button"
                    class="mt-2 border border-ink px-3 py-2"
                    disabled={sender.busy}
                    onclick={() => gate('reopened', 'opened again', null)}>It was opened again</button
                  >
                {:else if kind}
                  <p class="mb-1 text-sm text-dim">{FORMS[kind].title}. {row.evidence}.</p>
                  {#key `${current.key}${data.records.length}`}
                    <EditForm
                      schema={RECORD_VALUES[kind]}
                      value={{ ...FORMS[kind].blank }}
                      groups={[{ title: '', paths: Object.keys(FORMS[kind].blank) }]}
                      prefix="measure-{current.id}"
                      label="Record and sign"
                      save={measure}
                    />
                  {/key}
                {:else if current.id === 'I-ONGRID'}
                  <p>Closes by the order beside: power above 1 % of rating for five minutes.</p>
                {:else}
                  {#key current.key}<GateTick gate={row} busy={sender.busy} onrecord={gate} onwaive={waive} />{/key}
                {/if}
                {#if current.state === 'caution'}
                  <div class="mt-2 border-l-4 border-tight bg-paper p-2">
                    <label class="block text-sm text-dim"
                      >An electrician may accept this caution, with a reason<input
                        class="block w-full border border-rule bg-white px-2 py-2"
                        bind:value={acceptReason}
                      /></label
                    >
                    <button
                      type="button"
                      class="mt-2 border border-ink px-3 py-1.5"
                      disabled={sender.busy}
                      onclick={() => gate('accepted', 'caution accepted', acceptReason)}>Accept the caution</button
                    >
                  </div>
                {/if}
              </div>
            </section>
          {/if}
          {#if sender.verdict}<p class="border-l-4 border-ink bg-sheet px-3 py-2" role="status">
              On record: <VerdictMark verdict={sender.verdict} />
            </p>{/if}
          <Trouble problem={sender.problem} ondismiss={() => (sender.problem = null)} />

          <section class="sheet p-3" aria-labelledby="order">
            <h2 id="order">Usual order: AC breaker, then DC switches</h2>
            {#if step}
              <div class="my-2 border-2 border-ink p-3">
                <p class="text-sm text-dim">Step {steps.indexOf(step) + 1} of {steps.length} · {step.step.actor}</p>
                <p class="text-2xl font-bold">{step.step.action}</p>
                <p>Expect: {step.step.expect}</p>
                {#if step.state === 'locked'}
                  <ul class="mt-2 text-stop">
                    {#each step.blockedBy.slice(0, 5) as why (why)}<li>Not yet: {named(why)}.</li>{/each}
                  </ul>
                {:else}
                  <Caution
                    >Stand to the side, one switch at a time, look away, cover on. {type?.dischargeWaitS === undefined
                      ? ''
                      : `After switching off wait ${dischargeWaitS(type.dischargeWaitS)} s, then prove dead; strings and the AC line side stay live.`}</Caution
                  >
                  {#if leftS > 0}<p class="my-2" role="timer" aria-label="{leftS} seconds left">
                      <span class="num text-5xl">{leftS}</span> s left
                    </p>{/if}
                  <div class="mt-2 grid gap-2">
                    {#if STEP_READING[step.step.state]}
                      {@const wanted = STEP_READING[step.step.state]}
                      <label class="text-sm text-dim"
                        >{wanted?.label} [{wanted?.unit}]<input
                          class="num block w-full border border-rule bg-white px-2 py-2 text-lg text-ink"
                          type="number"
                          step="any"
                          bind:value={reading}
                        /></label
                      >
                    {/if}
                    <label class="text-sm text-dim"
                      >What was seen<input
                        class="block w-full border border-rule bg-white px-2 py-2 text-ink"
                        bind:value={seen}
                      /></label
                    >
                    <button
                      type="button"
                      class="bg-primary-700 px-4 py-3 text-lg font-bold text-white disabled:opacity-50"
                      disabled={sender.busy || leftS > 0 || seen.trim().length < 3}
                      onclick={confirm}>Done: confirm this step</button
                    >
                    {#if step.step.onFailure}<p class="text-sm text-dim">If not: {step.step.onFailure}</p>{/if}
                  </div>
                {/if}
              </div>
            {/if}
            <ol class="text-sm">
              {#each steps as s, i (s.step.step)}
                <li class="flex gap-2 border-t border-rule py-1 {s.state === 'locked' ? 'text-dim' : ''}">
                  <span class="num w-5 text-right">{i + 1}</span><span class="flex-1">{words(s.step.state)}</span>
                  <span class="num"
                    >{s.record ? `${when(s.record.doneAt)} ${s.record.values.reading ?? ''}` : s.state}</span
                  >
                </li>
              {/each}
            </ol>
            {#if onGrid && !signed}<button
                type="button"
                class="mt-2 w-full bg-holds px-4 py-3 text-lg font-bold text-white"
                disabled={sender.busy}
                onclick={sign}>Sign: {unit.tag} switched on</button
              >{/if}
            {#if signed}<p class="mt-2 border-l-4 border-holds px-3">
                Signed by {signed.by}, {signed.role}, {when(signed.doneAt)}{signed.instrument
                  ? `, with ${signed.instrument.name} ${signed.instrument.serial}`
                  : ''}.
              </p>{/if}
          </section>
        </div>
      </div>
    {/snippet}
    {#snippet side()}<MarginLedger {checks} title="Margins: readings of {unit.tag}" />{/snippet}
  </Stage>
{/if}
