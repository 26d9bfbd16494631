<script lang="ts">
  import type { ElementSummary } from '$core/design/assess';
  import type { LineElement } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import { stageOf } from '$lib/stages/stages';
  import VerdictMark from './VerdictMark.svelte';

  let { line, siteId, here }: { line: readonly ElementSummary[]; siteId: string; here: string } = $props();

  const NAME: Readonly<Record<LineElement, string>> = {
    module: 'Module',
    string: 'String',
    tracker: 'Tracker',
    inverter: 'Inverter',
    lug: 'Lug',
    run: 'Run',
    board: 'Board',
    grid: 'Grid',
    chain: 'Chain',
  };
  const margin = (e: ElementSummary) =>
    e.checks === 0
      ? 'nothing yet'
      : e.smallest?.margin == null
        ? `${e.checks} checks`
        : `${fixed(e.smallest.margin, 1)} % left`;
</script>

<nav aria-label="The line from module to grid" class="no-print relative overflow-x-auto">
  <ol class="flex min-w-max items-stretch">
    {#each line as e, i (e.element)}
      <li class="flex items-stretch">
        {#if i > 0}
          <span class="my-auto h-0.5 w-3 {e.element === 'chain' ? 'bg-transparent' : 'bg-ink'}" aria-hidden="true"
          ></span>
        {/if}
        <a
          href="/sites/{siteId}/{stageOf(e.element)}"
          class="sheet flex w-[7.4rem] flex-col px-2 py-1 hover:border-ink {stageOf(e.element) === here
            ? 'border-b-4 border-b-primary-600'
            : ''}"
          title={e.smallest ? `${e.smallest.title}: ${e.smallest.subject.path}` : 'No check yet'}
        >
          <span class="flex items-center justify-between gap-1 text-sm font-semibold"
            >{NAME[e.element]} <VerdictMark verdict={e.verdict} word={false} /></span
          >
          <span class="num text-dim">{e.verdict === 'unknown' && e.checks ? 'unknown' : margin(e)}</span>
        </a>
      </li>
    {/each}
  </ol>
</nav>
