<script lang="ts">
  import { Button, Fileupload, Label } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import { smallPicture } from '$lib/client/picture';
  import { cameraThere, codeOnPicture, watchForCode } from '$lib/client/scan';

  let { prefix, onread }: { prefix: string; onread: (text: string) => void } = $props();
  /** Enough for the bars of a label across the picture, px. */
  const MOST_PX = 2000;
  let files = $state<FileList | null>(null);
  let said = $state('');
  let trouble = $state('');
  let video = $state<HTMLVideoElement | null>(null);
  let watching = $state(false);
  let stop: (() => void) | null = null;
  onDestroy(() => stop?.());

  function read(text: string) {
    said = `Read: ${text}`;
    watching = false;
    onread(text);
  }
  async function fromPicture() {
    const [file] = files ?? [];
    said = trouble = '';
    if (!file) return;
    try {
      read(await codeOnPicture((await smallPicture(file, MOST_PX)).url));
    } catch (cause) {
      if (!(cause instanceof RangeError)) throw cause;
      trouble = cause.message;
    }
    files = null;
  }
  async function fromCamera() {
    said = trouble = '';
    if (!video) return;
    watching = true;
    try {
      const controls = await watchForCode(video, read);
      stop = () => controls.stop();
    } catch {
      watching = false;
      trouble = 'No camera is there, or nobody allowed it: take a picture of the label, or type the number.';
    }
  }
  function leave() {
    stop?.();
    watching = false;
  }
</script>

<div class="my-2 flex flex-wrap items-end gap-3">
  <div>
    <Label for="{prefix}-scan">Serial from a picture of the label</Label>
    <Fileupload
      id="{prefix}-scan"
      accept="image/*"
      capture="environment"
      bind:files
      onchange={fromPicture}
      clearable={false}
    />
  </div>
  {#if cameraThere()}
    {#if watching}<Button size="sm" color="alternative" onclick={leave}>Stop looking</Button>
    {:else}<Button size="sm" color="alternative" onclick={fromCamera}>Scan with the camera</Button>{/if}
  {/if}
  <video bind:this={video} class={watching ? 'h-48 border border-rule' : 'hidden'} aria-label="Camera"></video>
  {#if said}<p role="status" class="num text-sm">{said}</p>{/if}
  {#if trouble}<p role="alert" class="text-sm text-stop">{trouble}</p>{/if}
</div>
