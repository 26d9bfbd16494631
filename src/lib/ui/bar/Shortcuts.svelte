<script lang="ts">
  import { goto } from '$app/navigation';
  import type { SiteState } from '$lib/client/siteState.svelte';
  import { STAGES } from '$lib/stages/stages';

  let { site, here }: { site: SiteState; /** The stage on screen. */ here: string } = $props();
  let panel = $state<HTMLElement>();

  export function show() {
    panel?.showPopover();
  }

  const KEYS = [
    [
      'Everywhere',
      [
        ['Ctrl K', 'find a site, stage, unit, string or rule'],
        ['[ and ]', 'the stage before, the stage after'],
        ['Ctrl Z', 'undo, with what it takes back beside the button'],
        ['Ctrl Shift Z', 'redo'],
        ['?', 'this sheet'],
        ['Esc', 'closes what is open'],
      ],
    ],
    [
      'Peg board',
      [
        ['arrows', 'from input to input, from unit to unit'],
        ['Enter', 'picks a string up, hangs it'],
        ['Shift Enter', 'joins the string on that input as a Y'],
        ['Esc', 'puts it back'],
        ['L', 'locks a string where it hangs, or releases it'],
      ],
    ],
    [
      'Schedule of runs',
      [
        ['arrows, Shift', 'from cell to cell; with Shift the selection grows'],
        ['Enter or a key', 'types in the cell; Ctrl Enter into every selected row'],
        ['Ctrl D', 'the first selected row into those under it'],
        ['Ctrl C, Ctrl V', 'to and from a spreadsheet'],
        ['Delete', 'what is selected is not known'],
      ],
    ],
    ['Chain', [['arrows on ↑ and ↓', 'moves a device along the chain']]],
  ] as const;

  const isTyping = (target: EventTarget | null) =>
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName));

  function step(by: 1 | -1) {
    const next = STAGES[STAGES.findIndex((s) => s.path === here) + by];
    if (next) void goto(`/sites/${site.siteId}/${next.path}`);
  }

  function pressed(event: KeyboardEvent) {
    // In a field these keys are the field's own.
    if (isTyping(event.target) || event.altKey) return;
    const control = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    const free = site.pending === 0;
    if (control && (key === 'y' || (key === 'z' && event.shiftKey))) {
      if (site.redoes !== null && free) void site.redo();
    } else if (control && key === 'z') {
      if (site.undoes !== null && free) void site.undo();
    } else if (control) return;
    else if (key === '?') show();
    else if (key === '[') step(-1);
    else if (key === ']') step(1);
    else return;
    event.preventDefault();
  }
</script>

<svelte:window onkeydown={pressed} />
<div
  bind:this={panel}
  popover="auto"
  role="dialog"
  aria-label="Shortcuts"
  class="m-auto max-h-[90dvh] w-[min(34rem,95vw)] overflow-y-auto border-2 border-ink bg-sheet p-4 text-ink"
>
  <h2>Shortcuts</h2>
  {#each KEYS as [title, keys] (title)}
    <h3 class="mt-3">{title}</h3>
    <dl class="grid grid-cols-[9rem_1fr] gap-x-3 gap-y-1">
      {#each keys as [key, what] (key)}<dt><kbd class="num">{key}</kbd></dt>
        <dd>{what}</dd>{/each}
    </dl>
  {/each}
  <button type="button" class="mt-4 border border-ink px-3 py-1" onclick={() => panel?.hidePopover()}>Close</button>
</div>
