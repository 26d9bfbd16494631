<script lang="ts">
  import { SvelteMap } from 'svelte/reactivity';
  import type { SiteDesign } from '$core/design';
  import { worstCheck } from '$core/kernel/check';
  import { kindOf } from '$core/proving/kinds';
  import { lineOfEntry } from '$lib/ui/record/entryLine';
  import { named, when } from '$lib/ui/record/words';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import type { StringPick } from './stringPick.svelte';
  import { STRING_KINDS } from './stringPick.svelte';

  let { pick, design }: { pick: StringPick; design: SiteDesign } = $props();
  const corrected = $derived(new Set(pick.log.entries.map((r) => r.corrects).filter((id) => id !== null)));
  const entries = $derived(pick.log.entries.filter((r) => r.subject.id === pick.string?.id).toReversed());
  const verdicts = new SvelteMap<string, ReturnType<typeof worstCheck>>();
  $effect(() => {
    for (const e of entries) {
      const { checks: own } = pick.log.evidence.judgement(e);
      if (own.length) verdicts.set(e.id, worstCheck(own));
    }
  });
</script>

<section class="sheet p-3" aria-labelledby="entries">
  <h2 id="entries">Entries of this string</h2>
  {#if entries.length === 0}<p class="text-dim">Nothing recorded yet.</p>{/if}
  <ol>
    {#each entries as r (r.id)}
      {@const note = pick.log.evidence.notes.get(r.id)}
      <li class="border-t border-rule py-1.5 {corrected.has(r.id) ? 'text-dim line-through' : ''}">
        <span class="num">{when(r.doneAt)}</span>
        {lineOfEntry(r)}
        {#if verdicts.has(r.id)}<VerdictMark verdict={verdicts.get(r.id) ?? 'unknown'} />{/if}
        {#if note}<span class="block text-sm text-stop">Proves nothing: {named(note, design)}</span>{/if}
        <span class="block text-sm text-dim"
          >{r.by}, {r.role}{r.instrument ? `, ${r.instrument.name} ${r.instrument.serial}` : ''}, release {r.release}{r.reason
            ? ` · ${r.reason}`
            : ''}
          {#if !corrected.has(r.id) && kindOf(r).correctable && (STRING_KINDS as readonly string[]).includes(r.kind)}<button
              type="button"
              class="ml-2 underline"
              onclick={() => (pick.correcting = r.id)}>correct</button
            >{/if}
        </span>
      </li>
    {/each}
  </ol>
</section>
