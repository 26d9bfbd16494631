<script lang="ts">
  import { untrack } from 'svelte';
  import type { GateId } from '$core/proving/gates/machine';
  import { isClosed } from '$core/proving/gates/machine';
  import type { EntrySubject } from '$core/proving/entry';
  import { SIGNATURE } from '$core/proving/kinds/signature';
  import { useLogOf } from '$lib/client/logState.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import GateMark from '$lib/ui/GateMark.svelte';
  import { GATE_NAME } from '$lib/ui/gateWords';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import NotReleased from '$lib/ui/NotReleased.svelte';
  import DangerForm from '$lib/ui/record/DangerForm.svelte';
  import GateCard from '$lib/ui/record/GateCard.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';
  import OrderPanel from '$lib/ui/record/OrderPanel.svelte';
  import { when } from '$lib/ui/record/words';
  import SignOnCard from '$lib/ui/SignOnCard.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const log = useLogOf(() => data);
  const design = $derived(log.current?.design);
  const proofs = $derived([...log.evidence.gates].map(([key, g]) => ({ key, ...g })));
  /** Opens at the first unit that is not on grid yet, and stays where the crew is when it comes on. */
  const firstWaiting = () => {
    const units = log.current?.design.inverters ?? [];
    return (units.find((i) => !log.evidence.closed('I-ONGRID', i.id)) ?? units[0])?.id ?? '';
  };
  let unitId = $state(untrack(firstWaiting));
  let chosen = $state('');
  const unit = $derived(design?.inverters.find((i) => i.id === unitId) ?? design?.inverters[0]);
  const BEFORE: readonly GateId[] = ['S-DOC', 'S-SAFE', 'S-EARTH', 'S-SUPPLY', 'S-PTO'];
  const AFTER: readonly GateId[] = ['S-BUS', 'S-METER', 'S-ESTOP', 'S-SOAK', 'S-PERF', 'S-HAND'];
  const ofSite = (ids: readonly GateId[]) => proofs.filter((g) => g.object === 'site' && ids.includes(g.gate.id));
  const shown = $derived(
    [
      ...ofSite(BEFORE),
      ...proofs.filter((g) => g.gate.scope === 'inverter' && g.object === unit?.id),
      ...ofSite(AFTER),
    ].filter((g) => g.state !== 'n/a'),
  );
  const strings = $derived(new Set(design?.strings.filter((s) => s.place?.inverterId === unit?.id).map((s) => s.id)));
  const stringGates = $derived(
    (['D-ID', 'D-POL', 'D-VOC', 'D-IR', 'D-ISC'] as const).map((id) => {
      const own = proofs.filter((g) => g.gate.id === id && strings.has(g.object));
      return { id, closed: own.filter((g) => isClosed(g.state)).length, of: own.length };
    }),
  );
  const current = $derived(
    shown.find((g) => g.key === chosen) ??
      shown.find(
        (g) => ['open', 'failed', 'caution'].includes(g.state) || (g.state === 'stale' && g.waitsFor.length === 0),
      ) ??
      shown[0],
  );
  const checks = $derived(log.evidence.checks.filter((c) => c.subject.id === unit?.id || c.subject.id === 'site'));
  const running = $derived(unit ? log.evidence.unit(unit.id) : null);
  const onGrid = $derived(running?.run.done.some((d) => d.state === 'ON_GRID') ?? false);
  const signed = $derived(
    log.entries.filter(SIGNATURE.is).findLast((r) => r.subject.id === unit?.id && !log.evidence.notes.has(r.id)),
  );
  const sign = () =>
    unit &&
    log.add({
      kind: 'signature',
      subject: { scope: 'inverter', id: unit.id },
      values: { statement: 'Switched on in order and left feeding.' },
    });
  const subjects = $derived([
    ...(unit ? [{ subject: { scope: 'inverter', id: unit.id } as EntrySubject, name: unit.tag }] : []),
    { subject: { scope: 'site', id: 'site' } as EntrySubject, name: 'site' },
  ]);
</script>

{#if !design || !unit}
  <NotReleased />
{:else}
  <Stage>
    {#snippet main()}
      <SignOnCard />
      <LogStatus />
      <div class="flex flex-wrap gap-1" role="group" aria-label="Inverter">
        {#each design.inverters as i (i.id)}
          {@const state = log.evidence.unit(i.id)}
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
            {i.tag}{state.switchOff ? ' · switch off' : log.evidence.closed('I-ONGRID', i.id) ? ' · on grid' : ''}
          </button>
        {/each}
      </div>

      <div class="grid gap-4 md:grid-cols-2">
        <section class="sheet p-3" aria-labelledby="gates">
          <h2 id="gates">Gates of {unit.tag}</h2>
          <p class="mb-1 flex flex-wrap gap-x-3 text-sm text-dim">
            {#each stringGates as g (g.id)}<span class="whitespace-nowrap"
                >{g.id} <span class="num">{g.closed}/{g.of}</span></span
              >{/each}
            <span>strings, on the <a class="underline" href="/sites/{site.siteId}/log">site log</a></span>
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
                  <span><span class="num text-dim">{g.gate.id}</span> {GATE_NAME[g.gate.id]}</span><GateMark
                    state={g.state}
                  />
                </button>
              </li>
            {/each}
          </ol>
        </section>

        <div class="order-first space-y-4 md:order-none">
          {#if current}{#key current.key}<GateCard proof={current} {design} done={() => (chosen = '')} />{/key}{/if}
          <OrderPanel unitId={unit.id} {design} />
          {#if onGrid && !signed}<button
              type="button"
              class="w-full bg-holds px-4 py-3 text-lg font-bold text-white"
              disabled={log.busy}
              onclick={sign}>Sign: {unit.tag} switched on</button
            >{/if}
          {#if signed}<p class="border-l-4 border-holds px-3">
              Signed by {signed.by}, {signed.role}, {when(signed.doneAt)}.
            </p>{/if}
          <DangerForm {subjects} />
        </div>
      </div>
    {/snippet}
    {#snippet side()}<MarginLedger {checks} title="Margins: readings of {unit.tag}" />{/snippet}
  </Stage>
{/if}
