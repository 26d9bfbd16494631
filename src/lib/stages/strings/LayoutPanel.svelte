<script lang="ts">
  import { lineOf } from '$core/site/line';
  import { Button } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import type { InverterType } from '$core/equipment/inverterType';
  import { fixed } from '$core/kernel/quantity';
  import type { Lock } from '$core/strings/part';
  import { compareLayouts } from '$core/strings/layout/compare';
  import { lockWords } from '$core/strings/layout/explain';
  import { LEVELS } from '$core/strings/layout/objective';
  import { LayoutRun } from '$lib/client/layoutRun.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import TaskBar from '$lib/ui/TaskBar.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import FleetPanel from './FleetPanel.svelte';
  import LockForm from './LockForm.svelte';

  let { shelf }: { shelf: readonly InverterType[] } = $props();
  const site = useSite();
  const run = new LayoutRun();
  onDestroy(() => run.task.stop());
  const design = $derived(site.design);
  let limitS = $state(10);
  let listOpen = $state(false);
  const ready = $derived(design.planes.length > 0 && design.inverters.length > 0);
  const proposal = $derived(run.answer?.layout ?? null);
  const difference = $derived(proposal ? compareLayouts(design, design.strings, proposal.strings) : null);
  const progress = $derived(run.task.progress);
  const stale = $derived(proposal !== null && run.isStaleFor(design));

  const LEVEL_WORDS: Record<(typeof LEVELS)[number], [string, (v: number) => string]> = {
    unused: ['modules left over', (v) => fixed(v, 0)],
    balanceBand: ['bands of 5 points out of balance', (v) => fixed(v, 0)],
    distinctLengths: ['different lengths', (v) => fixed(v, 0)],
    homeRunM: ['home runs, both poles', (v) => `${fixed(v, 0)} m`],
    lengthSpread: ['spread of lengths', (v) => fixed(v, 0)],
    doubled: ['strings doubled on trackers', (v) => fixed(v, 0)],
  };
  const proved = (level: (typeof LEVELS)[number]) =>
    proposal !== null &&
    proposal.objective[level] - proposal.bound[level] <= 1e-6 * Math.max(1, proposal.objective[level]);

  async function take() {
    if (!proposal || stale || proposal.violations.length) return;
    const problem = await site.apply({ kind: 'strings', strings: [...proposal.strings] });
    if (!problem) run.dismiss();
  }
  const release = (lock: Lock) => site.apply({ kind: 'unlock', lock });
</script>

<section class="sheet p-3" aria-labelledby="layout-title">
  <header class="flex flex-wrap items-end gap-3">
    <h2 id="layout-title" class="mr-auto">Best layout</h2>
    <Choice
      label="Time at most"
      choices={[5, 10, 30, 60].map((s) => ({ value: s, name: `${s} s` }))}
      bind:value={limitS}
    />
    <Button size="sm" disabled={!ready || run.task.running} onclick={() => run.start(design, limitS)}
      >Find the best layout</Button
    >
  </header>
  <p class="mt-1 max-w-prose text-sm text-dim">
    In this order: every module used, DC/AC balanced, few different lengths, short home runs, even lengths, few doubled
    trackers. Nothing changes until you take it over; locked strings stay.
  </p>

  <TaskBar
    task={run.task}
    name="Search for the best layout"
    share={Math.min(1, (progress?.secondsUsed ?? 0) / run.limitS)}
  >
    {#if progress}{progress.doing}: {LEVEL_WORDS[progress.level as keyof typeof LEVEL_WORDS][0]}. Best so far {fixed(
        progress.objective.unused,
        0,
      )} left over, {fixed(progress.objective.homeRunM, 0)} m of home runs, {fixed(progress.secondsUsed, 1)} s.{:else}Starting
      …{/if}
  </TaskBar>
  {#if run.answer && !run.answer.layout && run.answer.missing.length}
    <p role="alert" class="mt-2">Missing: {run.answer.missing.join(', ')}.</p>
  {/if}
  {#if run.answer && !run.answer.layout && !run.answer.missing.length && !run.answer.conflict}
    <p role="alert" class="mt-2">
      No layout that keeps every wish was found in {run.limitS} s, and none was proved impossible. Give more time, or release
      a wish below.
    </p>
  {/if}
  {#if run.answer?.conflict}
    {@const c = run.answer.conflict}
    <div class="mt-2 border-l-4 border-tight bg-paper px-3 py-2" role="alert">
      <p class="font-semibold">{c.sentence}</p>
      {#if c.release.length}
        <p class="text-sm">What would release it:</p>
        <ul class="list-disc pl-5 text-sm">
          {#each c.release as r (r)}<li>{r}</li>{/each}
        </ul>
      {/if}
    </div>
  {/if}

  {#if proposal && difference}
    <div class="mt-3 border-t-2 border-ink pt-2" data-testid="proposal">
      <p class="font-semibold">
        {#if proposal.proof === 'optimal'}Proved best{:else}Within {fixed(proposal.gap?.percent ?? 0, 2)} % on “{LEVEL_WORDS[
            proposal.gap?.level ?? 'unused'
          ][0]}”{/if}, found in {fixed(proposal.secondsUsed, 1)} s{proposal.breadth === 'legal'
          ? '; lengths outside the full-power range are used because they leave fewer modules over'
          : ''}.
      </p>
      <div class="mt-2 grid gap-4">
        <table class="grid-table text-sm">
          <thead
            ><tr><th scope="col">What counts</th><th scope="col">Found</th><th scope="col">No better than</th></tr
            ></thead
          >
          <tbody>
            {#each LEVELS as level (level)}
              <tr
                ><th scope="row" class="font-normal">{LEVEL_WORDS[level][0]}</th><td class="num whitespace-nowrap"
                  >{LEVEL_WORDS[level][1](proposal.objective[level])}</td
                ><td class="num whitespace-nowrap"
                  >{proved(level) ? 'proved' : LEVEL_WORDS[level][1](proposal.bound[level])}</td
                ></tr
              >
            {/each}
          </tbody>
        </table>
        <div>
          <h3>Against the board: {difference.strings.length} strings differ</h3>
          {#if difference.units.length}
            <table class="grid-table text-sm">
              <thead
                ><tr
                  ><th scope="col">Unit</th><th scope="col">Strings now → found</th><th scope="col"
                    >DC/AC now → found</th
                  ></tr
                ></thead
              >
              <tbody>
                {#each difference.units.slice(0, 12) as u (u.inverterId)}
                  <tr
                    ><th scope="row">{u.tag}</th><td class="num">{u.stringsA} → {u.stringsB}</td><td class="num"
                      >{fixed(100 * u.ratioA, 0)} → {fixed(100 * u.ratioB, 0)} %</td
                    ></tr
                  >
                {/each}
              </tbody>
            </table>
            {#if difference.units.length > 12}<p class="text-sm text-dim">
                and {difference.units.length - 12} more units
              </p>{/if}
          {/if}
          {#if difference.strings.length}
            <details class="text-sm" bind:open={listOpen}>
              <summary class="cursor-pointer">Every string that differs</summary>
              {#if listOpen}<ul class="max-h-48 overflow-y-auto">
                  {#each difference.strings as s, i (i)}<li class="num">{s.number}: {s.what}</li>{/each}
                </ul>{/if}
            </details>
          {:else}<p class="text-sm">Nothing would move: the board already hangs like this.</p>{/if}
        </div>
      </div>
      {#each proposal.remaining as r (r.planeId)}
        <p class="mt-1 text-sm">
          {lineOf(design).planeLabel(r.planeId)}: <b class="num">{r.modules}</b> modules stay off; {r.reason}.
        </p>
      {/each}
      {#each proposal.violations as v, i (i)}<p role="alert" class="text-stop">{v.predicate} {v.text}</p>{/each}
      <div class="mt-2 flex items-center gap-3">
        <Button
          size="sm"
          disabled={stale || proposal.violations.length > 0 || !difference.strings.length}
          onclick={take}>Hang it like this</Button
        >
        <Button size="sm" color="alternative" onclick={() => run.dismiss()}>Leave it</Button>
        {#if stale}<span class="text-sm text-tight">The design changed since: search again.</span>{/if}
        <span class="text-sm text-dim"
          >Looked at by the independent verifier: {proposal.violations.length ? 'not legal' : 'legal'}.</span
        >
      </div>
    </div>
  {/if}

  <details class="mt-3">
    <summary class="cursor-pointer font-semibold">Locks and wishes ({design.locks.length})</summary>
    {#if design.locks.length}
      <ul class="mt-1 text-sm">
        {#each design.locks as lock (JSON.stringify(lock))}
          <li>
            {lockWords(design, lock)}
            <button type="button" class="ml-2 underline" onclick={() => release(lock)}>release</button>
          </li>
        {/each}
      </ul>
    {:else}<p class="text-sm text-dim">
        None. Pick a tag up and choose “Lock here”, or press L on a peg; other wishes below.
      </p>{/if}
    <LockForm {design} onlock={(lock) => site.apply({ kind: 'lock', lock })} />
  </details>
  <FleetPanel {shelf} />
</section>
