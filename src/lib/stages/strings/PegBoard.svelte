<script lang="ts">
  import type { Snippet } from 'svelte';
  import { untrack } from 'svelte';
  import type { Check } from '$core/kernel/check';
  import type { Lock } from '$core/strings/part';
  import type { Place, PvString } from '$core/site/parts';
  import type { SiteDesign } from '$core/design';
  import { placeKey } from '$core/site/parts';
  import { lineOf } from '$core/site/line';
  import { verdictsOf } from '$core/strings/verdictsOf';
  import Choice from '$lib/ui/form/Choice.svelte';
  import PegUnit from './PegUnit.svelte';
  import type { UnitView } from './pegs';
  import { unitViews } from './pegs';
  import { planeLetter } from '$lib/ui/planeGlyph';
  import Find from '$lib/ui/form/Find.svelte';

  let {
    design,
    checks,
    onmove,
    onlock,
    tools,
    news,
  }: {
    /** What stands in one line with the search. */
    tools: Snippet<[count: string]>;
    /** What is said between it and the pegs. */
    news: Snippet;
    design: SiteDesign;
    checks: readonly Check[];
    onmove: (string: PvString, place: Place | null) => void;
    onlock: (lock: Lock, on: boolean) => void;
  } = $props();

  const SIZES = [
    { name: 'small', columns: 'grid-cols-2 sm:grid-cols-3 xl:grid-cols-5', zoom: 0.7 },
    { name: 'middle', columns: 'sm:grid-cols-2 xl:grid-cols-3', zoom: 1 },
    { name: 'large', columns: 'sm:grid-cols-1 xl:grid-cols-2', zoom: 1.25 },
  ] as const;
  let size = $state<(typeof SIZES)[number]['name']>('middle');
  let find = $state('');
  let planeOnly = $state('');
  let picked = $state<string | null>(null);
  let said = $state('');
  const scale = $derived(SIZES.find((s) => s.name === size) ?? SIZES[1]);

  // The very planes of before give the very letters of before: units that nothing changed on are not drawn again.
  const planes = $derived(design.planes);
  const letters = $derived(new Map(planes.map((p, i) => [p.id, planeLetter(i)])));
  const line = $derived(lineOf(design));
  const loose = $derived(design.strings.filter((s) => s.place === null));
  const locked = $derived(new Set(design.locks.flatMap((l) => (l.kind === 'string' ? [l.stringId] : []))));
  let last: readonly UnitView[] = [];
  const views = $derived.by(() => {
    const ratios = new Map<string | undefined, number | null>();
    for (const c of checks) if (c.id === 'strings.dc-ac-ratio') ratios.set(c.subject.id, c.value);
    const verdicts = verdictsOf(checks);
    return untrack(() => (last = unitViews(design, verdicts, ratios, last)));
  });

  const wanted = $derived(find.trim().toLowerCase());
  /** A search finds a unit by its tag, and strings by `12` or a plane's letter with a number, as `B 12`. */
  const matches = (s: PvString) => {
    const letter = (letters.get(s.planeId) ?? '').toLowerCase();
    return wanted === '' || String(s.number) === wanted || `${letter}${s.number}` === wanted.replace(/\s/g, '');
  };
  const dimmed = $derived((s: PvString) => (planeOnly !== '' && s.planeId !== planeOnly) || !matches(s));
  const shown = $derived(
    views.filter((v) => {
      if (planeOnly && !v.strings.some((s) => s.planeId === planeOnly)) return false;
      return wanted === '' || v.unit.tag.toLowerCase().includes(wanted) || v.strings.some(matches);
    }),
  );
  const dimmedOn = (v: UnitView) =>
    wanted !== '' && v.unit.tag.toLowerCase().includes(wanted)
      ? (s: PvString) => planeOnly !== '' && s.planeId !== planeOnly
      : dimmed;

  const nameOf = (s: PvString) => `string ${s.number}, plane ${letters.get(s.planeId)}, ${s.modules} modules`;
  const placeName = (p: Place) => `${line.tag(p.inverterId)} tracker ${p.tracker} input ${p.input}`;
  const inHand = $derived(picked === null ? undefined : line.string(picked)?.string);

  function hang(place: Place | null) {
    const string = inHand;
    if (!string) return;
    const other = place && line.stringAt(placeKey(place));
    picked = null;
    if (other?.id === string.id) return;
    onmove(string, place);
    said = place
      ? `${nameOf(string)} hangs on ${placeName(place)}${other ? `, in exchange with ${nameOf(other)}` : ''}`
      : `${nameOf(string)} hangs on no input`;
  }

  function press(place: Place, joined: boolean) {
    const own = line.stringAt(placeKey(place));
    if (picked && joined && own && own.id !== picked) hang({ ...place, branch: 2 });
    else if (picked) hang(place);
    else if (own) {
      picked = own.id;
      said = `${nameOf(own)} picked up. Choose an input with the arrow keys and press Enter; Escape puts it back.`;
    }
  }

  function toggleLock(string: PvString, built = false) {
    const on = !locked.has(string.id);
    onlock({ kind: 'string', stringId: string.id, built, kept: null }, on);
    said = `${nameOf(string)} ${on ? 'is locked where it hangs' : 'is no longer locked'}`;
  }

  /** Arrow keys walk from peg to peg: left and right over inputs, up and down over trackers, on into the next inverter. */
  function walk(event: KeyboardEvent) {
    if (event.key === 'Escape' && picked) {
      picked = null;
      said = 'Put back.';
      return;
    }
    const peg = (event.target as HTMLElement).closest<HTMLElement>('[data-peg]');
    if (!peg) return;
    const [unit = 0, tracker = 0, input = 0] = (peg.dataset.peg ?? '').split('/').map(Number);
    if (event.key.toLowerCase() === 'l' && !event.ctrlKey && !event.metaKey) {
      const own = line.stringAt(`${design.inverters[unit]?.id}/${tracker}/${input}/1`);
      if (own) toggleLock(own);
      return;
    }
    const step = (
      { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] } as Record<
        string,
        [number, number]
      >
    )[event.key];
    if (!step) return;
    event.preventDefault();
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

<div class="no-print flex flex-wrap items-center gap-2 text-sm">
  {@render tools(shown.length === views.length ? `${views.length} units` : `${shown.length} of ${views.length} units`)}
  <div class="ml-auto">
    <Find label="Find a unit or string" placeholder="INV-07 or 112" width="w-32" bind:value={find} />
  </div>
  <Choice
    label="Plane shown"
    unnamed
    choices={[
      { value: '', name: 'all planes' },
      ...design.planes.map((p, i) => ({ value: p.id, name: `${planeLetter(i)} ${p.label}` })),
    ]}
    bind:value={planeOnly}
  />
  <Choice label="Size of the pegs" unnamed choices={SIZES.map((s) => s.name)} bind:value={size} />
</div>
{@render news()}

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div onkeydown={walk}>
  <p aria-live="assertive" class="sr-only">{said}</p>
  {#if inHand}
    <p
      class="no-print fixed bottom-3 left-1/2 z-20 w-max max-w-[95vw] -translate-x-1/2 border-2 border-ink bg-primary-50 px-4 py-2 shadow-lg"
    >
      In hand: <b>{nameOf(inHand)}</b>. Choose an input; with Shift it joins the string there as a Y.
      <button type="button" class="ml-3 underline" onclick={() => hang(null)}>Hang on none</button>
      {#if inHand.place}<button type="button" class="ml-3 underline" onclick={() => toggleLock(inHand)}
          >{locked.has(inHand.id) ? 'Unlock' : 'Lock here'}</button
        >{/if}
      <button type="button" class="ml-3 underline" onclick={() => (picked = null)}>Put back</button>
    </p>
  {/if}
  {#if shown.length === 0}<p class="sheet p-4 text-dim">Nothing here is called “{find}” on this plane.</p>{/if}
  <div class="grid gap-3 {scale.columns}" style:zoom={scale.zoom}>
    {#each shown as view (view.unit.id)}
      <PegUnit
        {view}
        {letters}
        picked={picked && view.strings.some((s) => s.id === picked) ? picked : null}
        dimmed={dimmedOn(view)}
        onpress={press}
        onpick={(s) => (picked = s?.id ?? null)}
        onhang={hang}
      />
    {/each}
  </div>
  {#if loose.length}
    <section class="sheet mt-3 p-2" aria-label="Strings on no input">
      <h3>On no input</h3>
      <div class="mt-1 flex flex-wrap gap-1">
        {#each loose as s (s.id)}
          <button
            type="button"
            data-part={s.id}
            draggable="true"
            class="flex h-7 items-center gap-1 rounded-l-xl border border-ink bg-paper pr-1 pl-3 text-sm {picked ===
            s.id
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
