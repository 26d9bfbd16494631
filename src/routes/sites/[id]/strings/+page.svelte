<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { untrack } from 'svelte';
  import { lineOf } from '$core/site/line';
  import type { PvString } from '$core/site/parts';
  import { newString } from '$core/site/parts';
  import { formatQuantity } from '$core/kernel/quantity';
  import { homeRunLengths } from '$core/strings/homeRun';
  import { legalLayout } from '$core/strings/layout/legalLayout';
  import type { Violation } from '$core/strings/verify';
  import { verifyLayout } from '$core/strings/verify';
  import { stringWindow, windowInputs } from '$core/strings/window';
  import { useSite } from '$lib/client/siteState.svelte';
  import {
    dcCableForm,
    dcCableFromForm,
    dcCableToForm,
    halfAcceptance,
    stringMeasuresForm,
    stringMeasuresToForm,
    stringWithMeasures,
  } from '$lib/schemas/forms';
  import Caution from '$lib/ui/Caution.svelte';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import PegBoard from '$lib/ui/PegBoard.svelte';
  import { planeLetter } from '$lib/ui/planeGlyph';
  import Stage from '$lib/ui/Stage.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import LayoutPanel from '$lib/ui/strings/LayoutPanel.svelte';
  import StringsNav from '$lib/ui/strings/StringsNav.svelte';
  import WindowPanel from '$lib/ui/strings/WindowPanel.svelte';

  let { data } = $props();
  const site = useSite();
  const design = $derived(site.design);
  const checks = $derived(site.assessment.checks.filter((c) => c.id.startsWith('strings.')));
  /** The verifier looks right after the move is on screen: its answer need not hold the move up. */
  let violations = $state.raw<readonly Violation[]>(untrack(() => verifyLayout(design)));
  $effect(() => {
    const looked = design;
    const later = setTimeout(() => (violations = verifyLayout(looked)));
    return () => clearTimeout(later);
  });
  const remaining = $derived.by(() => {
    const used = new Map<string, number>();
    for (const s of design.strings) if (s.place) used.set(s.planeId, (used.get(s.planeId) ?? 0) + s.modules);
    return design.planes
      .map((p) => ({ plane: p, left: p.moduleCount - (used.get(p.id) ?? 0) }))
      .filter((r) => r.left !== 0);
  });
  let reasons = $state.raw<readonly { planeId: string; modules: number; reason: string }[]>([]);

  let planeId = $state('');
  let typeId = $state('');
  const plane = $derived(design.planes.find((p) => p.id === planeId) ?? design.planes[0]);
  const inverter = $derived(design.equipment.inverters.find((t) => t.id === typeId) ?? design.equipment.inverters[0]);
  const line = $derived(lineOf(design));
  const module = $derived(plane && line.plane(plane.id)?.module);
  const inputs = $derived(
    plane && inverter && module ? windowInputs(design.survey, plane, module, inverter, line.ratedW || null) : null,
  );
  const answer = $derived(inputs && stringWindow(inputs));
  const usual = $derived(
    design.strings.find((s) => s.planeId === plane?.id)?.modules ??
      answer?.value?.preferred?.max ??
      answer?.value?.maxModules ??
      1,
  );
  let chosen = $state<number | null>(null);
  let tableOpen = $state(false);
  let measuring = $state('');
  const lengths = $derived(homeRunLengths(design));
  const isMeasured = (s: PvString) => s.lengthM !== null && s.lengthToId === (s.place?.inverterId ?? '');
  const modules = $derived(chosen ?? usual);

  async function layOut() {
    reasons = legalLayout(design).remaining;
    await site.apply({ kind: 'lay-out' });
  }
  function addString() {
    if (!plane) return;
    const number = Math.max(0, ...design.strings.map((s) => s.number)) + 1;
    const string = newString(`s-${crypto.randomUUID().slice(0, 8)}`, number, plane.id, modules);
    void site.apply({ kind: 'string', string });
  }
</script>

<Stage>
  {#snippet main()}
    <StringsNav siteId={site.siteId} />
    <Caution
      >Above the limit on the first cold bright morning the inverter is destroyed and no warranty pays. A string in
      light is live: it has no off switch.</Caution
    >

    <section class="sheet p-3" aria-labelledby="window-title">
      <header class="flex flex-wrap items-end gap-3">
        <h2 id="window-title" class="mr-auto">String window</h2>
        <label class="text-sm text-dim"
          >Plane
          <select
            class="block border border-rule bg-white px-2 py-1 text-ink"
            value={plane?.id}
            onchange={(e) => {
              planeId = e.currentTarget.value;
              chosen = null;
            }}
          >
            {#each design.planes as p, i (p.id)}<option value={p.id}>{planeLetter(i)} {p.label}</option>{/each}
          </select>
        </label>
        <label class="text-sm text-dim"
          >Inverter type
          <select
            class="block border border-rule bg-white px-2 py-1 text-ink"
            value={inverter?.id}
            onchange={(e) => (typeId = e.currentTarget.value)}
          >
            {#each design.equipment.inverters as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
          </select>
        </label>
        <label class="text-sm text-dim"
          >Modules in series
          <input
            class="num block w-24 border border-rule bg-white px-2 py-1 text-ink"
            type="number"
            min="1"
            max="60"
            value={modules}
            oninput={(e) => (chosen = e.currentTarget.valueAsNumber || null)}
          />
        </label>
      </header>
      {#if !answer}
        <p class="mt-2 text-dim">
          A window needs a plane and an inverter: enter them on the <a
            class="underline"
            href="/sites/{site.siteId}/survey">survey</a
          >.
        </p>
      {:else if inputs && inverter && module}
        <WindowPanel {answer} {inputs} {inverter} {module} {modules} fixHref="/sites/{site.siteId}/survey" />
      {/if}
    </section>

    <LayoutPanel shelf={data.shelf.inverters} />

    <section aria-labelledby="pegs-title">
      <header class="mb-2 flex flex-wrap items-center gap-3">
        <h2 id="pegs-title">Peg board</h2>
        <Button size="xs" disabled={!design.planes.length || !design.inverters.length} onclick={layOut}
          >Lay out all planes</Button
        >
        <Button
          size="xs"
          color="alternative"
          disabled={!design.strings.length}
          onclick={() => site.apply({ kind: 'number-strings' })}>Number along the inputs</Button
        >
        <Button size="xs" color="alternative" disabled={!plane} onclick={addString}
          >Add a string of {modules} on {plane?.label ?? '–'}</Button
        >
        <p class="text-sm text-dim">
          Click a tag, then an input; or drag it. By keyboard: arrow keys walk, Enter picks up and hangs, Escape puts
          back, L locks.
        </p>
      </header>
      {#if site.changes.length}
        <p class="mb-2 border-l-4 border-ink bg-sheet px-3 py-1 text-sm" aria-live="polite" data-testid="changes">
          The last change altered {site.changes.length}
          {site.changes.length === 1 ? 'check' : 'checks'}:
          {#each site.changes.slice(0, 4) as c (c.what)}<span class="mr-3 inline-block"
              >{c.what}: {c.from ?? 'new'} → <b>{c.to ?? 'gone'}</b></span
            >{/each}
          {#if site.changes.length > 4}…{/if}
        </p>
      {/if}
      {#if violations.length}
        <ul class="mb-2 border-l-4 border-stop bg-sheet px-3 py-1 text-sm" aria-label="Not legal">
          {#each violations.slice(0, 6) as v, i (i)}<li><b>{v.predicate}</b> {v.text}</li>{/each}
        </ul>
      {/if}
      {#if remaining.length}
        <ul class="mb-2 border-l-4 border-tight bg-sheet px-3 py-1 text-sm" aria-label="Modules left over">
          {#each remaining as r (r.plane.id)}
            <li>
              {r.plane.label}: <b class="num">{r.left}</b> modules {r.left > 0
                ? 'hang on no input'
                : 'too many in strings'}{#each reasons.filter((x) => x.planeId === r.plane.id) as why (why.reason)}; {why.reason}{/each}.
            </li>
          {/each}
        </ul>
      {/if}
      {#if design.inverters.length === 0}
        <p class="sheet p-6 text-dim">
          No inverter yet: hang one on the <a class="underline" href="/sites/{site.siteId}/survey">survey</a>.
        </p>
      {:else}
        <PegBoard
          {design}
          {checks}
          onmove={(string, place) => site.apply({ kind: 'hang-string', stringId: string.id, place })}
          onlock={(lock, on) => site.apply({ kind: on ? 'lock' : 'unlock', lock })}
        />
      {/if}
      <p class="mt-2 text-sm text-dim">
        {#each design.planes as p, i (p.id)}<span class="mr-4 inline-block"
            ><b class="border border-ink px-1">{planeLetter(i)}</b> {p.label}, {p.tiltDeg}° / {p.azimuthDeg}°</span
          >{/each}A tag reads plane, string number · modules.
      </p>
    </section>
    <section class="sheet p-3" aria-labelledby="cable-title">
      <h2 id="cable-title" class="mb-1">DC cable and string fuses</h2>
      {#key design.dcCable}
        <EditForm
          schema={dcCableForm}
          value={dcCableToForm(design.dcCable, design.strings)}
          refine={(value) => halfAcceptance(value, design.strings)}
          groups={[
            {
              title: '',
              paths: ['sectionMm2', 'mode', 'ambientC', 'circuitsTogether', 'conductorC', 'fuseA'],
            },
            { title: 'A drop above 2 %', paths: ['dropReason', 'dropMostPercent', 'dropStrings'] },
          ]}
          prefix="dc-cable"
          label="Save the cable"
          save={(value) =>
            site.apply({ kind: 'dc-cable', dcCable: dcCableFromForm(dcCableForm.parse(value), design.strings) })}
        />
      {/key}
    </section>
    {#if design.strings.length}
      <details class="sheet p-3" bind:open={tableOpen}>
        <summary class="cursor-pointer font-semibold">All strings as a table</summary>
        {#if tableOpen}<table class="grid-table mt-2">
            <thead
              ><tr
                ><th scope="col">String</th><th scope="col">Plane</th><th scope="col">Modules</th><th scope="col"
                  >Inverter</th
                ><th scope="col">Tracker</th><th scope="col">Input</th><th scope="col">Home run</th><th scope="col"
                ></th></tr
              ></thead
            >
            <tbody>
              {#each design.strings as s (s.id)}
                <tr
                  ><th scope="row" class="num">{s.number}</th><td>{line.planeLabel(s.planeId)}</td><td class="num"
                    >{s.modules}</td
                  >
                  <td>{s.place ? line.tag(s.place.inverterId) : '–'}</td><td class="num">{s.place?.tracker ?? '–'}</td
                  ><td class="num">{s.place ? `${s.place.input}${s.place.branch === 2 ? ' Y' : ''}` : '–'}</td>
                  <td class="num">{formatQuantity(lengths.get(s.id), 'm')}{isMeasured(s) ? ', measured' : ''}</td>
                  <td class="text-right whitespace-nowrap"
                    ><button
                      type="button"
                      class="mr-3 underline"
                      aria-expanded={measuring === s.id}
                      onclick={() => (measuring = measuring === s.id ? '' : s.id)}>measures</button
                    ><button
                      type="button"
                      class="underline"
                      onclick={() => site.apply({ kind: 'remove-string', stringId: s.id })}>remove</button
                    ></td
                  ></tr
                >
                {#if measuring === s.id}
                  <tr
                    ><td colspan="8" class="bg-paper">
                      <EditForm
                        schema={stringMeasuresForm}
                        value={stringMeasuresToForm(s)}
                        groups={[
                          {
                            title: '',
                            paths: ['lengthM', 'leadsM', ...(s.place?.branch === 2 ? ['yM'] : [])],
                          },
                        ]}
                        prefix="measures-{s.id}"
                        label="Save the measures of string {s.number}"
                        save={(value) =>
                          site.apply({
                            kind: 'string',
                            string: stringWithMeasures(s, stringMeasuresForm.parse(value)),
                          })}
                      />
                    </td></tr
                  >
                {/if}
              {/each}
            </tbody>
          </table>{/if}
      </details>
    {/if}
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: strings" />{/snippet}
</Stage>
