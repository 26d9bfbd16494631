<script lang="ts">
  import { Fileupload, Label } from 'flowbite-svelte';
  import { ApiProblem, post } from '$lib/client/api';
  import { base64Of, smallPicture } from '$lib/client/picture';

  let {
    siteId,
    photos = $bindable(),
    most,
    prefix,
  }: { siteId: string; photos: readonly string[]; most: number; prefix: string } = $props();
  /** Larger photos are made smaller before they are sent, px on the longer side. */
  const MOST_PX = 1600;
  let files = $state<FileList | null>(null);
  let working = $state(false);
  let trouble = $state('');

  async function take() {
    const chosen = [...(files ?? [])].slice(0, most - photos.length);
    working = true;
    trouble = '';
    try {
      for (const file of chosen) {
        const small = await smallPicture(file, MOST_PX);
        const { id } = await post<{ id: string }>(`/api/v1/sites/${siteId}/photos`, { base64: base64Of(small) });
        if (!photos.includes(id)) photos = [...photos, id];
      }
    } catch (cause) {
      trouble =
        cause instanceof RangeError || cause instanceof ApiProblem
          ? cause.message
          : 'The photo could not be sent: it wants a connection. It stays on the device, choose it again later.';
    }
    working = false;
    files = null;
  }
</script>

<div class="my-2">
  <Label for="{prefix}-photos">Photos of label, packaging and damage</Label>
  <Fileupload
    id="{prefix}-photos"
    accept="image/*"
    capture="environment"
    multiple
    bind:files
    onchange={take}
    disabled={working || photos.length >= most}
    clearable={false}
  />
  {#if working}<p role="status" class="text-sm text-dim">Sending …</p>{/if}
  {#if trouble}<p role="alert" class="text-sm text-stop">{trouble}</p>{/if}
  {#if photos.length}
    <ul class="mt-1 flex flex-wrap gap-2" aria-label="Photos taken">
      {#each photos as photo, i (photo)}
        <li class="text-sm">
          <img src="/sites/{siteId}/photos/{photo}" alt="Photo {i + 1}" class="h-20 border border-rule" />
          <button type="button" class="underline" onclick={() => (photos = photos.filter((p) => p !== photo))}
            >leave out</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</div>
