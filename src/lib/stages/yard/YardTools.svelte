<script lang="ts">
  import { VERDICT_ORDER } from '$core/kernel/check';
  import { STAGES_OF_WORK, STANDINGS } from '$lib/schemas/standing';
  import Choice from '$lib/ui/form/Choice.svelte';
  import Find from '$lib/ui/form/Find.svelte';
  import type { YardState } from './yardState.svelte';

  let {
    yard,
    count,
    of,
    cards = $bindable(),
  }: { yard: YardState; count: number; of: number; cards: boolean } = $props();
  const WORDS = { open: 'in the yard', archived: 'archived', deleted: 'deleted' } as const;
</script>

<div class="mb-2 flex flex-wrap items-center gap-2 text-sm" role="search">
  <Find label="Find a site" placeholder="Name or place" value={yard.view.find} onfind={(find) => yard.look({ find })} />
  <Choice
    label="Worst verdict"
    unnamed
    value={yard.view.verdict}
    choices={[{ value: '', name: 'any verdict' }, ...VERDICT_ORDER.map((v) => ({ value: v, name: `worst is ${v}` }))]}
    onchoose={(verdict) => yard.look({ verdict })}
  />
  <Choice
    label="Stage of the work"
    unnamed
    value={yard.view.stage}
    choices={[{ value: '', name: 'any stage' }, ...STAGES_OF_WORK.map((s) => ({ value: s, name: s }))]}
    onchoose={(stage) => yard.look({ stage })}
  />
  <Choice
    label="Standing"
    unnamed
    value={yard.view.standing}
    choices={STANDINGS.map((s) => ({ value: s, name: WORDS[s] }))}
    onchoose={(standing) => yard.look({ standing })}
  />
  <p class="text-dim" aria-live="polite">{count === of ? `${of} sites` : `${count} of ${of} sites`}</p>
  <div class="ml-auto flex" role="group" aria-label="Show as">
    {#each [[false, 'Table'], [true, 'Cards']] as const as [is, name] (name)}
      <button
        type="button"
        class="h-8 border border-ink px-3 {cards === is ? 'bg-ink text-paper' : ''}"
        aria-pressed={cards === is}
        onclick={() => (cards = is)}>{name}</button
      >
    {/each}
  </div>
</div>
