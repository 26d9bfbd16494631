<script lang="ts">
  import type { Snippet } from 'svelte';
  import { busesOf } from '$core/links/buses';
  import { useSite } from '$lib/client/siteState.svelte';
  import { FLEET_BUSES } from '$lib/schemas/standIns/config';
  import { chosenBus } from './chosenBus';
  import FleetPanel from './FleetPanel.svelte';

  let {
    work,
  }: {
    /** What is done on the bus. */
    work: Snippet;
  } = $props();
  const site = useSite();
  /** The bus by its place among those of the design, and of the fleet. */
  const at = $derived(busesOf(site.design.chain).indexOf(chosenBus(site.design.chain)));
</script>

{#key at}
  {#if at < FLEET_BUSES}
    {@render work()}
    <FleetPanel design={site.design} {at} />
  {:else}
    <p class="sheet p-6 text-dim">The simulated fleet has {FLEET_BUSES} buses: this one has no stand-ins.</p>
  {/if}
{/key}
