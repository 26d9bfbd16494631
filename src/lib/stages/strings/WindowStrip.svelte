<script lang="ts">
  import type { InverterType } from '$core/equipment/inverterType';
  import type { Plane } from '$core/site/parts';
  import { stringWindow, windowInputs } from '$core/strings/window';
  import { lineOf } from '$core/site/line';
  import { useSite } from '$lib/client/siteState.svelte';
  import { planeLetter } from '$lib/ui/planeGlyph';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import WindowPanel from './WindowPanel.svelte';

  let {
    plane,
    inverter,
    modules,
    onplane,
    oninverter,
    onmodules,
  }: {
    plane: Plane | undefined;
    inverter: InverterType | undefined;
    modules: number;
    onplane: (id: string) => void;
    oninverter: (id: string) => void;
    onmodules: (count: number | null) => void;
  } = $props();
  const site = useSite();
  const design = $derived(site.design);
  const line = $derived(lineOf(design));
  const module = $derived(plane && line.plane(plane.id)?.module);
  const inputs = $derived(
    plane && inverter && module ? windowInputs(design.survey, plane, module, inverter, line.ratedW || null) : null,
  );
  const answer = $derived(inputs && stringWindow(inputs));
  const w = $derived(answer?.value ?? null);
  const BOX = 'h-8 border border-rule bg-white py-0 pr-7 pl-2 text-sm text-ink';
  let open = $state(false);
</script>

<section class="sheet px-3 py-1.5" aria-label="String window">
  <div class="flex flex-wrap items-center gap-x-2.5 gap-y-1">
    <h2 class="text-base">String window</h2>
    <select class={BOX} aria-label="Plane" value={plane?.id} onchange={(e) => onplane(e.currentTarget.value)}>
      {#each design.planes as p, i (p.id)}<option value={p.id}>{planeLetter(i)} {p.label}</option>{/each}
    </select>
    <select
      class={BOX}
      aria-label="Inverter type"
      value={inverter?.id}
      onchange={(e) => oninverter(e.currentTarget.value)}
    >
      {#each design.equipment.inverters as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
    </select>
    <label class="flex items-center gap-1 text-sm text-dim"
      ><input
        class="num h-8 w-16 border border-rule bg-white px-2 text-ink"
        type="number"
        min="1"
        max="60"
        value={modules}
        aria-label="Modules in series"
        oninput={(e) => onmodules(e.currentTarget.valueAsNumber || null)}
      /> modules</label
    >
    {#if !answer}
      <p class="text-dim">
        A window needs a plane and an inverter: enter them on the <a
          class="underline"
          href="/sites/{site.siteId}/survey">survey</a
        >.
      </p>
    {:else if w}
      <p>
        legal <b class="num">{w.minModules} to {w.maxModules}</b>{#if w.preferred}, full power
          <b class="num">{w.preferred.min} to {w.preferred.max}</b>{/if}
        <span class="text-dim">up to {w.limitV} V</span>
      </p>
    {:else}
      <p><VerdictMark verdict="unknown" /> Missing: {answer.missing.join(', ')}</p>
    {/if}
    {#if answer && inputs}<button
        type="button"
        class="ml-auto text-sm underline"
        aria-expanded={open}
        onclick={() => (open = !open)}>{open ? 'Close' : 'Scale'}</button
      >{/if}
  </div>
  {#if open && answer && inputs && inverter && module}
    <WindowPanel {answer} {inputs} {inverter} {module} {modules} fixHref="/sites/{site.siteId}/survey" />
  {/if}
</section>
