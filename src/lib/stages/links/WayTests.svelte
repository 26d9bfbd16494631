<script lang="ts">
  import { WAY_TEST } from '$core/proving/kinds/wayTest';
  import { wayPart } from '$core/proving/links/parts';
  import { useLog } from '$lib/client/useLog.svelte';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import NewestEntry from '$lib/ui/record/NewestEntry.svelte';

  const log = useLog();
  const subject = { scope: 'site', id: 'site' } as const;
  const released = $derived(log.current?.design ?? null);
  const tried = $derived(released && WAY_TEST.form?.(released, subject));
  /** The newest trial of every way, a carrier at either hour. */
  const newest = $derived([
    ...new Map(log.entries.filter(WAY_TEST.is).map((e) => [wayPart(e.values), e] as const)).values(),
  ]);
</script>

<section class="sheet p-3" aria-labelledby="way-tests">
  <h2 id="way-tests">Tried</h2>
  {#if released === null}
    <p class="text-dim">The crew builds from a release: none is made yet.</p>
  {:else if !tried}
    <p class="text-dim">The release has no Ethernet, radio link or carrier to try.</p>
  {:else}
    <p class="text-sm text-dim">
      Every way is asked over with all its units powered, a carrier at full power and again at night. Each is part of
      the bus gate, with the scan of every bus.
    </p>
    {#each newest as entry (entry.id)}<NewestEntry {entry} checks={log.evidence.judgement(entry).checks} />{/each}
    <details class="mt-2">
      <summary class="cursor-pointer underline">Put a trial on the record</summary>
      <EntryForm kind={WAY_TEST} {subject} label="Record the trial" />
    </details>
  {/if}
</section>
