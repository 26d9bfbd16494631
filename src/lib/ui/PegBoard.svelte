<script lang="ts">
  import type { Check, Verdict } from '$core/kernel/check';
  import { worstOf } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import type { Place, PvString, SiteDesign } from '$core/site/siteDesign';
  import { planeLetter } from './planeGlyph';
  import VerdictMark from './VerdictMark.svelte';

  let {
    design,
    checks,
    onmove,
  }: { design: SiteDesign; checks: readonly Check[]; onmove: (string: PvString, place: Place | null) => void } =
    $props();

  let picked = $state<string | null>(null);
  let said = $state('');
  const types = $derived(new Map(design.equipment.inverters.map((t) => [t.id, t])));
  const letters = $derived(new Map(design.planes.map((p, i) => [p.id, planeLetter(i)])));
  const at = $derived(
    new Map(
      design.strings.flatMap((s) =>
        s.place ? [[`${s.place.inverterId}/${s.place.tracker}/${s.place.input}`, s] as const] : [],
      ),
    ),
  );
  const loose = $derived(design.strings.filter((s) => s.place === null));
  const verdicts = $derived.by(() => {
    const seen = new Map<string, Set<Verdict>>();
    for (const c of checks)
      if (
        c.subject.id &&
        (c.subject.element === 'string' || c.subject.element === 'tracker' || c.subject.element === 'inverter')
      )
        (seen.get(c.subject.id) ?? seen.set(c.subject.id, new Set()).get(c.subject.id)!).add(c.verdict);
    return new Map([...seen].map(([id, v]) => [id, worstOf(v)]));
  });
  const ratioOf = $derived(
    new Map(checks.filter((c) => c.id === 'strings.dc-ac-ratio').map((c) => [c.subject.id, c.value])),
  );

  const nameOf = (s: PvString) => `string ${s.number}, plane ${letters.get(s.planeId)}, ${s.modules} modules`;
  const placeName = (p: Place) =>
    `${design.inverters.find((i) => i.id === p.inverterId)?.tag} tracker ${p.tracker} input ${p.input}`;

  function hang(place: Place | null) {
    const string = design.strings.find((s) => s.id === picked);
    if (!string) return;
    const other = place && at.get(`${place.inverterId}/${place.tracker}/${place.input}`);
    picked = null;
    if (other?.id === string.id) return;
    onmove(string, place);
    said = place
      ? `${nameOf(string)} hangs on ${placeName(place)}${other ? `, in exchange with ${nameOf(other)}` : ''}`
      : `${nameOf(string)} hangs on no input`;
  }

  function press(place: Place) {
    const own = at.get(`${place.inverterId}/${place.tracker}/${place.input}`);
    if (picked) hang(place);
    else if (own) {
      picked = own.id;
      said = `${nameOf(own)} picked up. Choose an input with the arrow keys and press Enter; Escape puts it back.`;
    }
  }

  /** Arrow keys walk from peg to peg: left and right over inputs, up and down over trackers, on into the next inverter. */
  function walk(event: KeyboardEvent) {
    if (event.key === 'Escape' && picked) {
      picked = null;
      said = 'Put back.';
      return;
    }
    const step = (
      { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] } as Record<
        string,
        [number, number]
      >
    )[event.key];
    const peg = (event.target as HTMLElement).closest<HTMLElement>('[data-peg]');
    if (!step || !peg) return;
    event.preventDefault();
    const [unit = 0, tracker = 0, input = 0] = (peg.dataset.peg ?? '').split('/').map(Number);
    const find = (u: number, t: number, i: number) =>
      document.querySelector<HTMLElement>(`[data-peg="${u}/${t}/${i}"]`);
    const next =
      find(unit, tracker + step[0], input + step[1]) ??
      (step[0]
        ? step[0] > 0
          ? find(unit + 1, 1, input)
          : lastOf(unit - 1, input)
        : step[1] > 0
          ? find(unit + 1, tracker, 1)
          : lastInput(unit - 1, tracker));
    next?.focus();
  }
  const pegsOf = (unit: number) => [...document.querySelectorAll<HTMLElement>(`[data-peg^="${unit}/"]`)];
  const lastOf = (unit: number, input: number) =>
    pegsOf(unit)
      .filter((p) => p.dataset.peg?.endsWith(`/${input}`))
      .at(-1);
  const lastInput = (unit: number, tracker: number) =>
    pegsOf(unit)
      .filter((p) => p.dataset.peg?.startsWith(`${unit}/${tracker}/`))
      .at(-1);
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div onkeydown={walk}>
  <p aria-live="assertive" class="sr-only">{said}</p>
  {#if picked}
    {@const s = design.strings.find((c) => c.id === picked)}
    <p
      class="no-print fixed bottom-3 left-1/2 z-20 w-max max-w-[95vw] -translate-x-1/2 border-2 border-ink bg-primary-50 px-4 py-2 shadow-lg"
    >
      In hand: <b>{s && nameOf(s)}</b>. Choose an input.
      <button type="button" class="ml-3 underline" onclick={() => hang(null)}>Hang on none</button>
      <button type="button" class="ml-3 underline" onclick={() => (picked = null)}>Put back</button>
    </p>
  {/if}
  <div class="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
    {#each design.inverters as unit, u (unit.id)}
      {@const type = types.get(unit.typeId)}
      {@const ratio = ratioOf.get(unit.id)}
      {#if type}
        <section class="sheet p-2" aria-label="Pegs of {unit.tag}">
          <header class="mb-1 flex items-baseline justify-between">
            <h3>{unit.tag} <span class="font-normal text-dim">{type.name}</span></h3>
            <span class="num">{ratio == null ? 'empty' : `DC/AC ${fixed(ratio, 0)} %`}</span>
          </header>
          <div class="space-y-0.5">
            {#each Array.from({ length: type.trackers }, (_, t) => t + 1) as tracker (tracker)}
              <div class="flex items-center gap-1">
                <span class="flex w-9 items-center gap-0.5 text-sm"
                  ><span class="num w-5 text-right">{tracker}</span>
                  {#if verdicts.has(`${unit.id}/${tracker}`)}<VerdictMark
                      verdict={verdicts.get(`${unit.id}/${tracker}`) ?? 'unknown'}
                      word={false}
                    />{/if}
                </span>
                {#each Array.from({ length: type.inputsPerTracker }, (_, i) => i + 1) as input (input)}
                  {@const place = { inverterId: unit.id, tracker, input }}
                  {@const s = at.get(`${unit.id}/${tracker}/${input}`)}
                  <button
                    type="button"
                    data-peg="{u}/{tracker}/{input}"
                    tabindex={tracker === 1 && input === 1 ? 0 : -1}
                    draggable={s !== undefined}
                    class="flex h-7 min-w-0 flex-1 items-center gap-1 border px-1 text-left text-sm
                      {s ? 'peg-tag border-ink bg-paper' : 'border-dashed border-rule bg-transparent text-dim'}
                      {s && picked === s.id ? 'bg-primary-100 outline-2 outline-primary-600' : ''}"
                    aria-label="{placeName(place)}: {s ? nameOf(s) : 'empty'}{s
                      ? `, ${verdicts.get(s.id) ?? 'unknown'}`
                      : ''}"
                    aria-pressed={s !== undefined && picked === s.id}
                    onclick={() => press(place)}
                    ondragstart={() => (picked = s?.id ?? null)}
                    ondragend={() => (picked = null)}
                    ondragover={(e) => e.preventDefault()}
                    ondrop={(e) => {
                      e.preventDefault();
                      hang(place);
                    }}
                  >
                    {#if s}
                      <span class="shrink-0 border border-ink bg-sheet px-1 font-bold leading-4"
                        >{letters.get(s.planeId)}</span
                      >
                      <span class="num truncate">{s.number}·{s.modules}</span>
                      <span class="ml-auto"><VerdictMark verdict={verdicts.get(s.id) ?? 'unknown'} word={false} /></span
                      >
                    {:else}<span class="num w-full text-center">{input}</span>{/if}
                  </button>
                {/each}
              </div>
            {/each}
          </div>
        </section>
      {/if}
    {/each}
  </div>
  {#if loose.length}
    <section class="sheet mt-3 p-2" aria-label="Strings on no input">
      <h3>On no input</h3>
      <div class="mt-1 flex flex-wrap gap-1">
        {#each loose as s (s.id)}
          <button
            type="button"
            draggable="true"
            class="peg-tag flex h-7 items-center gap-1 border border-ink bg-paper px-1 text-sm {picked === s.id
              ? 'bg-primary-100'
              : ''}"
            aria-label="{nameOf(s)}: on no input"
            aria-pressed={picked === s.id}
            onclick={() => (picked = s.id)}
            ondragstart={() => (picked = s.id)}
            ondragend={() => (picked = null)}
          >
            <span class="border border-ink bg-sheet px-1 font-bold leading-4">{letters.get(s.planeId)}</span><span
              class="num">{s.number}·{s.modules}</span
            >
          </button>
        {/each}
      </div>
    </section>
  {/if}
</div>

<style>
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
</style>
