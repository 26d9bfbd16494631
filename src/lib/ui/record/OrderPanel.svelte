<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import type { SiteDesign } from '$core/design';
  import { gridWindow } from '$core/site/gridCodes';
  import { lineOf } from '$core/site/line';
  import { STEP } from '$core/proving/kinds/step';
  import { dischargeWaitS, leastWaitS, stepFields } from '$core/proving/order/stepReadings';
  import type { OrderName } from '$core/proving/tables/energiseOrders';
  import { ORDER_NAMES, ORDER_SHORT, ORDER_TITLES, isOff, stepsOf } from '$core/proving/tables/energiseOrders';
  import { notNow } from '$core/proving/zones';
  import { useLog } from '$lib/client/useLog.svelte';
  import { OrderClock } from '$lib/client/orderClock.svelte';
  import Caution from '$lib/ui/Caution.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Words from '$lib/ui/form/Words.svelte';
  import { named, stepWords, when } from './words';

  let { unitId, design, done }: { unitId: string; design: SiteDesign; /** A step is on record. */ done: () => void } =
    $props();
  const log = useLog();
  const clock = new OrderClock();
  const proof = $derived(log.evidence.unit(unitId));
  const run = $derived(proof.run);
  /** The order that is going on, else the one that was picked. */
  let picked = $state<OrderName | null>(null);
  $effect(() => {
    void unitId;
    untrack(() => (picked = null));
  });
  /** The way in which it is being switched off; AC first while that is open. */
  const begun = $derived(run.isolating && run.off.some((s) => s.state === 'DC_OPEN_FIRST') ? 'off-dc' : 'off');
  /** A unit that has to be switched off opens on that. */
  const order = $derived<OrderName>(
    picked !== null && isOff(picked)
      ? picked
      : run.isolating || (picked === null && proof.switchOff)
        ? begun
        : (run.order ?? picked ?? '1'),
  );
  /** DC first stands among the ways off where the sheet of the unit allows it, or where it was begun. */
  const orders = $derived(
    ORDER_NAMES.filter(
      (name) => name !== 'off-dc' || begun === 'off-dc' || lineOf(design).unit(unitId)?.type.dcOpensFirst === true,
    ),
  );
  const next = $derived(log.evidence.next(unitId, order));
  const held = $derived(isOff(order) || !next ? null : notNow(unitId, next.state, log.evidence));
  const lost = $derived([...(next?.lost ?? []), ...(held === null ? [] : [held])]);
  const steps = $derived(stepsOf(order));
  const step = $derived(steps.find((s) => s.state === next?.state));
  const made = $derived(isOff(order) ? (run.isolating ? run.off : []) : run.done);
  const byState = $derived(
    new Map(
      log.entries
        .filter(STEP.is)
        .filter((e) => made.some((d) => d.id === e.id))
        .map((e) => [e.values.state, e]),
    ),
  );
  const fields = $derived(step ? stepFields(step.state, { design, unitId }) : []);
  const waitS = $derived(step ? leastWaitS(step, { design, unitId }) : 0);
  const grid = $derived(step?.state === 'GRID_WAIT');
  /** The step that stands open before somebody. Whatever else comes to the record leaves it, and what was typed for it, as it is. */
  const opened = $derived(`${unitId}|${order}|${step?.state}|${made.length}|${lost.length === 0}`);
  $effect(() => {
    void opened;
    untrack(() => {
      readings = {};
      seen = '';
    });
  });
  $effect(() => clock.open(opened, grid ? gridWindow(design.survey).value : null));
  onMount(() => clock.start());
  const leftS = $derived(Math.max(0, Math.ceil((waitS ?? 0) - clock.waitedS)));
  let readings = $state<Record<string, number | null>>({});
  let seen = $state('');
  const tag = $derived(lineOf(design).tag(unitId));
  const label = $derived(lineOf(design).unit(unitId)?.type.dischargeWaitS ?? null);

  async function confirm() {
    if (!step) return;
    const typed = grid ? { ...readings, lineV: clock.lineV, frequencyHz: clock.frequencyHz } : readings;
    const given = Object.fromEntries(Object.entries(typed).filter(([, v]) => typeof v === 'number'));
    const values = {
      order,
      state: step.state,
      readings: given,
      waitedS: clock.waitedS,
      restarts: clock.restarts,
      seen,
    };
    if (await log.add({ kind: 'step', subject: { scope: 'inverter', id: unitId }, values })) done();
  }
</script>

<section class="sheet p-3" aria-labelledby="order">
  <h2 id="order">Switching {tag}: {ORDER_TITLES[order]}</h2>
  {#if proof.switchOff}
    <p class="my-2 border-4 border-stop bg-paper p-2 font-bold text-stop" role="alert">
      Switch off until proved: {named(proof.why.slice(0, 3).join('; '), design)}.
    </p>
  {/if}
  <div class="my-1 flex flex-wrap gap-1" role="group" aria-label="Order of switching">
    {#each orders as name (name)}
      <button
        type="button"
        class="border px-2 py-1 text-sm {order === name ? 'border-ink bg-ink text-paper' : 'border-rule'}"
        aria-pressed={order === name}
        disabled={!isOff(name) && (run.isolating || (run.order !== null && name !== run.order))}
        onclick={() => (picked = name)}>{ORDER_SHORT[name]}</button
      >
    {/each}
  </div>
  {#if run.stopped}<p class="my-2 border-l-4 border-stop bg-paper px-3 py-2">
      The order stopped: {named(run.stopped, design)}. Isolate the unit, prove it dead, and begin again.
    </p>{/if}
  {#if step && next}
    <div class="my-2 border-2 border-ink p-3">
      <p class="text-sm text-dim">Step {steps.indexOf(step) + 1} of {steps.length} · {step.actor}</p>
      <p class="text-2xl font-bold">{step.action}</p>
      {#if step.expect}<p>Expect: {step.expect}</p>{/if}
      {#if lost.length}
        <ul class="mt-2 text-stop">
          {#each lost.slice(0, 6) as why (why)}<li>Not yet: {named(why, design)}.</li>{/each}
        </ul>
      {:else}
        <Caution
          >Stand to the side, one switch at a time, look away, cover on. After switching off wait {dischargeWaitS(
            label,
          )} s, then prove dead; strings and the AC line side stay live.</Caution
        >
        {#if waitS === null}<p class="mt-2 text-stop">
            The grid code is not on the survey: its waiting time is unknown.
          </p>
        {:else if leftS > 0}<p class="my-2" role="timer" aria-label="{leftS} seconds left">
            <span class="num text-5xl">{leftS}</span> s left{clock.restarts
              ? `, restarted ${clock.restarts} ${clock.restarts === 1 ? 'time' : 'times'}`
              : ''}
          </p>{/if}
        {#if grid}<p class="text-sm text-dim">
            The wait runs while what the display shows stays in the window: enter it, and change it when it changes.
          </p>{/if}
        <div class="mt-2 grid gap-2">
          <div class="grid grid-cols-2 gap-2">
            {#each fields as field (field.key)}
              {#if grid && (field.key === 'lineV' || field.key === 'frequencyHz')}
                {@const key = field.key === 'lineV' ? 'lineV' : 'frequencyHz'}
                <Amount label={field.label} unit={field.unit} width="w-full" bind:value={clock[key]} />
              {:else}
                <Amount
                  label={field.label}
                  unit={field.unit}
                  width="w-full"
                  bind:value={() => readings[field.key] ?? null, (x) => (readings[field.key] = x)}
                />
              {/if}
            {/each}
          </div>
          <Words label="What was seen" bind:value={seen} />
          <button
            type="button"
            class="bg-primary-700 px-4 py-3 text-lg font-bold text-white disabled:opacity-50"
            disabled={log.busy || leftS > 0 || waitS === null || seen.trim().length < 3}
            onclick={confirm}>Done: confirm this step</button
          >
          {#if step.onFailure}<p class="text-sm text-dim">If not: {step.onFailure}</p>{/if}
        </div>
      {/if}
    </div>
  {/if}
  <ol class="text-sm">
    {#each steps as s, i (s.state)}
      {@const entry = byState.get(s.state)}
      <li class="flex gap-2 border-t border-rule py-1 {entry || s.state === step?.state ? '' : 'text-dim'}">
        <span class="num w-5 text-right">{i + 1}</span><span class="flex-1">{stepWords(s.state)}</span>
        <span class="num">{entry ? when(entry.doneAt) : s.state === step?.state ? 'next' : ''}</span>
      </li>
    {/each}
  </ol>
</section>
