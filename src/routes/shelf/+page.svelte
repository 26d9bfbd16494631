<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { Button } from 'flowbite-svelte';
  import { MEASURED } from '$core/equipment/instrument';
  import type { InverterType } from '$core/equipment/inverterType';
  import { inverterFindings } from '$core/equipment/inverterSheet';
  import { inverterSheetSchema } from '$core/equipment/inverterType';
  import { sheetFindings } from '$core/equipment/moduleType';
  import { fixed } from '$core/kernel/quantity';
  import { ApiProblem, post } from '$lib/client/api';
  import type { ModuleSheetForm } from '$lib/schemas/forms';
  import { moduleFormFindings, moduleFromForm, moduleSheetForm, moduleToForm } from '$lib/schemas/forms';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { data } = $props();
  let open = $state('');
  const slug = (name: string) =>
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 50);

  const MODULE_GROUPS = [
    { title: 'Standard test conditions', paths: ['name', 'pmaxW', 'uocV', 'iscA', 'umpV', 'impA'] },
    { title: 'Temperature', paths: ['coefficientUnit', 'alpha', 'beta', 'gamma', 'nmotC'] },
    {
      title: 'Build and limits',
      paths: ['cellsInSeries', 'bypassDiodes', 'systemMaxV', 'fuseMaxA', 'bifaciality', 'uocTolerancePercent'],
    },
  ];
  const INVERTER_GROUPS = [
    {
      title: 'AC',
      paths: [
        'name',
        'ratedW',
        'maxApparentVa',
        'nominalLineV',
        'lineMinV',
        'lineMaxV',
        'outputMaxA',
        'wiring',
        'breakerMaxA',
      ],
    },
    { title: 'DC voltage', paths: ['dcMaxV', 'mpptMinV', 'mpptMaxV', 'fullPowerMinV', 'fullPowerMaxV', 'startV'] },
    {
      title: 'Trackers',
      paths: [
        'trackers',
        'inputsPerTracker',
        'trackerOperatingMaxA',
        'trackerShortCircuitMaxA',
        'shortCircuitLimitIsStc',
        'connectorMaxA',
        'connectorMaxV',
        'dcMaxW',
      ],
    },
    {
      title: 'AC bay',
      paths: [
        'studM',
        'studSpacingMm',
        'palmMaxWidthMm',
        'palmMaxThicknessMm',
        'sectionMaxMm2',
        'lugsPerStud',
        'aluminiumAllowed',
        'glands',
        'glandClampMinMm',
        'glandClampMaxMm',
        'glandSealSplitMm',
        'torqueMinNm',
        'torqueMaxNm',
      ].map((f) => `bay.${f}`),
    },
    { title: 'Other', paths: ['massKg', 'altitudeMaxM', 'dischargeWaitS', 'busUnitLoads'] },
  ];
  // The form takes the fields one by one; rules over several of them are judged by the whole schema on saving.
  const inverterForm = inverterSheetSchema.omit({ id: true });
  const withoutId = ({ id: _id, ...sheet }: InverterType) => sheet;

  async function save(body: unknown) {
    try {
      await post('/api/v1/shelf', body);
      open = '';
      await invalidateAll();
      return null;
    } catch (cause) {
      if (cause instanceof ApiProblem) return cause.problem;
      throw cause;
    }
  }
  const saveModule = (id: string | null, form: ModuleSheetForm) =>
    save({ kind: 'module', sheet: moduleFromForm(id ?? slug(form.name), form) });
  const saveInverter = (id: string | null, sheet: Omit<InverterType, 'id'>) =>
    save({ kind: 'inverter', sheet: { ...sheet, id: id ?? slug(sheet.name) } });
  const errorsOf = (form: Record<string, unknown>) =>
    moduleFormFindings(form as ModuleSheetForm).filter((f) => f.severity === 'error');
  const complete = (form: Record<string, unknown>) => moduleSheetForm.safeParse(form).success;
  const blankModule = {
    name: '',
    pmaxW: null,
    uocV: null,
    iscA: null,
    umpV: null,
    impA: null,
    coefficientUnit: '%/K',
    alpha: null,
    beta: null,
    gamma: null,
    nmotC: null,
    cellsInSeries: null,
    bypassDiodes: null,
    systemMaxV: null,
    fuseMaxA: null,
    bifaciality: null,
    uocTolerancePercent: null,
  };
  /** A sheet of which nothing is known: nothing is copied from another unit. */
  const blankInverter = {
    ...Object.fromEntries(Object.keys(inverterForm.shape).map((key) => [key, null])),
    name: '',
    shortCircuitLimitIsStc: false,
    bay: Object.fromEntries(Object.keys(inverterForm.shape.bay.shape).map((key) => [key, null])),
  };
  /** Findings on a sheet once every field that has to be there is. */
  const inverterLooks = (form: Record<string, unknown>) => {
    const sheet = inverterForm.safeParse(form);
    if (!sheet.success) return [];
    return inverterFindings({ ...sheet.data, id: 'typed' }).map((f) => ({ ...f, path: f.field }));
  };
  const inverterErrors = (form: Record<string, unknown>) => inverterLooks(form).filter((f) => f.severity === 'error');
  const toggle = (id: string) => (open = open === id ? '' : id);
</script>

<svelte:head><title>Shelf · Bolt Yard</title></svelte:head>
<h1>Shelf</h1>
<p class="mb-3 max-w-prose text-dim">
  The company’s equipment. A site that uses an item keeps its own copy of the sheet: a change here changes no site.
</p>

{#snippet notes(found: readonly { severity: string; text: string }[])}
  {#each found as f (f.text)}<p class="text-sm">
      <VerdictMark verdict={f.severity === 'error' ? 'stop' : 'tight'} word={false} />
      {f.text}
    </p>{/each}
{/snippet}
{#snippet findings(values: Record<string, unknown>)}
  {#if complete(values)}{@render notes(moduleFormFindings(values as ModuleSheetForm))}{/if}
{/snippet}
{#snippet inverterNotes(values: Record<string, unknown>)}
  {@render notes(inverterLooks(values))}
{/snippet}

<section class="sheet mb-4 p-3" aria-labelledby="modules">
  <header class="mb-2 flex items-center gap-3">
    <h2 id="modules">Modules</h2>
    <Button size="xs" onclick={() => toggle('new-module')}>Add a module</Button>
  </header>
  {#if open === 'new-module'}
    <div class="mb-3 bg-paper p-3">
      <EditForm
        schema={moduleSheetForm}
        value={blankModule}
        groups={MODULE_GROUPS}
        prefix="new-module"
        label="Put it on the Shelf"
        refine={errorsOf}
        extra={findings}
        save={(v) => saveModule(null, v as ModuleSheetForm)}
      />
    </div>
  {/if}
  <table class="grid-table">
    <thead
      ><tr
        ><th scope="col">Module</th><th scope="col">P<sub>max</sub></th><th scope="col">U<sub>oc</sub></th><th
          scope="col">I<sub>sc</sub></th
        ><th scope="col">U_mp</th><th scope="col">I<sub>mp</sub></th><th scope="col">U<sub>oc</sub> a kelvin</th><th
          scope="col">System</th
        ><th scope="col">Sheet</th><th scope="col"></th></tr
      ></thead
    >
    <tbody>
      {#each data.shelf.modules as m (m.id)}
        {@const found = sheetFindings(m)}
        <tr>
          <th scope="row">{m.name}</th><td class="num">{m.pmaxW} W</td><td class="num">{m.uocV} V</td><td class="num"
            >{m.iscA} A</td
          ><td class="num">{m.umpV} V</td><td class="num">{m.impA} A</td>
          <td class="num whitespace-nowrap"
            >{fixed(100 * m.betaUocPerK, 3)} %/K, {fixed(1000 * m.betaUocPerK * m.uocV, 1)} mV/K</td
          ><td class="num">{m.systemMaxV} V</td>
          <td
            ><VerdictMark
              verdict={found.some((f) => f.severity === 'error') ? 'stop' : found.length ? 'tight' : 'holds'}
            /></td
          >
          <td class="text-right"
            ><button type="button" class="underline" onclick={() => toggle(m.id)}
              >{open === m.id ? 'close' : 'change'}</button
            ></td
          >
        </tr>
        {#if open === m.id}<tr
            ><td colspan="10" class="bg-paper"
              ><EditForm
                schema={moduleSheetForm}
                value={moduleToForm(m)}
                groups={MODULE_GROUPS}
                prefix={m.id}
                label="Save the sheet"
                refine={errorsOf}
                extra={findings}
                save={(v) => saveModule(m.id, v as ModuleSheetForm)}
              /></td
            ></tr
          >{/if}
      {/each}
    </tbody>
  </table>
</section>

<section class="sheet p-3" aria-labelledby="inverters">
  <header class="mb-2 flex items-center gap-3">
    <h2 id="inverters">Inverters</h2>
    <Button size="xs" onclick={() => toggle('new-inverter')}>Add an inverter</Button>
  </header>
  {#if open === 'new-inverter'}
    <div class="mb-3 bg-paper p-3">
      <EditForm
        schema={inverterForm}
        value={blankInverter}
        groups={INVERTER_GROUPS}
        prefix="new-inverter"
        label="Put it on the Shelf"
        refine={inverterErrors}
        extra={inverterNotes}
        save={(v) => saveInverter(null, v as Omit<InverterType, 'id'>)}
      />
    </div>
  {/if}
  <table class="grid-table">
    <thead
      ><tr
        ><th scope="col">Inverter</th><th scope="col">Power</th><th scope="col">Grid</th><th scope="col">DC limit</th
        ><th scope="col">Tracking</th><th scope="col">Trackers × inputs</th><th scope="col">AC stud</th><th scope="col"
          >Mass</th
        ><th scope="col"></th></tr
      ></thead
    >
    <tbody>
      {#each data.shelf.inverters as t (t.id)}
        <tr>
          <th scope="row">{t.name}</th><td class="num">{t.ratedW / 1000} kW</td><td class="num"
            >{t.nominalLineV} V, {t.wiring}</td
          ><td class="num">{t.dcMaxV} V</td><td class="num">{t.mpptMinV}–{t.mpptMaxV} V</td><td class="num"
            >{t.trackers} × {t.inputsPerTracker}</td
          >
          <td class="num"
            >M{t.bay.studM}, {t.bay.torqueMinNm === null
              ? 'torque not on the sheet'
              : `${t.bay.torqueMinNm}–${t.bay.torqueMaxNm} N·m`}</td
          ><td class="num">{t.massKg ?? '–'} kg</td>
          <td class="text-right"
            ><button type="button" class="underline" onclick={() => toggle(t.id)}
              >{open === t.id ? 'close' : 'change'}</button
            ></td
          >
        </tr>
        {#if open === t.id}<tr
            ><td colspan="9" class="bg-paper"
              ><EditForm
                schema={inverterForm}
                value={withoutId(t)}
                groups={INVERTER_GROUPS}
                prefix={t.id}
                label="Save the sheet"
                refine={inverterErrors}
                extra={inverterNotes}
                save={(v) => saveInverter(t.id, v as Omit<InverterType, 'id'>)}
              /></td
            ></tr
          >{/if}
      {/each}
    </tbody>
  </table>
</section>
<section class="sheet mt-4 overflow-x-auto p-4" aria-labelledby="instruments">
  <h2 id="instruments">Instruments</h2>
  <p class="text-dim">
    An entry of the record carries its instrument as it was: kind, ranges, calibration. A crew takes them along from
    here when it signs on, and adds its own.
  </p>
  <table class="grid-table mt-2">
    <thead
      ><tr
        ><th scope="col">Kind</th><th scope="col">Name</th><th scope="col">Serial number</th><th scope="col">Ranges</th
        ><th scope="col">Calibrated until</th></tr
      ></thead
    >
    <tbody>
      {#each data.shelf.instruments as i (i.serial)}
        <tr
          ><td>{i.kind}</td><td>{i.name}</td><td class="num">{i.serial}</td><td
            >{i.ranges.map((r) => `${r.of} ${r.min} to ${r.max} ${MEASURED[r.of]}`).join(', ') || 'not given'}</td
          ><td class="num">{i.calibratedUntil}</td></tr
        >
      {/each}
    </tbody>
  </table>
</section>
