<script lang="ts">
  import { onDestroy } from 'svelte';
  import { lineOf } from '$core/site/line';
  import type { Check } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import { moduleModel, parametersAt } from '$core/strings/curve/diode';
  import type { ModuleModel } from '$core/strings/curve/diode';
  import { evenString, mismatch, trackerCurve, trackerMaximum } from '$core/strings/curve/tracker';
  import { MIXING } from '$core/strings/rules/year/mixing';
  import type { MixPart } from '$core/strings/year/mixing';
  import { onlyMixed } from '$core/strings/year/mixing';
  import { useSite } from '$lib/client/siteState.svelte';
  import CurveChart from '$lib/ui/strings/CurveChart.svelte';
  import StringsNav from '$lib/ui/strings/StringsNav.svelte';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import type { LongWork } from '$lib/workers/stringsWork';
  import { calledBack, startStringsWork } from '$lib/workers/stringsWork';

  let { data } = $props();
  const site = useSite();
  const design = $derived(site.design);
  const line = $derived(lineOf(design));
  const models = $derived(new Map(design.equipment.modules.map((m) => [m.id, moduleModel(m)])));

  let unitId = $state('');
  let tracker = $state(1);
  const unit = $derived(design.inverters.find((u) => u.id === unitId) ?? design.inverters[0]);
  const type = $derived(unit && line.inverterType(unit.typeId));
  const range = $derived({ minV: type?.mpptMinV ?? 0, maxV: type?.mpptMaxV ?? 0 });
  const onTracker = $derived(
    design.strings.filter((s) => s.place?.inverterId === unit?.id && s.place?.tracker === tracker),
  );

  /** Light and temperature of each plane, as the person sets them. */
  let light = $state<Record<string, { g: number; c: number }>>({});
  const lightOf = (planeId: string) => light[planeId] ?? { g: 1000, c: 50 };
  const sound = (x: { g: number; c: number }) => x.g >= 0 && x.g <= 1600 && x.c >= -40 && x.c <= 100;
  const allSound = $derived(design.planes.every((p) => sound(lightOf(p.id))));

  function evenOf(planeId: string, count: number) {
    const module = line.plane(planeId)?.module;
    const model = module && models.get(module.id);
    const { g, c } = lightOf(planeId);
    return module && model ? evenString(parametersAt(model, g, c), count, module.bypassDiodes) : null;
  }
  const strings = $derived(
    allSound ? onTracker.map((s) => evenOf(s.planeId, s.modules)).filter((s) => s !== null) : [],
  );
  const best = $derived(strings.length ? trackerMaximum(strings, range) : null);
  const curve = $derived(strings.length ? trackerCurve(strings) : []);

  // What mixing two strings would cost.
  let planeA = $state('');
  let planeB = $state('');
  let modulesA = $state(17);
  let modulesB = $state(17);
  const parts = $derived([
    { planeId: planeA || (design.planes[0]?.id ?? ''), modules: modulesA },
    { planeId: planeB || (design.planes[1]?.id ?? design.planes[0]?.id ?? ''), modules: modulesB },
  ] as const);
  const whole = $derived([modulesA, modulesB].every((n) => Number.isInteger(n) && n >= 1 && n <= 60));
  const now = $derived.by(() => {
    if (!allSound || !whole) return null;
    const pair = parts.map((p) => evenOf(p.planeId, p.modules)).filter((s) => s !== null);
    return pair.length === 2 ? mismatch(pair, range) : null;
  });
  let yearly = $state.raw<{ kwh: number; percent: number; check: Check } | null>(null);
  let trouble = $state('');
  let share = $state<number | null>(null);
  let worker: LongWork | null = null;
  onDestroy(stop);
  function stop() {
    worker?.end();
    worker = null;
    share = null;
  }
  async function overTheYear() {
    if (!unit) return;
    const pair = [{ ...parts[0] }, { ...parts[1] }] as const;
    stop();
    const own = startStringsWork();
    worker = own;
    share = 0;
    yearly = null;
    trouble = '';
    try {
      const answer = await own.work.year(
        onlyMixed(design, unit.id, pair),
        data.year,
        data.weather,
        calledBack((s) => {
          // Progress may still be on its way when the answer is here already.
          if (worker === own) share = s;
        }),
      );
      if (!answer.value) trouble = `Missing: ${answer.missing.join(', ')}.`;
      else {
        const { mismatchKwh, dcKwh } = answer.value;
        const percent = dcKwh + mismatchKwh > 0 ? (100 * mismatchKwh) / (dcKwh + mismatchKwh) : 0;
        yearly = { kwh: mismatchKwh, percent, check: mixingCheck(percent, pair) };
      }
    } finally {
      if (worker === own) stop();
    }
  }
  const mixingCheck = (lossPercent: number, pair: readonly [MixPart, MixPart]) =>
    MIXING.check(
      { lossPercent, parts: pair },
      { element: 'tracker', path: `${pair[0].modules} beside ${pair[1].modules} modules` },
    );
  const modelWords = (m: ModuleModel) =>
    `a ${fixed(m.reference.aV, 4)} V · I_L ${fixed(m.reference.lightA, 3)} A · I_0 ${m.reference.saturationA.toExponential(2)} A · R_s ${fixed(m.reference.seriesOhm, 3)} Ω · R_sh ${fixed(m.reference.shuntOhm, 0)} Ω`;
  const checks = $derived([
    ...site.assessment.checks.filter((c) => c.subject.id === `${unit?.id}/${tracker}`),
    ...(yearly ? [yearly.check] : []),
  ]);
  const BOX = 'block border border-rule bg-white px-2 py-1 text-ink';
</script>

<Stage>
  {#snippet main()}
    <StringsNav siteId={site.siteId} />
    {#if !unit || !type || design.planes.length === 0}
      <p class="sheet p-6 text-dim">
        A curve needs planes, an inverter and strings: start on the <a
          class="underline"
          href="/sites/{site.siteId}/survey">survey</a
        >.
      </p>
    {:else}
      <section class="sheet p-3" aria-labelledby="curve-title">
        <header class="flex flex-wrap items-end gap-3">
          <h2 id="curve-title" class="mr-auto">Curve of a tracker</h2>
          <label class="text-sm text-dim"
            >Inverter
            <select class={BOX} value={unit.id} onchange={(e) => (unitId = e.currentTarget.value)}>
              {#each design.inverters as u (u.id)}<option value={u.id}>{u.tag}</option>{/each}
            </select>
          </label>
          <label class="text-sm text-dim"
            >Tracker
            <select class={BOX} bind:value={tracker}>
              {#each { length: type.trackers } as _, t (t)}<option value={t + 1}>{t + 1}</option>{/each}
            </select>
          </label>
        </header>
        <fieldset class="mt-2 flex flex-wrap gap-4 text-sm text-dim">
          <legend class="sr-only">Light and temperature</legend>
          {#each design.planes as p (p.id)}
            {@const l = lightOf(p.id)}
            <span class="flex items-end gap-1">
              <label
                >{p.label}, W/m²
                <input
                  class="num w-24 {BOX}"
                  type="number"
                  min="0"
                  max="1600"
                  value={l.g}
                  oninput={(e) => (light[p.id] = { ...l, g: e.currentTarget.valueAsNumber })}
                />
              </label>
              <label
                >cell °C
                <input
                  class="num w-20 {BOX}"
                  type="number"
                  min="-40"
                  max="100"
                  value={l.c}
                  oninput={(e) => (light[p.id] = { ...l, c: e.currentTarget.valueAsNumber })}
                />
              </label>
            </span>
          {/each}
        </fieldset>
        {#if !allSound}<p role="alert" class="text-stop">
            Light must be 0 to 1600 W/m² and the cell −40 to 100 °C.
          </p>{/if}
        {#if best && curve.length}
          <p class="mt-2">
            {onTracker.length} × on {unit.tag} tracker {tracker}: <b class="num">{fixed(best.powerW / 1000, 2)} kW</b>
            at
            <b class="num">{fixed(best.voltageV, 1)} V</b>, inside {range.minV} to {range.maxV} V.
          </p>
          <CurveChart
            {curve}
            window={range}
            {best}
            label="Current and power of {unit.tag} tracker {tracker} over its voltage; highest {fixed(
              best.powerW / 1000,
              2,
            )} kW at {fixed(best.voltageV, 1)} V"
          />
        {:else if onTracker.length === 0}
          <p class="mt-2 text-dim">No string hangs on {unit.tag} tracker {tracker}.</p>
        {:else if allSound}
          <p class="mt-2 text-dim">
            The sheet of this module describes no real curve (SM01): voltages are still computed, curves are not.
          </p>
        {/if}
        <details class="mt-1 text-sm">
          <summary class="cursor-pointer">Module models</summary>
          {#each design.equipment.modules as m (m.id)}
            {@const model = models.get(m.id)}
            <p class="num">{m.name}: {model ? modelWords(model) : 'no parameter set fits (SM01)'}</p>
            {#if model?.fallback}<p class="text-tight">
                SM02: the voltage coefficient does not fit the curve; the model uses {fixed(100 * model.betaPerK, 3)} %/K
                against
                {fixed(100 * m.betaUocPerK, 3)} %/K on the sheet. Limits use the sheet.
              </p>{/if}
          {/each}
          <p class="text-dim">De Soto, Klein and Beckman 2006, Solar Energy 80:78 (recalled).</p>
        </details>
      </section>

      <section class="sheet p-3" aria-labelledby="mix-title">
        <h2 id="mix-title">What mixing would cost</h2>
        <p class="max-w-prose text-sm text-dim">
          Two strings that would share one tracker of {unit.tag}: now, in the light set above, and over a year.
        </p>
        <div class="mt-2 flex flex-wrap items-end gap-3 text-sm text-dim">
          <label
            >First plane
            <select class={BOX} value={parts[0].planeId} onchange={(e) => (planeA = e.currentTarget.value)}>
              {#each design.planes as p (p.id)}<option value={p.id}>{p.label}</option>{/each}
            </select></label
          >
          <label>Its modules<input class="num w-20 {BOX}" type="number" min="1" max="60" bind:value={modulesA} /></label
          >
          <label
            >Second plane
            <select class={BOX} value={parts[1].planeId} onchange={(e) => (planeB = e.currentTarget.value)}>
              {#each design.planes as p (p.id)}<option value={p.id}>{p.label}</option>{/each}
            </select></label
          >
          <label
            >Modules of the second<input
              class="num w-20 {BOX}"
              type="number"
              min="1"
              max="60"
              bind:value={modulesB}
            /></label
          >
          <button
            type="button"
            class="border border-ink bg-sheet px-3 py-1 text-ink disabled:opacity-40"
            disabled={share !== null || !whole}
            onclick={overTheYear}>Over a year</button
          >
          {#if share !== null}<progress max="1" value={share} aria-label="Year being computed"></progress>
            <button type="button" class="underline" onclick={stop}>Stop</button>{/if}
        </div>
        {#if !whole}<p role="alert" class="text-stop">Modules must be whole numbers from 1 to 60.</p>{/if}
        {#if now}
          <p class="mt-2">
            Now: <b class="num">{fixed(now.parallel.powerW, 0)} W</b> together at {fixed(now.parallel.voltageV, 1)} V,
            <b class="num">{fixed(now.separateW, 0)} W</b>
            apart: <b class="num">{fixed(now.separateW - now.parallel.powerW, 0)} W</b> or {fixed(now.lossPercent, 2)} % lost.
            One moment is no verdict.
          </p>
        {/if}
        {#if yearly}
          <p class="mt-1" data-testid="mixing-year">
            Over a year: <b class="num">{fixed(yearly.kwh, 0)} kWh</b> or {fixed(yearly.percent, 2)} % lost: {yearly
              .check.verdict}. {yearly.check.working.at(-1)}
          </p>
        {/if}
        {#if trouble}<p role="alert" class="mt-1 text-stop">{trouble}</p>{/if}
      </section>
    {/if}
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: tracker {tracker}" />{/snippet}
</Stage>
