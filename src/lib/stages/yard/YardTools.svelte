<script lang="ts">
  import { VERDICT_ORDER } from '$core/kernel/check';
  import { STAGES_OF_WORK, STANDINGS } from '$lib/schemas/standing';
  import type { YardState } from './yardState.svelte';

  let {
    yard,
    count,
    of,
    cards = $bindable(),
  }: { yard: YardState; count: number; of: number; cards: boolean } = $props();
  const BOX = 'h-8 border border-rule bg-white py-0 pl-2 text-sm text-ink';
  const WORDS = { open: 'in the yard', archived: 'archived', deleted: 'deleted' } as const;
</script>

<div class="mb-2 flex flex-wrap items-center gap-2 text-sm" role="search">
  <input
    class="w-52 {BOX} pr-2"
    type="search"
    aria-label="Find a site"
    placeholder="Name or place"
    value={yard.view.find}
    oninput={(e) => yard.look({ find: e.currentTarget.value })}
  />
  <select
    class="{BOX} pr-7"
    aria-label="Worst verdict"
    value={yard.view.verdict}
    onchange={(e) => yard.look({ verdict: VERDICT_ORDER.find((v) => v === e.currentTarget.value) ?? '' })}
  >
    <option value="">any verdict</option>
    {#each VERDICT_ORDER as v (v)}<option value={v}>worst is {v}</option>{/each}
  </select>
  <select
    class="{BOX} pr-7"
    aria-label="Stage of the work"
    value={yard.view.stage}
    onchange={(e) => yard.look({ stage: STAGES_OF_WORK.find((s) => s === e.currentTarget.value) ?? '' })}
  >
    <option value="">any stage</option>
    {#each STAGES_OF_WORK as s (s)}<option value={s}>{s}</option>{/each}
  </select>
  <select
    class="{BOX} pr-7"
    aria-label="Standing"
    value={yard.view.standing}
    onchange={(e) => yard.look({ standing: STANDINGS.find((s) => s === e.currentTarget.value) ?? 'open' })}
  >
    {#each STANDINGS as s (s)}<option value={s}>{WORDS[s]}</option>{/each}
  </select>
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
