<script lang="ts">
  import type { RunsTyped } from '$core/ac/schedule/runTable';
  import { useSite } from '$lib/client/siteState.svelte';
  import FileRead from '$lib/ui/FileRead.svelte';
  import type { Offer } from './grid.svelte';

  let { onread }: { onread: (offer: Offer) => void } = $props();
  const site = useSite();
</script>

<a class="text-sm underline" href="/sites/{site.siteId}/ac/lists/runs.csv" download>CSV</a>
<a class="text-sm underline" href="/sites/{site.siteId}/ac/lists/runs.xlsx" download>XLSX</a>
<FileRead
  label="Read a list, CSV or XLSX"
  path="/api/v1/sites/{site.siteId}/run-list"
  onread={(answer: RunsTyped, from) => onread({ ...answer, from })}
/>
