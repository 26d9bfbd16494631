<script lang="ts">
  import { Button, Fileupload, Input, Label } from 'flowbite-svelte';
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
  <div>
    <Label for="new-name" class="text-sm font-normal text-dim">New site</Label><Input
      id="new-name"
      size="sm"
      class="h-8"
      bind:value={name}
      placeholder="Name of the site"
    />
  </div>
  <Button type="submit" size="sm" class="h-8" disabled={yard.busy}>Open it</Button>
</form>
<div class="min-w-0">
  <Label for="project-file" class="text-sm font-normal text-dim">Import a project file</Label>
  <Fileupload
    id="project-file"
    size="sm"
    accept="application/json,.json"
    bind:files
    onchange={importFile}
    disabled={yard.busy}
  />
</div>
