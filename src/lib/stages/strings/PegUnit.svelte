<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import type { Place, PvString } from '$core/site/parts';
  import type { UnitView } from './pegs';
  import { VERDICT_COLOUR } from '$lib/ui/verdictColour';
  import VerdictGlyph from '$lib/ui/VerdictGlyph.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let {
    view,
    letters,
    picked,
    dimmed,
    onpress,
    onpick,
    onhang,
  }: {
    view: UnitView;
    letters: ReadonlyMap<string, string>;
    picked: string | null;
    /** Whether a string is left out by the filter. */
    dimmed: (s: PvString) => boolean;
    onpress: (place: Place, joined: boolean) => void;
    onpick: (string: PvString | null) => void;
    onhang: (place: Place) => void;
  } = $props();

  const at = $derived(
    new Map(view.strings.map((s) => [`${s.place?.tracker}/${s.place?.input}/${s.place?.branch}`, s] as const)),
  );
  const locked = $derived(new Set(view.locked));
  const nameOf = (s: PvString) =>
    `string ${s.number}, plane ${letters.get(s.planeId)}, ${s.modules} modules${locked.has(s.id) ? ', locked' : ''}`;
</script>

<!-- The button that a tag stands in says its verdict. -->
{#snippet tag(s: PvString)}
  {@const verdict = view.verdicts[s.id] ?? 'unknown'}
  <span class="shrink-0 border border-ink bg-sheet px-1 font-bold leading-4">{letters.get(s.planeId)}</span>
  <span class="num truncate">{s.number}·{s.modules}</span>
  {#if locked.has(s.id)}<span class="peg-pin" aria-hidden="true"></span>{/if}
  <span class="ml-auto {VERDICT_COLOUR[verdict]}"><VerdictGlyph {verdict} /></span>
{/snippet}

<section
  class="sheet peg-unit p-2"
  aria-label="Pegs of {view.unit.tag}"
  data-unit={view.unit.tag}
  data-part={view.unit.id}
>
  <header class="mb-1 flex items-baseline justify-between">
    <h3>{view.unit.tag} <span class="font-normal text-dim">{view.type.name}</span></h3>
    <span class="num">{view.ratio === null ? 'empty' : `DC/AC ${fixed(view.ratio, 0)} %`}</span>
  </header>
  <div class="space-y-0.5">
    {#each { length: view.type.trackers } as _, t (t)}
      {@const tracker = t + 1}
      <div class="flex items-center gap-1">
        <span class="flex w-9 items-center gap-0.5 text-sm"
          ><span class="num w-5 text-right">{tracker}</span>
          {#if view.verdicts[`${view.unit.id}/${tracker}`]}<VerdictMark
              verdict={view.verdicts[`${view.unit.id}/${tracker}`] ?? 'unknown'}
              word={false}
            />{/if}
        </span>
        {#each { length: view.type.inputsPerTracker } as _i, i (i)}
          {@const place = { inverterId: view.unit.id, tracker, input: i + 1, branch: 1 as const }}
          {@const s = at.get(`${tracker}/${i + 1}/1`)}
          {@const y = at.get(`${tracker}/${i + 1}/2`)}
          <span class="flex min-w-0 flex-1 flex-col gap-px">
            <button
              type="button"
              data-part={s?.id}
              data-peg="{view.index}/{tracker}/{i + 1}"
              tabindex={tracker === 1 && i === 0 ? 0 : -1}
              draggable={s !== undefined}
              class="flex h-7 items-center gap-1 border px-1 text-left text-sm
                {s ? 'peg-tag border-ink bg-paper' : 'border-dashed border-rule bg-transparent text-dim'}
                {s && dimmed(s) ? 'opacity-25' : ''}
                {s && picked === s.id ? 'bg-primary-100 outline-2 outline-primary-600' : ''}"
              aria-label="{view.unit.tag} tracker {tracker} input {i + 1}: {s ? nameOf(s) : 'empty'}{s
                ? `, ${view.verdicts[s.id] ?? 'unknown'}`
                : ''}"
              aria-pressed={s !== undefined && picked === s.id}
              onclick={(e) => onpress(place, e.shiftKey)}
              ondragstart={() => onpick(s ?? null)}
              ondragend={() => onpick(null)}
              ondragover={(e) => e.preventDefault()}
              ondrop={(e) => {
                e.preventDefault();
                onhang(place);
              }}
            >
              {#if s}{@render tag(s)}{:else}<span class="num w-full text-center">{i + 1}</span>{/if}
            </button>
            {#if y}
              <button
                type="button"
                data-part={y.id}
                class="peg-tag flex h-6 items-center gap-1 border border-ink bg-paper px-1 text-left text-sm {picked ===
                y.id
                  ? 'bg-primary-100 outline-2 outline-primary-600'
                  : ''}"
                aria-label="{view.unit.tag} tracker {tracker} input {i + 1}, second of a Y: {nameOf(y)}, {view.verdicts[
                  y.id
                ] ?? 'unknown'}"
                aria-pressed={picked === y.id}
                onclick={() => onpick(picked === y.id ? null : y)}>Y {@render tag(y)}</button
              >
            {/if}
          </span>
        {/each}
      </div>
    {/each}
  </div>
</section>

<style>
  /* Off screen nothing is laid out: sixty inverters are two thousand pegs. */
  .peg-unit {
    content-visibility: auto;
    contain-intrinsic-size: auto 340px;
  }
  /* A tag with its hole on the side of the peg. */
  .peg-tag {
    border-radius: 12px 0 0 12px;
    padding-left: 1rem;
    position: relative;
  }
  .peg-tag::before {
    content: '';
    position: absolute;
    left: 5px;
    width: 7px;
    height: 7px;
    border: 1px solid var(--color-ink);
    border-radius: 50%;
    background: var(--color-sheet);
  }
  /* A nail through the tag: it stays. */
  .peg-pin {
    width: 3px;
    height: 0.9rem;
    background: var(--color-ink);
  }
</style>
