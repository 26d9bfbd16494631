<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { Check } from '$core/kernel/check';
  import type { Plane } from '$core/site/parts';
  import { newString } from '$core/site/parts';
  import type { Remaining } from '$core/strings/layout/legalLayout';
  import { legalLayout } from '$core/strings/layout/legalLayout';
  import { useSite } from '$lib/client/siteState.svelte';
  import { planeLetter } from '$lib/ui/planeGlyph';
  import BoardNews from './BoardNews.svelte';
  import PegBoard from './PegBoard.svelte';

  let {
    checks,
    plane,
    modules,
  }: {
    checks: readonly Check[];
    /** Where a new string is added, and how long. */ plane: Plane | undefined;
    modules: number;
  } = $props();
  const site = useSite();
  const design = $derived(site.design);
  let reasons = $state.raw<readonly Remaining[]>([]);

  async function layOut() {
    reasons = legalLayout(design).remaining;
    await site.apply({ kind: 'lay-out' });
  }
  function addString() {
    if (!plane) return;
    const number = Math.max(0, ...design.strings.map((s) => s.number)) + 1;
    const string = newString(`s-${crypto.randomUUID().slice(0, 8)}`, number, plane.id, modules);
    void site.apply({ kind: 'string', string });
  }
</script>

<section aria-labelledby="pegs-title" class="space-y-2">
  {#snippet tools(count: string)}
    <h2 id="pegs-title" class="text-base">Peg board</h2>
    <span class="text-sm text-dim" aria-live="polite">{count}</span>
    <Button size="xs" disabled={!design.planes.length || !design.inverters.length} onclick={layOut}
      >Lay out all planes</Button
    >
    <Button
      size="xs"
      color="alternative"
      disabled={!design.strings.length}
      onclick={() => site.apply({ kind: 'number-strings' })}>Number along the inputs</Button
    >
    <Button
      size="xs"
      color="alternative"
      disabled={!plane}
      title="On {plane?.label ?? 'no plane'}: plane and length of the window above"
      onclick={addString}>Add a string of {modules}</Button
    >
  {/snippet}
  {#if design.inverters.length === 0}
    <div class="flex flex-wrap items-center gap-2">{@render tools('no units')}</div>
    <p class="sheet p-6 text-dim">
      Each inverter shows here as its rows of inputs, and every string as a tag on one of them. No inverter yet: hang
      one on the <a class="underline" href="/sites/{site.siteId}/survey">survey</a>.
    </p>
  {:else}
    <PegBoard
      {design}
      {checks}
      {tools}
      onmove={(string, place) => site.apply({ kind: 'hang-string', stringId: string.id, place })}
      onlock={(lock, on) => site.apply({ kind: on ? 'lock' : 'unlock', lock })}
    >
      {#snippet news()}<BoardNews {reasons} />{/snippet}
    </PegBoard>
  {/if}
  <p class="text-sm text-dim">
    {#each design.planes as p, i (p.id)}<span class="mr-4 inline-block"
        ><b class="border border-ink px-1">{planeLetter(i)}</b> {p.label}, {p.tiltDeg}° / {p.azimuthDeg}°</span
      >{/each}A tag reads plane, string number · modules. Click a tag, then an input; or drag it. By keyboard: arrow
    keys walk, Enter picks up and hangs, Escape puts back, L locks.
  </p>
</section>
