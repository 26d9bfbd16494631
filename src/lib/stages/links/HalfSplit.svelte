<script lang="ts">
  import { halves } from '$core/links/field/halves';
  import { halfSplits } from '$core/links/field/symptoms';

  let {
    labels,
  }: {
    /** Devices of the bus in their order, without whoever asks. */
    labels: readonly string[];
  } = $props();
  let answers = $state.raw<readonly boolean[]>([]);
  const step = $derived(halves(labels.length, answers));
  const name = (place: number) => labels[place - 1] ?? '';
  const said = (well: boolean) => (answers = [...answers, well]);
</script>

<div class="mt-1 border-l-4 border-ink pl-2" role="group" aria-label="By halves">
  {#if 'pullBehind' in step}
    <p>
      <b>Pull the plug behind {name(step.pullBehind)}</b> and scan: do all from {name(1)} to {name(step.pullBehind)} answer
      well? <span class="text-sm text-dim">Plug {answers.length + 1} of at most {halfSplits(labels.length)}</span>
    </p>
    <p class="flex flex-wrap gap-3">
      <button type="button" class="border border-ink px-3 py-1.5" onclick={() => said(true)}>They do</button>
      <button type="button" class="border border-ink px-3 py-1.5" onclick={() => said(false)}>They do not</button>
      {#if answers.length}<button type="button" class="underline" onclick={() => (answers = answers.slice(0, -1))}
          >One step back</button
        >{/if}
    </p>
  {:else}
    <p>
      {#if step.faultAt === null}<b>Every part answers</b>: plug by plug it came back. Land the last plug again, and
        scan.
      {:else}<b>The fault is at {name(step.faultAt)}</b>, or in the cable before it.
      {/if}
      <button type="button" class="underline" onclick={() => (answers = [])}>Begin again</button>
    </p>
  {/if}
</div>
