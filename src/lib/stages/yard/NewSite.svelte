<script lang="ts">
  import { Button, Fileupload, Label } from 'flowbite-svelte';
  import Words from '$lib/ui/form/Words.svelte';
  import { LABEL } from '$lib/ui/form/control';
  import type { YardState } from './yardState.svelte';

  let { yard }: { yard: YardState } = $props();
  let name = $state('');
  let files = $state<FileList | null>(null);
  async function importFile() {
    const [file] = files ?? [];
    if (file) await yard.open('/api/v1/projects', await file.text());
    files = null;
  }
</script>

<form
  class="flex min-w-0 items-end gap-2"
  onsubmit={(e) => {
    e.preventDefault();
    void yard.open('/api/v1/sites', { name });
  }}
>
  <Words label="New site" placeholder="Name of the site" bind:value={name} />
  <Button type="submit" size="sm" disabled={yard.busy}>Open it</Button>
</form>
<div class="min-w-0">
  <Label for="project-file" class={LABEL}>Import a project file</Label>
  <Fileupload
    id="project-file"
    size="sm"
    accept="application/json,.json"
    bind:files
    onchange={importFile}
    disabled={yard.busy}
  />
</div>
