<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { Button } from 'flowbite-svelte';
  import type { InverterType } from '$core/equipment/inverterType';
  import { inverterSheetSchema } from '$core/equipment/inverterType';
  import { sheetFindings } from '$core/equipment/moduleType';
  import type { ModuleType } from '$core/equipment/moduleType';
  import { fixed } from '$core/kernel/quantity';
  import { ApiProblem, post } from '$lib/client/api';
  import type { ModuleSheetForm } from '$lib/schemas/forms';
  import { moduleFormFindings, moduleFromForm, moduleSheetForm, moduleToForm } from '$lib/schemas/forms';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { data } = $props();
  let open = $state('');
  let draft = $state.raw<{ kind: 'module'; sheet: ModuleType } | { kind: 'inverter'; sheet: InverterType } | null>(
    null,
  );
  const slug = (name: string) =>
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 50);

  const MODULE_GROUPS = [
    { title: 'Standard test conditions', paths: ['name', 'pmaxW', 'uocV', 'iscA', 'umpV', 'impA'] },
    { title: 'Temperature', paths: ['coefficientUnit', 'alpha', 'beta', 'gamma', 'nmotC'] },
    { title: 'Build and limits', paths: ['cellsInSeries', 'bypassDiodes', 'systemMaxV', 'fuseMaxA', 'bifaciality'] },
  ];
  const INVERTER_GROUPS = [
    { title: 'AC', paths: ['name', 'ratedW', 'maxApparentVa', 'nominalLineV', 'outputMaxA', 'wiring', 'breakerMaxA'] },
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
        'glandClampMinMm',
        'glandClampMaxMm',
        'glandSealSplitMm',
        'torqueMinNm',
        'torqueMaxNm',
      ].map((f) => `bay.${f}`),
    },
    { title: 'Other', paths: ['massKg', 'dischargeWaitS', 'busUnitLoads'] },
  ];
  // The form takes the fields one by one; rules over several of them are judged by the whole schema on saving.
  const inverterForm = inverterSheetSchema.omit({ id: true });
  const withoutId = ({ id: _id, ...sheet }: InverterType) => sheet;

  async function save(body: unknown) {
    try {
      await post('/api/v1/shelf', body);
      draft = null;
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
    nmotC: 45,
    cellsInSeries: null,
    bypassDiodes: 3,
    systemMaxV: 1500,
    fuseMaxA: null,
    bifaciality: 0,
  };
  const toggle = (id: string) => (open = open === id ? '' : id);
</script>

<svelte:head><title>Shelf · Bolt Yard</title></svelte:head>
<h1>Shelf</h1>
<p class="mb-3 max-w-prose text-dim">
  The company’s equipment. A site that uses an item keeps its own copy of the sheet: a change here changes no site.
</p>

{#snippet findings(values: Record<string, unknown>)}
  {#if complete(values)}
    {@const cautions = moduleFormFindings(values as ModuleSheetForm)}
    {#each cautions as f (f.text)}<p class="text-sm">
        <VerdictMark verdict={f.severity === 'error' ? 'stop' : 'tight'} word={false} />
        {f.text}
      </p>{/each}
  {/if}
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
    {#if data.shelf.inverters[0]}<Button
        size="xs"
        onclick={() => {
          const [like] = data.shelf.inverters;
          if (like) {
            draft = { kind: 'inverter', sheet: { ...like, id: '', name: '' } };
            open = 'new-inverter';
          }
        }}>Add an inverter</Button
      >{/if}
  </header>
  {#if open === 'new-inverter' && draft?.kind === 'inverter'}
    <div class="mb-3 bg-paper p-3">
      <EditForm
        schema={inverterForm}
        value={withoutId(draft.sheet)}
        groups={INVERTER_GROUPS}
        prefix="new-inverter"
        label="Put it on the Shelf"
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
                save={(v) => saveInverter(t.id, v as Omit<InverterType, 'id'>)}
              /></td
            ></tr
          >{/if}
      {/each}
    </tbody>
  </table>
</section>
