<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { Check } from '$core/kernel/check';
  import type { Hung, Wall } from '$core/mounting/part';
  import type { MountingResult } from '$core/mounting/results';
  import { freePlace } from '$core/mounting/wall/siteWall';
  import { useSite } from '$lib/client/siteState.svelte';
  import WallNews from './WallNews.svelte';
  import WallSheet from './WallSheet.svelte';
  import { previewOf, verdictAt } from './wallView';

  let {
    wall,
    results,
    checks,
    picked,
    onpick,
  }: {
    wall: Wall;
    results: MountingResult;
    checks: readonly Check[];
    picked: string | null;
    onpick: (inverterId: string) => void;
  } = $props();
  const site = useSite();

  const hung = $derived(results.hung.filter((h) => h.wall.id === wall.id));
  let moving = $state.raw<Hung | null>(null);
  const preview = $derived(moving ? previewOf(site.design, moving) : null);
  const shown = $derived(preview?.checks ?? checks);
  const verdicts = $derived(new Map(hung.map((h) => [h.unit.id, verdictAt(shown, h.unit.id)])));
  const tagOf = (id: string) => site.design.inverters.find((u) => u.id === id)?.tag ?? id;
  let said = $state('');

  async function drop() {
    const place = moving;
    moving = null;
    if (place) await site.apply({ kind: 'hang', places: [place] });
  }
  async function hang(inverterId: string) {
    const place = freePlace(site.design, wall, inverterId);
    said = place
      ? ''
      : `No free place for ${tagOf(inverterId)} on ${wall.label}: a unit without a size, too little room, or too many clearances. The search below says what would help.`;
    if (place) await site.apply({ kind: 'hang', places: [place] });
    onpick(inverterId);
  }
</script>

<WallSheet {wall} {hung} {verdicts} {picked} {moving} {onpick} onmove={(place) => (moving = place)} ondrop={drop} />
{#if moving && preview}
  <WallNews
    {moving}
    {preview}
    before={checks}
    tag={tagOf(moving.inverterId)}
    ondrop={drop}
    onback={() => (moving = null)}
  />
{/if}
<div class="no-print mt-1 flex flex-wrap items-center gap-2 text-sm">
  {#if results.unplaced.length}
    <span class="text-dim">Not hung yet:</span>
    {#each results.unplaced.slice(0, 12) as unit (unit.id)}
      <Button size="xs" color="alternative" onclick={() => hang(unit.id)}>Hang {unit.tag}</Button>
    {/each}
    {#if results.unplaced.length > 12}<span class="text-dim">and {results.unplaced.length - 12} more</span>{/if}
  {/if}
  {#if picked && hung.some((h) => h.unit.id === picked)}
    <Button size="xs" color="alternative" onclick={() => site.apply({ kind: 'take-down', inverterId: picked })}
      >Take {tagOf(picked)} down</Button
    >
  {/if}
</div>
{#if said}<p role="alert" class="text-stop">{said}</p>{/if}
