<script lang="ts">
  import type { HungUnit } from '$core/mounting/results';
  import { LIFT } from '$core/proving/kinds/lift';
  import { useLog } from '$lib/client/useLog.svelte';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import NewestEntry from '$lib/ui/record/NewestEntry.svelte';

  let { unit }: { unit: HungUnit } = $props();
  const log = useLog();
  /** What is typed here stays in sight, whatever others record meanwhile. */
  let unsaved = $state(false);
  const subject = $derived({ scope: 'inverter', id: unit.unit.id } as const);
  const onRelease = $derived(log.current?.design.hung.some((h) => h.inverterId === unit.unit.id) ?? false);
  const newest = $derived(log.entries.findLast((e) => LIFT.is(e) && e.subject.id === unit.unit.id) ?? null);
  const judged = $derived(newest ? log.evidence.judgement(newest).checks : []);
  /** Of the plan only what does not hold: it stands above. */
  const checks = $derived(judged.filter((c) => c.id.startsWith('proving.') || c.verdict !== 'holds'));
</script>

<h3>Go or no-go</h3>
{#if onRelease}
  {#if newest}<NewestEntry entry={newest} {checks} />{/if}
  <details class="no-print mt-1" open={newest === null || unsaved}>
    <summary class="cursor-pointer">{newest ? 'Lift it again' : 'Before anybody takes hold'}</summary>
    <EntryForm kind={LIFT} {subject} label="Record the lift" bind:unsaved />
  </details>
{:else}
  <p class="text-dim">
    Just before the lift its lead records wind, way and gear here, and what is accepted. The crew builds from a release:
    this unit hangs on none yet.
  </p>
{/if}
