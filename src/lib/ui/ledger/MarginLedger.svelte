<script lang="ts">
  import { page } from '$app/state';
  import type { Check, Verdict } from '$core/kernel/check';
  import { VERDICT_ORDER, mostUrgent } from '$core/kernel/check';
  import { jumpHref } from '$lib/client/jump';
  import { marginWords } from '$lib/ui/marginWords';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import Find from '$lib/ui/form/Find.svelte';
  import CheckPlace from './CheckPlace.svelte';
  import CheckWorking from './CheckWorking.svelte';
  import type { RuleGroup } from './groups';
  import { groupedByRule, isMeant, wordsOf } from './groups';

  let { checks, title = 'Margin ledger' }: { checks: readonly Check[]; title?: string } = $props();

  /** Places of a rule shown at first, and with every click more. */
  const STEP = 25;
  let more = $state<Record<string, number>>({});
  let open = $state<Record<string, boolean>>({});
  let only = $state<Verdict | null>(null);
  let typed = $state('');
  const words = $derived(wordsOf(typed));
  const counts = $derived.by(() => {
    const seen: Record<Verdict, number> = { stop: 0, unknown: 0, tight: 0, holds: 0 };
    for (const c of checks) seen[c.verdict] += 1;
    return seen;
  });
  const wanted = $derived(
    only === null && words.length === 0
      ? checks
      : checks.filter((c) => (only === null || c.verdict === only) && isMeant(c, words)),
  );
  const groups = $derived(groupedByRule(wanted));
  const shownOf = (g: RuleGroup) => STEP + (more[g.id] ?? 0);
  /** A key that stays with a place while others come and go; readings may repeat a check on one part. */
  function keyed(list: readonly Check[]) {
    const seen = new Map<string, number>();
    return list.map((check) => {
      const times = (seen.get(check.subject.path) ?? 0) + 1;
      seen.set(check.subject.path, times);
      return { key: `${check.subject.path}|${times}`, check };
    });
  }
  const hrefOf = (c: Check) => (page.params['id'] ? jumpHref(page.params['id'], page.url.pathname, c.subject) : null);
</script>

<section aria-label={title} class="sheet flex flex-col">
  <header class="border-b-2 border-ink px-3 py-1.5">
    <h2 class="text-base">{title}</h2>
    <div class="mt-0.5 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm" role="group" aria-label="Show only">
      {#each VERDICT_ORDER as v (v)}
        <button
          type="button"
          class="inline-flex items-center gap-1 {only === v ? 'underline underline-offset-4' : ''}"
          aria-pressed={only === v}
          onclick={() => (only = only === v ? null : v)}
        >
          <VerdictMark verdict={v} /> <span class="num">{counts[v]}</span>
        </button>
      {/each}
    </div>
    {#if checks.length > 8}<div class="mt-1">
        <Find label="Find in {title}" placeholder="Find a rule or a place" width="w-full" bind:value={typed} />
      </div>{/if}
  </header>
  {#if checks.length === 0}
    <p class="px-3 py-4 text-dim">
      Nothing to judge here yet. Checks appear as soon as there is something to hold them against.
    </p>
  {:else if groups.length === 0}
    <p class="px-3 py-4 text-dim">None of {checks.length} checks is like that.</p>
  {:else}
    <ol class="max-h-[calc(100vh-15rem)] overflow-y-auto print:max-h-none">
      {#each groups as g (g.id)}
        <li class="border-b border-rule">
          <details bind:open={() => open[g.id] ?? false, (is) => (open[g.id] = is)}>
            <summary
              class="grid cursor-pointer list-none grid-cols-[auto_minmax(0,1fr)_auto] items-baseline gap-x-2 px-3 py-1.5 hover:bg-paper"
            >
              <VerdictMark verdict={g.worst.verdict} word={false} />
              <span class="min-w-0 leading-tight"
                ><span class="block">{g.title}</span>
                <span class="block truncate text-sm text-dim"
                  >{#if g.checks.length === 1}{g.worst.subject.path}{:else}<span class="num">{g.checks.length}</span>
                    places, worst {g.worst.subject.path}{/if}</span
                ></span
              >
              <span class="num text-right">{marginWords(g.worst)}</span>
            </summary>
            {#if open[g.id] && g.checks.length === 1}
              <CheckWorking check={g.worst} href={hrefOf(g.worst)} />
            {:else if open[g.id]}
              <ul class="border-t border-rule pb-1">
                {#each keyed(mostUrgent(g.checks, shownOf(g))) as { key, check }, i (key)}
                  <li><CheckPlace {check} href={hrefOf(check)} open={i === 0} /></li>
                {/each}
              </ul>
              {#if g.checks.length > shownOf(g)}
                <button
                  type="button"
                  class="px-6 pb-2 text-left text-sm font-semibold text-primary-700 underline"
                  onclick={() => (more[g.id] = (more[g.id] ?? 0) + STEP * 4)}
                  >Show more ({g.checks.length - shownOf(g)} left)</button
                >
              {/if}
            {/if}
          </details>
        </li>
      {/each}
    </ol>
  {/if}
</section>
