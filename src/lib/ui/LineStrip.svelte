<script lang="ts">
  import type { ElementSummary } from '$core/design/assess';
  import type { LineElement } from '$core/kernel/check';
  import { worstCheck } from '$core/kernel/check';
  import { STAGES, stageOf } from '$lib/stages/stages';
  import { marginWords } from './marginWords';
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
    wall: 'Wall',
    chain: 'Chain',
  };
  const byElement = $derived(new Map(line.map((e) => [e.element, e])));
  const of = (elements: readonly LineElement[]) => elements.map((e) => byElement.get(e)).filter((e) => e !== undefined);
  const why = (e: ElementSummary) =>
    e.smallest
      ? `${e.smallest.title}: ${e.smallest.subject.path}, ${marginWords(e.smallest)}`
      : 'No check yet: nothing is entered';

  let strip = $state<HTMLElement>();
  $effect(() => {
    void here;
    strip?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  });
</script>

<nav
  bind:this={strip}
  aria-label="Stages, with the line from module to grid"
  class="no-print relative overflow-x-auto border-b-2 border-ink bg-sheet"
>
  <ol class="mx-auto flex min-w-max max-w-[1500px] items-stretch min-[1400px]:px-2">
    {#each STAGES as { path, title, elements } (path)}
      {@const own = of(elements)}
      <li
        class="flex flex-col justify-center border-r border-rule {here === path
          ? 'border-b-4 border-b-primary-600 bg-primary-50'
          : 'border-b-4 border-b-transparent'}"
      >
        <span class="flex items-center gap-1.5 px-2.5 lg:px-1.5 min-[1400px]:px-2.5">
          <a
            href="/sites/{siteId}/{path}"
            class="flex min-h-10 items-center whitespace-nowrap font-semibold hover:underline lg:min-h-0"
            aria-current={here === path ? 'page' : undefined}>{title}</a
          >
          {#if own.length}<span class="lg:hidden"><VerdictMark verdict={worstCheck(own)} word={false} /></span>{/if}
        </span>
        {#if own.length}
          <ul class="hidden lg:flex" aria-label="{title}: elements of the line">
            {#each own as e, i (e.element)}
              <li class="flex items-center">
                {#if i > 0}<span class="h-0.5 w-1.5 bg-ink" aria-hidden="true"></span>{/if}
                <a
                  href="/sites/{siteId}/{stageOf(e.element)}"
                  class="flex items-center gap-1 px-1.5 text-sm leading-5 text-dim hover:text-ink hover:underline min-[1400px]:pr-2.5 {i >
                  0
                    ? ''
                    : 'min-[1400px]:pl-2.5'}"
                  title={why(e)}
                >
                  {NAME[e.element]}
                  <VerdictMark verdict={e.verdict} word={false} />
                  {#if e.smallest?.margin != null}<span class="num">{marginWords(e.smallest, true)}</span>{/if}
                </a>
              </li>
            {/each}
          </ul>
        {/if}
      </li>
    {/each}
  </ol>
</nav>
