<script lang="ts">
  import { untrack } from 'svelte';
  import type { GateProof } from '$core/proving/evidence/proofs';
  import { REASON_MIN, isClosed, rankOf } from '$core/proving/gates/machine';
  import type { SiteDesign } from '$core/design';
  import type { EntrySubject } from '$core/proving/entry';
  import type { AnyKind } from '$core/proving/kind';
  import { kindOf, measuring, measuringBeside, opening } from '$core/proving/kinds';
  import { waitsForDry, wetTrouble } from '$core/proving/weather';
  import { inHand } from '$core/proving/zones';
  import { signOn } from '$lib/client/signOn.svelte';
  import { useLog } from '$lib/client/useLog.svelte';
  import Caution from '$lib/ui/Caution.svelte';
  import GateMark from '$lib/ui/GateMark.svelte';
  import GateTick from '$lib/ui/GateTick.svelte';
  import { GATE_NAME } from '$lib/ui/gateWords';
  import Words from '$lib/ui/form/Words.svelte';
  import EntryForm from './EntryForm.svelte';
  import { lineOfEntry } from './entryLine';
  import { named, when } from './words';

  let { proof, design, done }: { proof: GateProof; design: SiteDesign; done: () => void } = $props();
  const log = useLog();
  /** Of the gate that the card was opened for: an answer may come when another is on screen. */
  const leave = untrack(() => done);
  const gate = $derived(proof.gate);
  const subject = $derived({ scope: gate.scope, id: proof.object } as EntrySubject);
  const kind = $derived(measuring(gate.id));
  const readings = $derived(log.evidence.readings(gate.id, proof.object));
  const newest = $derived(readings.at(-1));
  const question = $derived(
    newest && kindOf(newest.by).question?.(newest.by.values, { design, subject, instrument: newest.by.instrument }),
  );
  const proved = $derived(isClosed(proof.state) && proof.state !== 'accepted' && proof.state !== 'waived');
  let again = $state(false);
  let unsaved = $state(false);
  let acceptReason = $state('');
  const held = $derived(inHand(log.evidence).find((w) => w.gate === gate.id && w.object === proof.object));
  const waits = $derived(waitsForDry(gate.id) ? wetTrouble(log.evidence) : null);
  /** Whoever leads may put down what somebody has in hand who is gone. */
  const leads = $derived(signOn.by !== '' && rankOf(signOn.role) >= rankOf('lead'));
  let goneReason = $state('');
  async function work(doing: 'begins' | 'ends', reason: string | null = null) {
    if (await log.add({ kind: 'work', subject, values: { gate: gate.id, doing }, reason })) goneReason = '';
  }

  async function tick(result: 'pass' | 'fail', evidence: string) {
    if (await log.add({ kind: 'gate', subject, values: { gate: gate.id, result, evidence } })) leave();
  }
  async function waive(reason: string, reviewDays: number) {
    const entryId = proof.state === 'failed' ? (newest?.by.id ?? null) : null;
    if (await log.add({ kind: 'waiver', subject, values: { gate: gate.id, entryId, reviewDays }, reason })) leave();
  }
  async function accept() {
    if (!newest) return;
    if (
      await log.add({
        kind: 'acceptance',
        subject,
        values: { gate: gate.id, entryId: newest.by.id },
        reason: acceptReason,
      })
    )
      leave();
  }
</script>

<!-- Readings of their own beside the one that closes the gate. -->
{#snippet besides(kinds: readonly AnyKind[])}
  {#each kinds.filter((k) => k.form?.(design, subject)) as beside (beside.kind)}
    <details class="my-2">
      <summary class="cursor-pointer text-sm underline">{beside.title}</summary>
      <EntryForm kind={beside} {subject} label="Record and sign" done={leave} />
    </details>
  {/each}
{/snippet}

<section class="sheet border-t-4 border-t-primary-600 p-3" aria-labelledby="gate">
  <h2 id="gate">{GATE_NAME[gate.id]} <span class="num font-normal text-dim">{gate.id}</span></h2>
  <p class="mb-2">
    <GateMark state={proof.state} />
    {#if proof.waitsFor.length}
      <span class="text-sm text-dim"
        >waits for {proof.waitsFor
          .slice(0, 6)
          .map((k) => named(k, design))
          .join(', ')}{proof.waitsFor.length > 6 ? ' …' : ''}</span
      >
    {/if}
    {#if proof.why}<span class="block text-sm">{named(proof.why, design)}</span>{/if}
  </p>
  {#if newest}<p class="mb-2 text-sm text-dim">
      Last: <span class="num">{when(newest.by.doneAt)}</span>
      {lineOfEntry(newest.by)} · {newest.by.by}
      {#if question}<span class="block border-l-4 border-tight pl-2 text-ink">{question}</span>{/if}
    </p>{/if}
  {#if gate.zone === 'live'}<Caution
      >Live parts within reach: one hand, barrier the rest, meter proved before and after. Nobody with hands inside
      meanwhile.</Caution
    >{/if}
  {#if waits}<p class="mt-2 text-sm text-stop">{waits}.</p>{/if}
  {#if gate.zone !== 'none' && (held || again || !isClosed(proof.state))}
    <div class="mt-2 text-sm">
      {#if held}In hand of {held.by} since <span class="num">{when(held.since).slice(11)}</span>.
        {#if held.by === signOn.by}<button
            type="button"
            class="underline"
            disabled={log.busy}
            onclick={() => work('ends')}>Put it down</button
          >{:else if leads}
          <details class="mt-1">
            <summary class="cursor-pointer underline">Put it down for {held.by}</summary>
            <Words label="Nobody has hands in there, and {held.by} was told: how you know" bind:value={goneReason} />
            <button
              type="button"
              class="mt-2 border border-ink px-3 py-1.5 disabled:opacity-50"
              disabled={log.busy || goneReason.trim().length < REASON_MIN}
              onclick={() => work('ends', goneReason)}>Put it down</button
            >
          </details>{/if}
      {:else}<button type="button" class="underline" disabled={log.busy} onclick={() => work('begins')}
          >Take it in hand</button
        >
        <span class="text-dim"
          >so that nobody works {gate.zone === 'live' ? 'with hands inside' : 'live'} on this unit meanwhile</span
        >{/if}
    </div>
  {/if}
  <div class="mt-3">
    {#if kind?.kind === 'step'}
      <p class="text-sm">Closes with the order of switching on: its last step is the proof.</p>
    {:else if kind}
      {@render besides(measuringBeside(gate.id))}
      {#if proof.state === 'locked'}<p class="text-sm text-dim">
          What it waits for comes first: a reading of now would prove nothing.
        </p>{:else if proved}<button
          type="button"
          class="mb-2 text-sm underline"
          aria-expanded={again}
          onclick={() => (again = !again)}>Measure it again</button
        >{/if}
      <!-- What is typed stays, whatever others record meanwhile. -->
      {#if unsaved || (proved ? again : proof.state !== 'locked')}<EntryForm
          {kind}
          {subject}
          label="Record and sign"
          done={leave}
          bind:unsaved
        />{/if}
      {@render besides(opening(gate.id))}
    {:else if proof.state !== 'passed'}
      {#key `${gate.id}|${log.madeHere('gate', subject)}`}<GateTick
          {gate}
          busy={log.busy}
          locked={proof.state === 'locked' || proof.waitsFor.length > 0}
          onrecord={tick}
        />{/key}
    {/if}
    {#if gate.waiver !== 'never' && (proof.state === 'failed' || (readings.length === 0 && !isClosed(proof.state)))}
      {#key `waive|${gate.id}|${log.madeHere('waiver', subject)}`}<GateTick
          {gate}
          busy={log.busy}
          onwaive={waive}
        />{/key}
    {:else if gate.waiver === 'never' && !isClosed(proof.state)}
      <p class="mt-2 text-sm text-dim">Can never be waived.</p>
    {/if}
    {#if proof.state === 'caution'}
      <div class="mt-2 border-l-4 border-tight bg-paper p-2">
        <Words label="An electrician may accept this very reading, with a reason" bind:value={acceptReason} />
        <button type="button" class="mt-2 border border-ink px-3 py-1.5" disabled={log.busy} onclick={accept}
          >Accept the caution</button
        >
      </div>
    {/if}
  </div>
</section>
