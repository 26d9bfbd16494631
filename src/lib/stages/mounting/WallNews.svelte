<script lang="ts">
  import type { Check } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import type { Hung } from '$core/mounting/part';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import type { Preview } from './wallView';

  let {
    moving,
    preview,
    before,
    tag,
    ondrop,
    onback,
  }: {
    moving: Hung;
    preview: Preview;
    /** Checks as they stand now. */
    before: readonly Check[];
    tag: string;
    ondrop: () => void;
    onback: () => void;
  } = $props();

  const was = $derived(new Map(before.map((c) => [`${c.id}|${c.subject.id}`, c.verdict])));
  const changed = $derived(
    preview.checks.filter(
      (c) => was.has(`${c.id}|${c.subject.id}`) && was.get(`${c.id}|${c.subject.id}`) !== c.verdict,
    ),
  );
</script>

<div class="flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 border-ink bg-paper px-3 py-1 text-sm" role="status">
  <span class="num">{tag} at {moving.xMm}, {moving.yMm} mm</span>
  {#if preview.homeRunsM}<span
      >its home runs <b class="num">{fixed(preview.homeRunsM.from, 1)} → {fixed(preview.homeRunsM.to, 1)} m</b></span
    >{/if}
  {#each changed.slice(0, 4) as c (`${c.id}${c.subject.id}`)}
    <span>{c.subject.path}, {c.title.toLowerCase()}: <VerdictMark verdict={c.verdict} /></span>
  {:else}<span class="text-dim">no verdict changes</span>{/each}
  <button type="button" class="ml-auto underline" onclick={ondrop}>Let go here</button>
  <button type="button" class="underline" onclick={onback}>Take back</button>
</div>
