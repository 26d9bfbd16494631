<script lang="ts">
  import type { HungUnit } from '$core/mounting/results';
  import { AS_DRILLED } from '$core/proving/kinds/asDrilled';
  import { useLog } from '$lib/client/useLog.svelte';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import NewestEntry from '$lib/ui/record/NewestEntry.svelte';

  let { unit }: { unit: HungUnit } = $props();
  const log = useLog();
  /** What is typed here stays in sight, whatever others record meanwhile. */
  let unsaved = $state(false);
  const subject = $derived({ scope: 'inverter', id: unit.unit.id } as const);
  const released = $derived(log.current?.design ?? null);
  const onRelease = $derived(released?.hung.find((h) => h.inverterId === unit.unit.id) ?? null);
  const moved = $derived(
    onRelease !== null &&
      (onRelease.wallId !== unit.at.wallId || onRelease.xMm !== unit.at.xMm || onRelease.yMm !== unit.at.yMm),
  );
  const entries = $derived(log.entries.filter((e) => AS_DRILLED.is(e) && e.subject.id === unit.unit.id).toReversed());
  const newest = $derived(entries[0] ?? null);
  const checks = $derived(newest ? log.evidence.judgement(newest).checks : []);
</script>

<section class="sheet p-3" aria-labelledby="drilled">
  <h2 id="drilled">Holes of {unit.unit.tag} as drilled</h2>
  {#if released === null}
    <p class="text-dim">
      The holes as they were measured are recorded here, and whether the bracket still goes on. The crew builds from a
      release: none is made yet.
    </p>
  {:else if onRelease === null}
    <p class="text-dim">On the release that is built {unit.unit.tag} hangs on no wall: release this design first.</p>
  {:else}
    {#if moved}<p class="text-tight">
        On the release that is built {unit.unit.tag} hangs at {onRelease.xMm}, {onRelease.yMm} mm: that is what counts here.
      </p>{/if}
    {#if newest}
      <NewestEntry entry={newest} {checks} />
    {/if}
    <details class="mt-1" open={newest === null || unsaved}>
      <summary class="cursor-pointer">{newest ? 'Measure again' : 'Measure them'}</summary>
      <EntryForm kind={AS_DRILLED} {subject} label="Record the holes" bind:unsaved />
    </details>
  {/if}
</section>
