<script lang="ts">
  import { Button, Input, Label } from 'flowbite-svelte';
  import { untrack } from 'svelte';
  import type { ListedSite } from '$lib/schemas/site';
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
  <div>
    <Label for="copy-name" class="text-sm font-normal text-dim">Name of the copy</Label><Input
      id="copy-name"
      size="sm"
      class="h-8 w-64"
      bind:value={name}
    />
  </div>
  <Button type="submit" size="sm" class="h-8" disabled={yard.busy}>Open the copy</Button>
  <Button size="sm" class="h-8" color="alternative" onclick={() => (yard.copying = null)}>Not now</Button>
</form>
