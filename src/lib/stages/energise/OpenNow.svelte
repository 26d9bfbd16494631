<script lang="ts">
  import { waitsForDry, wet } from '$core/proving/weather';
  import { signOn } from '$lib/client/signOn.svelte';
  import { GATE_NAME } from '$lib/ui/gateWords';
  import { partName } from '$lib/ui/record/words';
  import type { SiteDesign } from '$core/design';
  import type { UnitPick } from './unitPick.svelte';

  /** Work that waits for nothing, on the whole site: what most gates wait for stands first. */
  let { pick, design, siteId }: { pick: UnitPick; design: SiteDesign; siteId: string } = $props();
  const isWet = $derived(wet(pick.log.evidence) !== null);
  const where = (objects: readonly string[]) =>
    objects.length > 1
      ? `${partName(objects[0] ?? '', design)} and ${objects.length - 1} more`
      : partName(objects[0] ?? '', design);
</script>

<section class="sheet" aria-labelledby="open-now">
  <h2 id="open-now" class="px-3 pt-3">Open now{signOn.by ? ` for the ${signOn.role}` : ''}</h2>
  {#if pick.open.length === 0}
    <p class="px-3 pb-3 text-dim">
      Nothing{signOn.by ? ` that the ${signOn.role} signs` : ''}: every gate is closed, or waits for another.
    </p>
  {:else}
    <ol class="mt-2 max-h-80 overflow-y-auto">
      {#each pick.open as { gate, objects, unlocks } (gate.id)}
        {@const [first = 'site'] = objects}
        <li class="border-t border-rule">
          {#snippet row()}
            <span class="min-w-0">
              <span class="block"><span class="num text-dim">{gate.id}</span> {GATE_NAME[gate.id]}</span>
              <span class="block text-sm text-dim"
                >{where(objects)}{isWet && waitsForDry(gate.id) ? ', once it is dry' : ''}</span
              >
            </span>
            <span class="shrink-0 text-right text-sm text-dim"
              >{#if unlocks}<span class="num">{unlocks}</span> {unlocks === 1 ? 'gate waits' : 'gates wait'}{/if}</span
            >
          {/snippet}
          {#if gate.scope === 'string'}
            <a class="flex items-start justify-between gap-2 px-3 py-1.5" href="/sites/{siteId}/log?at={first}"
              >{@render row()}</a
            >
          {:else}
            <button
              type="button"
              class="flex w-full items-start justify-between gap-2 px-3 py-1.5 text-left"
              onclick={() => pick.goTo(gate.id, first)}>{@render row()}</button
            >
          {/if}
        </li>
      {/each}
    </ol>
  {/if}
</section>
