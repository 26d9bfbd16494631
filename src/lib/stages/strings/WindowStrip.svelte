<script lang="ts">
  import type { InverterType } from '$core/equipment/inverterType';
  import type { Plane } from '$core/site/parts';
  import { stringWindow, windowInputs } from '$core/strings/window';
  import { lineOf } from '$core/site/line';
  import { useSite } from '$lib/client/siteState.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
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
  let open = $state(false);
</script>

<section class="sheet px-3 py-1.5" aria-label="String window">
  <div class="flex flex-wrap items-center gap-x-2.5 gap-y-1">
    <h2 class="text-base">String window</h2>
    <Choice
      label="Plane"
      unnamed
      value={plane?.id}
      choices={design.planes.map((p, i) => ({ value: p.id, name: `${planeLetter(i)} ${p.label}` }))}
      onchoose={onplane}
    />
    <Choice
      label="Inverter type"
      unnamed
      value={inverter?.id}
      choices={design.equipment.inverters.map((t) => ({ value: t.id, name: t.name }))}
      onchoose={oninverter}
    />
    <div class="flex items-center gap-1 text-sm text-dim">
      <Amount
        label="Modules in series"
        unnamed
        width="w-16"
        min={1}
        max={60}
        step={1}
        value={modules}
        onamount={onmodules}
      /> modules
    </div>
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
