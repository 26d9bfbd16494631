<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onDestroy, untrack } from 'svelte';
  import type { SiteDesign } from '$core/design';
  import type { Answer } from '$core/kernel/answer';
  import { fixed } from '$core/kernel/quantity';
  import { RECEIVER_V } from '$core/links/line/budget';
  import { busResult } from '$core/links/results';
  import type { ChainScope } from '$core/links/wave/chainScope';
  import type { FaultCase } from '$core/links/wave/faultCase';
  import { MOST_FAULTS, faultCaseSchema, faultCasesSchema } from '$core/links/wave/faultCase';
  import { MARK_OF } from '$core/links/wave/heard';
  import { LongTask } from '$lib/client/longTask.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import TaskBar from '$lib/ui/TaskBar.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { chosenBus } from './chosenBus';
  import FaultRow from './FaultRow.svelte';
  import ScopeTrace from './ScopeTrace.svelte';

  const site = useSite();
  const design = $derived(site.design);
  const bus = $derived(chosenBus(design.chain));
  const pairs = $derived(busResult(design, bus).segments);
  let wanted = $state(1);
  /** Which pair of the bus, counted at its repeaters. */
  const segment = $derived(Math.min(wanted, pairs.length));
  const devices = $derived(pairs[segment - 1]?.chain.devices ?? []);
  const AS_PLANNED = faultCaseSchema.parse({});
  let faults = $state.raw<readonly FaultCase[]>([AS_PLANNED]);
  const parsed = $derived(faultCasesSchema.safeParse(faults));
  const task = new LongTask();
  onDestroy(() => task.stop());
  interface Asked {
    readonly of: SiteDesign;
    readonly bus: number;
    readonly segment: number;
    readonly faults: readonly FaultCase[];
  }
  const asked = $derived<Asked>({ of: design, bus, segment, faults });
  let looked = $state.raw<(Asked & { found: Answer<ChainScope> }) | null>(null);
  const same = (a: Asked, b: Asked) => a.of === b.of && a.bus === b.bus && a.segment === b.segment;
  /** What stands on the scope while the next is worked out, too. */
  const found = $derived(looked && same(looked, asked) ? looked.found : null);
  const scope = $derived(found?.value ?? null);
  const stale = $derived(looked !== null && (looked.faults !== faults || !same(looked, asked)));
  const spread = $derived.by(() => {
    const volts = scope?.channels.flatMap((c) => [...c.traces.weak, ...c.traces.strong].map(([, v]) => v)) ?? [];
    const lowV = volts.reduce((a, b) => Math.min(a, b), -1);
    const highV = volts.reduce((a, b) => Math.max(a, b), 1);
    return { lowV: lowV - 0.05 * (highV - lowV), highV: highV + 0.05 * (highV - lowV) };
  });
  const rate = (bits: number | null) => (bits === null ? 'none' : `${bits / 1000} kbit/s`);

  async function look(now: Asked) {
    const { of, ...which } = now;
    const answer = await task.run<Answer<ChainScope>>(
      async ({ work, onProgress }) => await work.scope(of, { ...which, faults: [...which.faults] }, onProgress),
    );
    if (answer) looked = { ...now, found: answer };
  }
  /** The scope is on as long as the page is: what changed is looked at again. */
  $effect(() => {
    const now = asked;
    if (parsed.success) untrack(() => void look(now));
    return () => task.stop();
  });
</script>

<section class="sheet p-3" aria-labelledby="scope" aria-busy={task.running}>
  <div class="flex flex-wrap items-end gap-3">
    <h2 id="scope" class="mr-auto">What each device hears</h2>
    {#if pairs.length > 1}
      <div class="flex gap-1" role="group" aria-label="Pair of the bus">
        {#each pairs as pair (pair.segment)}
          <button
            type="button"
            class="border px-2 py-1 text-sm {pair.segment === segment ? 'border-ink bg-ink text-paper' : 'border-rule'}"
            aria-pressed={pair.segment === segment}
            onclick={() => (wanted = pair.segment ?? 1)}>Segment {pair.segment}</button
          >
        {/each}
      </div>
    {/if}
    {#if faults.length < MOST_FAULTS && faults.every((f) => f.kind !== 'none')}
      <Button size="xs" color="alternative" onclick={() => (faults = [...faults, AS_PLANNED])}>One more fault</Button>
    {/if}
  </div>
  <div class="space-y-1">
    {#each faults as fault, i (i)}
      <FaultRow
        {fault}
        place={i}
        taken={faults.filter((_, k) => k !== i).map((f) => f.kind)}
        {devices}
        onchange={(next) => (faults = faults.with(i, next))}
        onremove={faults.length > 1 ? () => (faults = faults.filter((_, k) => k !== i)) : null}
      />
    {/each}
  </div>
  <TaskBar {task} share={task.progress} name="Sending waves" />
  {#if stale && !task.running && parsed.success}
    <Button size="xs" onclick={() => look(asked)}>Look again</Button>
  {/if}

  <div aria-live="polite">
    {#if scope}
      <dl class="my-2 flex flex-wrap gap-x-6 gap-y-1" class:opacity-50={stale}>
        <div class="flex gap-2">
          <dt class="text-dim">Line at {scope.bitRate} bit/s</dt>
          <dd><VerdictMark verdict={MARK_OF[scope.verdict]} word={false} /> <b>{scope.verdict}</b></dd>
        </div>
        <div class="flex gap-2">
          <dt class="text-dim">All pass up to</dt>
          <dd><b class="num">{rate(scope.passesTo)}</b></dd>
        </div>
        <div class="flex gap-2">
          <dt class="text-dim">Rule</dt>
          <dd>
            <VerdictMark verdict={scope.broken.length ? 'stop' : 'holds'} word={false} />
            <b>{scope.broken.length ? scope.broken.join(', ') : 'wired as the standards ask'}</b>
          </dd>
        </div>
      </dl>
      {#if scope.broken.length && MARK_OF[scope.verdict] !== 'stop'}
        <p class="mb-2 border-l-4 border-tight pl-2">
          Works at {scope.bitRate} bit/s on paper, wiring not to rule: it may surface later, after a change of rate.
        </p>
      {/if}
      <p class="flex flex-wrap gap-x-4 text-sm text-dim">
        <span><i class="mr-1 inline-block h-0.5 w-5 bg-ink align-middle"></i>weak driver</span>
        <span><i class="mr-1 inline-block h-0.5 w-5 bg-primary-600 align-middle"></i>strong driver</span>
        <span
          ><i class="mr-1 inline-block h-3 w-5 bg-rule align-middle"></i>±{1000 * RECEIVER_V} mV: read by nobody</span
        >
        <span
          ><i class="mr-1 inline-block h-3 w-0 border-l-2 border-dashed border-tight align-middle"></i>sample of the
          first bit, where it is in the picture</span
        >
        <span class="num ml-auto"
          >{fixed(spread.lowV, 1)} to {fixed(spread.highV, 1)} V, 0 to {fixed(scope.spanUs, 1)} µs</span
        >
      </p>
      <div class="overflow-x-auto" class:opacity-50={stale}>
        <table class="grid-table w-full">
          <thead>
            <tr>
              <th scope="col">Device</th>
              <th scope="col" class="w-1/2">{scope.asker} sends</th>
              <th scope="col">Worst</th>
              <th scope="col" class="fig">Eye</th>
              <th scope="col" class="fig">Settles in</th>
              <th scope="col" class="fig">Passes to</th>
            </tr>
          </thead>
          <tbody>
            {#each scope.channels as c (c.device)}
              <tr class="[&>*]:align-middle">
                <th scope="row" class="whitespace-nowrap">{c.label}</th>
                <td class="min-w-56">
                  <ScopeTrace
                    channel={c}
                    spanUs={scope.spanUs}
                    {...spread}
                    thresholdV={RECEIVER_V}
                    sampleUs={c.heard.firstUs + 5e5 / scope.bitRate}
                  />
                </td>
                <td class="whitespace-nowrap">
                  <VerdictMark verdict={MARK_OF[c.heard.verdict]} word={false} />
                  {c.heard.verdict}
                  <span class="block text-sm whitespace-nowrap text-dim"
                    >{c.way === 'out' ? 'hears' : 'is heard'}, {c.corner}</span
                  >
                </td>
                <td class="fig">{fixed(c.heard.eyeV, 2)} V</td>
                <td class="fig">{fixed(c.heard.settleUs, 2)} µs</td>
                <td class="fig">{rate(c.passesTo)}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      <p class="mt-2 text-sm text-dim">
        Skin effect, the release of an idle pair and noise are left out, the two drivers are assumed. A fail names a
        weakness at one of them; a pass means that no reason was found on paper.
      </p>
    {:else if found}
      <p class="mt-1">Missing: {found.missing.join(', ')}.</p>
    {:else if !task.running && task.failure}
      <p class="mt-1">{task.failure}</p>
    {:else}
      <p class="mt-1 text-dim">The wave that each device sees stands here.</p>
    {/if}
  </div>
</section>
