<script lang="ts">
  import { pooled, receiving } from '$core/mounting/receiving/receiving';
  import type { HungUnit } from '$core/mounting/results';
  import type { Entry } from '$core/proving/entry';
  import { PHOTOS_MOST, RECEIVED } from '$core/proving/kinds/received';
  import { useLog } from '$lib/client/useLog.svelte';
  import { signOn } from '$lib/client/signOn.svelte';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import PhotoField from '$lib/ui/record/PhotoField.svelte';
  import ScanCode from '$lib/ui/record/ScanCode.svelte';
  import NewestEntry from '$lib/ui/record/NewestEntry.svelte';

  let { unit }: { unit: HungUnit } = $props();
  let photos = $state.raw<readonly string[]>([]);
  const log = useLog();
  /** What is typed here stays in sight, whatever others record meanwhile. */
  let unsaved = $state(false);
  const subject = $derived({ scope: 'inverter', id: unit.unit.id } as const);
  const released = $derived(log.current?.design ?? null);
  /** The newest box of every unit, whichever type. */
  const boxes = $derived(
    new Map(log.entries.flatMap((e): [string, Entry][] => (RECEIVED.is(e) ? [[e.subject.id, e]] : []))),
  );
  const newest = $derived(boxes.get(unit.unit.id) ?? null);
  const checks = $derived(newest ? log.evidence.judgement(newest).checks : []);
  const short = $derived(
    checks.flatMap((c) => (c.id === 'proving.box-complete' && c.verdict === 'stop' ? c.working : [])),
  );
  const alike = $derived((released?.inverters ?? []).filter((u) => u.typeId === unit.unit.typeId));
  const packing = $derived(released?.equipment.inverters.find((t) => t.id === unit.unit.typeId)?.body.packing ?? []);
  /** All boxes of its type together: how many units they finish. */
  const together = $derived.by(() => {
    const items = alike.flatMap((u) => {
      const box = boxes.get(u.id);
      return box && RECEIVED.is(box) ? [box.values.items] : [];
    });
    return items.length ? { boxes: items.length, ...receiving(alike.length, packing, pooled(items)) } : null;
  });
  const noted = $derived(
    log.entries.some((e) => e.kind === 'open-point' && e.subject.id === unit.unit.id && e.values['text'] === wanted),
  );
  const wanted = $derived(`${unit.unit.tag}, from its box: ${short.join('; ')}`);

  const putOnPoints = () =>
    log.add({
      kind: 'open-point',
      subject,
      values: {
        text: wanted.slice(0, 400),
        severity: 'work',
        owner: signOn.by || 'crew lead',
        due: null,
        closed: false,
      },
      corrects: null,
      reason: null,
    });
</script>

<section class="sheet p-3" aria-labelledby="received">
  <h2 id="received">Box of {unit.unit.tag}</h2>
  {#if released === null}
    <p class="text-dim">
      What comes is counted here against the packing list, with damage and serial. The crew builds from a release: none
      is made yet.
    </p>
  {:else if packing.length === 0}
    <p class="text-dim">
      On the release that is built the sheet of {unit.type.name} has no packing list: type it under “Units as they hang” and
      release the design.
    </p>
  {:else}
    {#if together}
      <p>
        <b class="num">{together.unitsComplete} of {alike.length}</b> units of this type can be finished with the
        <span class="num">{together.boxes}</span>
        {together.boxes === 1 ? 'box' : 'boxes'} counted so far.
      </p>
    {/if}
    {#if newest}
      <NewestEntry entry={newest} {checks} />
      {#if RECEIVED.is(newest) && newest.values.photos.length}
        <ul class="my-1 flex flex-wrap gap-2" aria-label="Photos of the box">
          {#each newest.values.photos as photo, i (photo)}
            <li>
              <a href="/sites/{log.siteId}/photos/{photo}"
                ><img src="/sites/{log.siteId}/photos/{photo}" alt="Photo {i + 1}" class="h-24 border border-rule" /></a
              >
            </li>
          {/each}
        </ul>
      {/if}
      {#if short.length}
        {#if noted}<p class="text-sm">Stands on the open points.</p>{:else}
          <button type="button" class="underline" onclick={putOnPoints}>Put it on the open points</button>
        {/if}
      {/if}
    {/if}
    <details class="mt-1" open={newest === null || unsaved}>
      <summary class="cursor-pointer">{newest ? 'Count again' : 'Count it'}</summary>
      <EntryForm
        kind={RECEIVED}
        {subject}
        label="Record the box"
        bind:unsaved
        merge={(typed) => ({ ...typed, photos: [...photos] })}
        done={() => (photos = [])}
      >
        {#snippet extra(_typed, put)}
          <ScanCode prefix="box-{unit.unit.id}" onread={(serial) => put('serial', serial)} />
          <PhotoField siteId={log.siteId} bind:photos most={PHOTOS_MOST} prefix="box-{unit.unit.id}" />
        {/snippet}
      </EntryForm>
    </details>
  {/if}
</section>
