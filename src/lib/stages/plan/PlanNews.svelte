<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import type { PlanState } from './planState.svelte';

  let { plan }: { plan: PlanState } = $props();
  const MOST = 3;
  const metres = (m: number | null) => (m === null ? 'unknown' : `${fixed(m, 1)} m`);
  const held = $derived(plan.held);
  const news = $derived(plan.news);
</script>

{#if held}
  <div
    class="flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 border-ink bg-paper px-3 py-1 text-sm"
    role="status"
    data-testid="plan-news"
  >
    <span class="num"
      >{held.thing.label} at {fixed(held.to.xM, 2)}, {fixed(held.to.yM, 2)}, {fixed(held.to.zM, 2)} m</span
    >
    {#if news === null}<span class="text-dim">looking what changes …</span>{:else}
      {#each news.lengths.slice(0, MOST) as { length, fromM, toM } (`${length.kind}${length.id}`)}
        <span>{length.from} to {length.to} <b class="num">{metres(fromM)} → {metres(toM)}</b></span>
      {:else}<span class="text-dim">no length changes</span>{/each}
      {#if news.lengths.length > MOST}<span class="text-dim">and {news.lengths.length - MOST} more</span>{/if}
      {#each news.checks.slice(0, MOST) as { check, was } (`${check.id}${check.subject.path}`)}
        <span
          >{check.subject.path}, {check.title.toLowerCase()}: <VerdictMark verdict={was.verdict} /> → <VerdictMark
            verdict={check.verdict}
          /></span
        >
      {:else}<span class="text-dim">no verdict changes</span>{/each}
      {#if news.checks.length > MOST}<span class="text-dim">and {news.checks.length - MOST} more</span>{/if}
    {/if}
    <button type="button" class="ml-auto underline" onclick={() => plan.letGo()}>Let go here</button>
    <button type="button" class="underline" onclick={() => plan.takeBack()}>Take back</button>
  </div>
{/if}
