<script lang="ts">
  import { MODULE_MOUNTING } from '$core/equipment/moduleMounting';
  import type { ModuleMounting } from '$core/equipment/moduleMounting';
  import { fixed } from '$core/kernel/quantity';
  import { BUILDINGS, COLD_METHODS } from '$core/site/survey';
  import { DC_CABLE_MODES, DC_SECTIONS_MM2 } from '$core/conductor/laid';
  import { trackerCurrents } from '$core/strings/currents';
  import { rearGain } from '$core/strings/moduleAt';
  import { moduleModel, parametersAt } from '$core/strings/curve/diode';
  import { evenString, trackerCurve, trackerMaximum } from '$core/strings/curve/tracker';
  import { cableNeedA, homeRunDrop } from '$core/strings/homeRun';
  import { schoolOf } from '$core/conductor/schools';
  import { homeRunOhm } from '$core/conductor/pvCable';
  import { stringFuse } from '$core/strings/fuses';
  import type { WindowInputs } from '$core/strings/window';
  import { stringWindow } from '$core/strings/window';
  import Caution from '$lib/ui/Caution.svelte';
  import CurveChart from '$lib/ui/strings/CurveChart.svelte';
  import WindowPanel from '$lib/ui/strings/WindowPanel.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { data } = $props();
  const inRange = (x: number | null, lo: number, hi: number) => x !== null && x >= lo && x <= hi;
  let moduleId = $state('');
  let typeId = $state('');
  let mounting = $state<ModuleMounting>('pitched_gap');
  let school = $state<WindowInputs['school']>('IEC');
  let building = $state<NonNullable<WindowInputs['building']>>('other building');
  const module = $derived(data.shelf.modules.find((m) => m.id === moduleId) ?? data.shelf.modules[0]);
  const inverter = $derived(data.shelf.inverters.find((t) => t.id === typeId) ?? data.shelf.inverters[0]);

  let coldestC = $state<number | null>(null);
  let hottestC = $state<number | null>(null);
  let coldMethod = $state<(typeof COLD_METHODS)[number]>('coefficient');
  let countTolerance = $state(false);
  /** Light behind over light in front: counts for modules that see behind, and is nobody’s until somebody types it. */
  let rearShare = $state<number | null>(null);
  const gain = $derived.by(() => {
    if (!module) return null;
    if (module.bifaciality === 0) return 1;
    return rearShare !== null && inRange(rearShare, 0, 0.3) ? rearGain(module, rearShare) : null;
  });
  let modules = $state(17);
  let strings = $state(2);
  const inputs = $derived<WindowInputs | null>(
    module && inverter
      ? {
          module,
          inverter,
          mounting,
          school,
          building,
          coldestC: inRange(coldestC, -60, 35) ? coldestC : null,
          hottestC: inRange(hottestC, 0, 60) ? hottestC : null,
          dcLegalMaxV: null,
          cold: {
            method: coldMethod,
            engineered: { uocColdV: null, document: '', school, siteW: null },
            countTolerance,
          },
        }
      : null,
  );
  const counted = $derived(
    Number.isInteger(modules) &&
      modules >= 1 &&
      modules <= 60 &&
      Number.isInteger(strings) &&
      strings >= 1 &&
      strings <= 24,
  );
  const fuse = $derived(
    module && inverter && counted && gain !== null
      ? stringFuse(module, gain, strings, school, trackerCurrents(module, inverter, gain, 1).trackerFactor)
      : null,
  );

  let sectionMm2 = $state<(typeof DC_SECTIONS_MM2)[number]>(6);
  let mode = $state<(typeof DC_CABLE_MODES)[number]>('two adjacent on a surface');
  let lengthM = $state<number | null>(null);
  let ambientC = $state<number | null>(null);
  let together = $state(1);
  const drop = $derived(
    module && counted && lengthM !== null && inRange(lengthM, 0.1, 1000)
      ? homeRunDrop(homeRunOhm(lengthM, sectionMm2, 60), module.impA, modules * module.umpV)
      : null,
  );
  const mayA = $derived(
    schoolOf(school).dcAmpacityA({
      sectionMm2,
      mode,
      ambientC: inRange(ambientC, -25, 119) ? ambientC : null,
      circuitsTogether: inRange(together, 1, 20) ? together : null,
    }),
  );
  const needA = $derived(
    module && inverter && counted && gain !== null
      ? cableNeedA(trackerCurrents(module, inverter, gain, 1).inputA, strings, fuse?.needed ? fuse.ratingA : null)
      : null,
  );

  let irradiance = $state(1000);
  let cellC = $state(25);
  const model = $derived(module ? moduleModel(module) : null);
  const range = $derived({ minV: inverter?.mpptMinV ?? 0, maxV: inverter?.mpptMaxV ?? 0 });
  const lit = $derived(
    model && module && counted && inRange(irradiance, 1, 1600) && inRange(cellC, -40, 100)
      ? Array.from({ length: strings }, () =>
          evenString(parametersAt(model, irradiance, cellC), modules, module.bypassDiodes),
        )
      : null,
  );
  const best = $derived(lit && trackerMaximum(lit, range));
  const BOX = 'block border border-rule bg-white px-2 py-1 text-ink';
  const A = (x: number) => `${fixed(x, 2)} A`;
</script>

<svelte:head><title>Bench · Bolt Yard</title></svelte:head>

<h1>Bench</h1>
<p class="max-w-prose text-dim">One calculation at a time, without a site. Nothing here is kept.</p>

{#if !module || !inverter}
  <p class="sheet mt-3 p-6 text-dim">
    The <a class="underline" href="/shelf">shelf</a> is empty: put a module and an inverter on it.
  </p>
{:else}
  <section class="sheet mt-3 flex flex-wrap items-end gap-3 p-3 text-sm text-dim" aria-label="What is on the bench">
    <label
      >Module
      <select class={BOX} value={module.id} onchange={(e) => (moduleId = e.currentTarget.value)}>
        {#each data.shelf.modules as m (m.id)}<option value={m.id}>{m.name}</option>{/each}
      </select></label
    >
    <label
      >Inverter
      <select class={BOX} value={inverter.id} onchange={(e) => (typeId = e.currentTarget.value)}>
        {#each data.shelf.inverters as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
      </select></label
    >
    <label
      >Mounting
      <select class={BOX} bind:value={mounting}>
        {#each Object.entries(MODULE_MOUNTING) as [key, m] (key)}<option value={key}>{m.words}</option>{/each}
      </select></label
    >
    <label
      >School
      <select class={BOX} bind:value={school}>
        {#each ['IEC', 'NEC', 'AU/NZ'] as s (s)}<option>{s}</option>{/each}
      </select></label
    >
    <label
      >On a building
      <select class={BOX} bind:value={building}>
        {#each BUILDINGS as b (b)}<option>{b}</option>{/each}
      </select></label
    >
    <label
      >Light on the rear over light in front<input
        class="num w-32 {BOX}"
        type="number"
        min="0"
        max="0.3"
        step="0.01"
        placeholder="usually {MODULE_MOUNTING[mounting].rearRatio}"
        bind:value={rearShare}
      /></label
    >
    <label>Modules in series<input class="num w-20 {BOX}" type="number" min="1" max="60" bind:value={modules} /></label>
    <label
      >Strings in parallel<input class="num w-20 {BOX}" type="number" min="1" max="24" bind:value={strings} /></label
    >
    {#if rearShare !== null && !inRange(rearShare, 0, 0.3)}<p role="alert" class="text-stop">
        The share on the rear must be 0 to 0.3.
      </p>{/if}
    {#if !counted}<p role="alert" class="text-stop">
        Modules must be a whole number from 1 to 60, strings from 1 to 24.
      </p>{/if}
  </section>

  <div class="mt-4 grid gap-4 lg:grid-cols-2">
    <section class="sheet p-3 lg:col-span-2" aria-labelledby="b-window">
      <header class="flex flex-wrap items-end gap-3 text-sm text-dim">
        <h2 id="b-window" class="mr-auto text-ink">String window</h2>
        <label>Coldest morning, °C<input class="num w-24 {BOX}" type="number" bind:value={coldestC} /></label>
        <label>Hot ambient, °C<input class="num w-24 {BOX}" type="number" bind:value={hottestC} /></label>
        <label
          >Cold voltage by
          <select class={BOX} bind:value={coldMethod}>
            {#each COLD_METHODS.filter((m) => m !== 'engineered') as m (m)}<option>{m}</option>{/each}
          </select></label
        >
        <label class="flex items-center gap-2"
          ><input type="checkbox" class="border-rule" bind:checked={countTolerance} /><span
            >Count the tolerance of U<sub>oc</sub></span
          ></label
        >
      </header>
      {#if coldestC !== null && !inRange(coldestC, -60, 35)}<p role="alert" class="text-stop">
          The coldest morning must be −60 to 35 °C.
        </p>{/if}
      {#if hottestC !== null && !inRange(hottestC, 0, 60)}<p role="alert" class="text-stop">
          The hot ambient must be 0 to 60 °C.
        </p>{/if}
      {#if inputs}<WindowPanel answer={stringWindow(inputs)} {inputs} {inverter} {module} {modules} />{/if}
    </section>

    <section class="sheet p-3" aria-labelledby="b-fuse">
      <h2 id="b-fuse">String fuse</h2>
      {#if fuse}
        <p class="mt-1">
          {#if !fuse.needed}None needed: <b class="num">{A(fuse.reverseA)}</b> back into a shorted string, the module
            stands {module.fuseMaxA} A.{:else if fuse.ratingA !== null}Needed, both poles: <b class="num"
              >{fuse.ratingA} A</b
            >, since {A(fuse.reverseA)} flow back and the module stands {module.fuseMaxA} A.{:else}<span
              class="text-stop">Needed, and no standard rating fits (SF01).</span
            >
            At most {fuse.maxUnfused} strings in parallel.{/if}
        </p>
        <p class="num text-sm">
          {school === 'NEC' ? '1.5625' : '1.5'} × g_b × I_sc = {A(fuse.leastA)}; at most {A(fuse.mostA)}; unfused up to {fuse.maxUnfused}
          strings
        </p>
        <p class="text-sm text-dim">IEC 62548-1; NFPA 70 690.9; ratings IEC 60269-6 (recalled).</p>
      {:else}<p class="mt-1">
          <VerdictMark verdict="unknown" /> Give the light on the rear: {module.name} sees behind.
        </p>{/if}
    </section>

    <section class="sheet p-3" aria-labelledby="b-cable">
      <h2 id="b-cable">DC cable</h2>
      <div class="mt-1 flex flex-wrap items-end gap-2 text-sm text-dim">
        <label
          >Section, mm²
          <select class={BOX} bind:value={sectionMm2}>
            {#each DC_SECTIONS_MM2 as s (s)}<option value={s}>{s}</option>{/each}
          </select></label
        >
        <label>One way, m<input class="num w-24 {BOX}" type="number" bind:value={lengthM} /></label>
        <label
          >Laid
          <select class={BOX} bind:value={mode}>
            {#each DC_CABLE_MODES as m (m)}<option>{m}</option>{/each}
          </select></label
        >
        <label>Ambient, °C<input class="num w-20 {BOX}" type="number" bind:value={ambientC} /></label>
        <label
          >Circuits together<input class="num w-20 {BOX}" type="number" min="1" max="20" bind:value={together} /></label
        >
      </div>
      <p class="mt-2">
        {#if drop}Drop <b class="num">{fixed(drop.dropV, 2)} V, {fixed(drop.dropPercent, 2)} %</b>; {fixed(
            drop.lossW,
            0,
          )} W lost a string at full light, 60 °C conductor.{:else}<VerdictMark verdict="unknown" /> Drop: give the length,
          0.1 to 1000 m.{/if}
      </p>
      <p>
        {#if mayA.value !== null && needA !== null}Carries <b class="num">{fixed(mayA.value, 1)} A</b>; one string needs {A(
            needA,
          )}:
          <VerdictMark verdict={needA <= mayA.value ? 'holds' : 'stop'} />{:else}<VerdictMark verdict="unknown" /> Current:
          missing
          {mayA.missing.join(', ') || 'the strings'}.{/if}
      </p>
      <p class="text-sm text-dim">IEC 60228 class 5 tinned; EN 50618 A.3 (recalled). 1 % wanted, 2 % at most.</p>
    </section>

    <section class="sheet p-3 lg:col-span-2" aria-labelledby="b-curve">
      <header class="flex flex-wrap items-end gap-3 text-sm text-dim">
        <h2 id="b-curve" class="mr-auto text-ink">Curve of a tracker</h2>
        <label
          >Light, W/m²<input class="num w-24 {BOX}" type="number" min="1" max="1600" bind:value={irradiance} /></label
        >
        <label>Cell, °C<input class="num w-20 {BOX}" type="number" min="-40" max="100" bind:value={cellC} /></label>
      </header>
      {#if best && lit}
        <p>
          <b class="num">{fixed(best.powerW / 1000, 2)} kW</b> at <b class="num">{fixed(best.voltageV, 1)} V</b>, inside
          {range.minV} to {range.maxV} V.
        </p>
        <CurveChart
          curve={trackerCurve(lit)}
          window={range}
          {best}
          label="Current and power of {strings} strings of {modules} modules; highest {fixed(best.powerW / 1000, 2)} kW"
        />
      {:else if !model}<p>This sheet describes no real curve (SM01).</p>
      {:else}<p role="alert" class="text-stop">Light must be 1 to 1600 W/m² and the cell −40 to 100 °C.</p>{/if}
    </section>
  </div>
  <div class="mt-4">
    <Caution>A string in light is live: it has no off switch. Licensed electrical workers; local code rules.</Caution>
  </div>
{/if}
