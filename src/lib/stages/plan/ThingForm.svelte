<script lang="ts">
  import type { Thing } from '$core/design/planThings';
  import { putAt } from '$core/design/planThings';
  import { useSite } from '$lib/client/siteState.svelte';
  import { blankPosition, positionForm } from '$lib/schemas/planForms';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  let { thing }: { thing: Thing } = $props();
  const site = useSite();
  const ELSEWHERE: Partial<Record<Thing['kind'], { readonly stage: string; readonly words: string }>> = {
    plane: { stage: 'survey', words: 'Tilt, azimuth, edge and modules' },
    wall: { stage: 'mounting', words: 'Size, facing and what is in the way' },
    unit: { stage: 'survey', words: 'Tag and type' },
    board: { stage: 'ac', words: 'Ratings of the board' },
    device: { stage: 'links', words: 'Address and bus' },
  };
  const more = $derived(ELSEWHERE[thing.kind]);
</script>

<section class="sheet p-3" aria-label="What is picked">
  <h2>{thing.label}</h2>
  {#if thing.carriedBy}
    <p class="text-sm">
      Hangs on {thing.carriedBy}, which puts it where it is. Move it
      <a class="underline" href="/sites/{site.siteId}/mounting?at={thing.id}">on the wall</a>, or the wall here.
    </p>
  {:else}
    {#if thing.kind === 'wall' && thing.facesDeg === null}
      <p class="text-sm text-tight">
        Drawn once it is known which way it faces:
        <a class="underline" href="/sites/{site.siteId}/mounting?field=facesDeg">give it on Mounting</a>.
      </p>
    {/if}
    {#key `${thing.kind} ${thing.id} ${JSON.stringify(thing.position)}`}
      <EditForm
        schema={positionForm}
        value={thing.position ?? blankPosition}
        prefix="place-{thing.id}"
        label="Put it there"
        groups={[{ title: '', paths: ['xM', 'yM', 'zM'] }]}
        drafts={false}
        save={(value) => site.apply(putAt(site.design, thing, positionForm.parse(value)))}
      />
    {/key}
  {/if}
  {#if more}<p class="mt-1 text-sm">
      <a class="underline" href="/sites/{site.siteId}/{more.stage}?at={thing.id}">{more.words}</a>
    </p>{/if}
</section>
