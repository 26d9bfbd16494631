<script lang="ts">
  import PartsNav from '$lib/ui/PartsNav.svelte';

  let { siteId }: { siteId: string } = $props();
  const PARTS = [
    ['', 'Chain'],
    ['/pair', 'Pair and meter'],
    ['/scope', 'Scope'],
    ['/timing', 'Round'],
    ['/field', 'Scan'],
    ['/walk', 'Walk'],
    ['/meter', 'Meter'],
    ['/contacts', 'Contacts'],
    ['/sheet', 'Sheet'],
  ] as const;
</script>

<PartsNav base="/sites/{siteId}/links" parts={PARTS} label="Parts of links" />
