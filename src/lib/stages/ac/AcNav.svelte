<script lang="ts">
  import PartsNav from '$lib/ui/PartsNav.svelte';

  let { siteId }: { siteId: string } = $props();
  const PARTS = [
    ['', 'Runs and bay'],
    ['/cables', 'Cables that could lie'],
    ['/terminations', 'Terminations'],
    ['/order', 'Order and drums'],
    ['/voltage', 'Voltage on sunny days'],
  ] as const;
</script>

<PartsNav base="/sites/{siteId}/ac" parts={PARTS} label="Parts of AC runs" />
