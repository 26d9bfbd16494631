<script lang="ts">
  import { page } from '$app/state';
  import { busesOf } from '$core/links/buses';
  import { useSite } from '$lib/client/siteState.svelte';
  import PartsNav from '$lib/ui/PartsNav.svelte';
  import { BUS_QUERY, chosenBus } from './chosenBus';

  const site = useSite();
  const PARTS = [
    ['', 'Chain'],
    ['/pair', 'Pair and meter'],
    ['/scope', 'Scope'],
    ['/timing', 'Round'],
    ['/field', 'Scan'],
    ['/walk', 'Walk'],
    ['/meter', 'Meter'],
    ['/contacts', 'Contacts'],
    ['/beside', 'Beside the bus'],
    ['/sheet', 'Sheet'],
  ] as const;
  const buses = $derived(busesOf(site.design.chain));
  const bus = $derived(chosenBus(site.design.chain));
  const on = (n: number) => (buses.length > 1 ? `?${BUS_QUERY}=${n}` : '');
</script>

<div class="no-print flex flex-wrap items-baseline justify-between gap-x-6">
  <PartsNav base="/sites/{site.siteId}/links" parts={PARTS} label="Parts of links" query={on(bus)} />
  {#if buses.length > 1}
    <nav aria-label="Buses" class="flex flex-wrap gap-x-4">
      {#each buses as n (n)}
        <a
          href="{page.url.pathname}{on(n)}"
          aria-current={n === bus ? 'true' : undefined}
          class="py-0.5 {n === bus ? 'border-b-4 border-ink font-bold' : 'underline'}">Bus {n}</a
        >
      {/each}
    </nav>
  {/if}
</div>
