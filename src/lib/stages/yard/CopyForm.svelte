<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { untrack } from 'svelte';
  import type { ListedSite } from '$lib/schemas/site';
  import Words from '$lib/ui/form/Words.svelte';
  import type { YardState } from './yardState.svelte';

  let { yard, of }: { yard: YardState; of: ListedSite } = $props();
  let name = $state(untrack(() => `${of.name}, copy`));
</script>

<form
  class="sheet mb-2 flex flex-wrap items-end gap-3 p-3"
  onsubmit={(e) => {
    e.preventDefault();
    void yard.open(`/api/v1/sites/${of.id}/copy`, { name });
  }}
>
  <p class="max-w-prose">
    A new site that starts with the design of {of.name}. Releases and the record stay with the old one.
  </p>
  <div class="w-64"><Words label="Name of the copy" bind:value={name} /></div>
  <Button type="submit" size="sm" disabled={yard.busy}>Open the copy</Button>
  <Button size="sm" color="alternative" onclick={() => (yard.copying = null)}>Not now</Button>
</form>
