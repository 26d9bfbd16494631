<script lang="ts">
  import type { Check } from '$core/kernel/check';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { checks }: { checks: readonly Check[] } = $props();
  /** What has a figure, or does not hold; the rest asks nothing of this lift. */
  const shown = $derived(checks.filter((c) => c.value !== null || c.verdict !== 'holds'));
  const unused = $derived([
    ...new Set(checks.flatMap((c) => (c.value === null && c.verdict === 'holds' ? c.working : []))),
  ]);
</script>

<dl class="mt-1 border-t border-rule" aria-label="What the plan of the lift says">
  {#each shown as check (check.id)}
    <div class="grid gap-x-3 border-b border-rule py-1 sm:grid-cols-[15rem_1fr]">
      <dt class="flex flex-wrap items-baseline gap-x-2"><VerdictMark verdict={check.verdict} /> {check.title}</dt>
      <dd class="num text-sm">{check.working.join('; ')}</dd>
    </div>
  {/each}
</dl>
{#if unused.length}<p class="text-sm text-dim">Of no account here: {unused.join(', ')}.</p>{/if}
