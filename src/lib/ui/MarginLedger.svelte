<script lang="ts">
  import type { Check, Verdict } from '$core/kernel/check';
  import { VERDICT_ORDER, mostUrgent } from '$core/kernel/check';
  import { fixed, formatQuantity } from '$core/kernel/quantity';
  import VerdictMark from './VerdictMark.svelte';

  let { checks, title = 'Margin ledger' }: { checks: readonly Check[]; title?: string } = $props();

  const STEP = 40;
  let shown = $state(STEP);
  let only = $state<Verdict | null>(null);
  const counts = $derived.by(() => {
    const seen: Record<Verdict, number> = { stop: 0, unknown: 0, tight: 0, holds: 0 };
    for (const c of checks) seen[c.verdict] += 1;
    return seen;
  });
  const wanted = $derived(only ? checks.filter((c) => c.verdict === only) : checks);
  const rows = $derived(withKeys(mostUrgent(wanted, shown)));

  /** Far from the limit the digits say nothing: an insulation reading may lie a hundred times above. */
  const marginWords = (c: Check) =>
    c.margin === null ? c.verdict : c.margin > 999 ? '> 999 %' : `${fixed(c.margin, 1)} %`;

  /** A key that stays with a check while others come and go; readings may repeat a check on one part. */
  function withKeys(list: readonly Check[]) {
    const seen = new Map<string, number>();
    return list.map((check) => {
      const name = `${check.id}|${check.subject.path}`;
      const times = (seen.get(name) ?? 0) + 1;
      seen.set(name, times);
      return { key: `${name}|${times}`, check };
    });
  }
</script>

<section aria-label={title} class="sheet flex flex-col">
  <header class="border-b-2 border-ink px-3 py-2">
    <h2>{title}</h2>
    <div class="mt-1 flex flex-wrap gap-x-3 gap-y-1 text-sm" role="group" aria-label="Show only">
      {#each VERDICT_ORDER as v (v)}
        <button
          type="button"
          class="inline-flex items-center gap-1 {only === v ? 'underline' : ''}"
          aria-pressed={only === v}
          onclick={() => (only = only === v ? null : v)}
        >
          <VerdictMark verdict={v} /> <span class="num">{counts[v]}</span>
        </button>
      {/each}
    </div>
  </header>
  {#if checks.length === 0}
    <p class="px-3 py-4 text-dim">
      Nothing to judge here yet. Checks appear as soon as there is something to hold them against.
    </p>
  {:else}
    <ol class="max-h-[calc(100vh-14rem)] overflow-y-auto print:max-h-none">
      {#each rows as { key, check: c } (key)}
        <li class="border-b border-rule">
          <details class="group">
            <summary class="grid cursor-pointer list-none grid-cols-[auto_1fr_auto] gap-x-2 px-3 py-1.5 hover:bg-paper">
              <span class="pt-0.5"><VerdictMark verdict={c.verdict} word={false} /></span>
              <span class="min-w-0">
                <span class="block leading-tight">{c.title}</span>
                <span class="block truncate text-sm text-dim">{c.subject.path}</span>
              </span>
              <span class="text-right">
                <span class="num block">{marginWords(c)}</span>
                {#if c.value !== null}<span class="num block text-dim">{formatQuantity(c.value, c.unit)}</span>{/if}
              </span>
            </summary>
            <div class="space-y-1 bg-paper px-3 py-2 text-sm">
              {#if c.value !== null && c.limit !== null}<p class="num">
                  {formatQuantity(c.value, c.unit)} against {formatQuantity(c.limit, c.unit)}
                </p>{/if}
              {#each c.working as line, i (i)}<p class="num break-words">{line}</p>{/each}
              <p class="text-dim">
                Basis: {c.basis.source}{c.basis.recalled ? ' · recalled from memory, look it up before release' : ''}
              </p>
            </div>
          </details>
        </li>
      {/each}
    </ol>
    {#if wanted.length > shown}
      <button
        type="button"
        class="px-3 py-2 text-left font-semibold text-primary-700 underline"
        onclick={() => (shown += STEP * 5)}>Show more ({wanted.length - shown} left)</button
      >
    {/if}
  {/if}
</section>
