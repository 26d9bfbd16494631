<script lang="ts">
  import type { UnitPick } from './unitPick.svelte';

  let { pick }: { pick: UnitPick } = $props();
</script>

<div class="flex flex-wrap gap-1" role="group" aria-label="Inverter">
  {#each pick.design?.inverters ?? [] as i (i.id)}
    {@const state = pick.log.evidence.unit(i.id)}
    <button
      type="button"
      class="flex items-center gap-1 border px-3 py-2 whitespace-nowrap {i.id === pick.unit?.id
        ? 'border-ink bg-ink text-paper'
        : 'border-rule bg-sheet'}"
      data-part={i.id}
      aria-pressed={i.id === pick.unit?.id}
      onclick={() => pick.pickUnit(i.id)}
    >
      {i.tag}{state.switchOff ? ' · switch off' : pick.log.evidence.closed('I-ONGRID', i.id) ? ' · on grid' : ''}
    </button>
  {/each}
</div>
