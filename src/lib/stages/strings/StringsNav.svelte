<script lang="ts">
  import PartsNav from '$lib/ui/PartsNav.svelte';

  let { siteId }: { siteId: string } = $props();
  const PARTS = [
    ['', 'Peg board'],
    ['/curves', 'Curves'],
    ['/year', 'Year of energy'],
    ['/lists', 'Lists and labels'],
  ] as const;
</script>

<PartsNav base="/sites/{siteId}/strings" parts={PARTS} label="Parts of strings" />
