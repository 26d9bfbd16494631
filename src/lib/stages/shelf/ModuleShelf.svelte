<script lang="ts">
  import type { ModuleType } from '$core/equipment/moduleType';
  import { fixed } from '$core/kernel/quantity';
  import { SHEET } from '$core/strings/rules/module/sheet';
  import type { ModuleSheetForm } from '$lib/schemas/forms';
  import { moduleFormFindings, moduleFromForm, moduleSheetForm, moduleToForm } from '$lib/schemas/forms';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import PartTable from '$lib/ui/PartTable.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import Findings from './Findings.svelte';
  import { onShelf, slug } from './save';

  let { modules }: { modules: readonly ModuleType[] } = $props();
  /** A sheet on the shelf, or one that is being typed. */
  interface Row {
    readonly id: string;
    readonly sheet: ModuleType | null;
  }
  const MODULE_GROUPS = [
    { title: 'Standard test conditions', paths: ['name', 'pmaxW', 'uocV', 'iscA', 'umpV', 'impA'] },
    { title: 'Temperature', paths: ['coefficientUnit', 'alpha', 'beta', 'gamma', 'nmotC'] },
    {
      title: 'Build and limits',
      paths: [
        'cellsInSeries',
        'bypassDiodes',
        'systemMaxV',
        'fuseMaxA',
        'bifaciality',
        'uocTolerancePercent',
        'lengthMm',
        'widthMm',
      ],
    },
  ];
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
    lengthMm: null,
    widthMm: null,
  };
  const errorsOf = (form: Record<string, unknown>) =>
    moduleFormFindings(form as ModuleSheetForm).filter((f) => f.severity === 'error');
  const isWhole = (form: Record<string, unknown>) => moduleSheetForm.safeParse(form).success;
  /** How a sheet stands, by the rule that judges it on a site. */
  const verdictOf = (m: ModuleType) => SHEET.check(m, { element: 'module', path: m.name }).verdict;

  async function save({ sheet }: Row, form: ModuleSheetForm, done: () => void) {
    const problem = await onShelf({ kind: 'module', sheet: moduleFromForm(sheet?.id ?? slug(form.name), form) });
    if (!problem) done();
    return problem;
  }
</script>

<PartTable
  title="Modules"
  add="Add a module"
  empty="Module sheets stand here. None yet."
  parts={modules.map((m): Row => ({ id: m.id, sheet: m }))}
  blank={(): Row => ({ id: 'new-module', sheet: null })}
  columns={[
    { name: 'Module' },
    { name: 'P_max', figures: true },
    { name: 'U_oc', figures: true },
    { name: 'I_sc', figures: true },
    { name: 'U_mp', figures: true },
    { name: 'I_mp', figures: true },
    { name: 'U_oc a kelvin', figures: true },
    { name: 'System', figures: true },
    { name: 'Sheet' },
  ]}
>
  {#snippet row({ sheet: m })}
    {#if m}
      <th scope="row">{m.name}</th>
      <td class="fig">{m.pmaxW} W</td>
      <td class="fig">{fixed(m.uocV, 2)} V</td>
      <td class="fig">{fixed(m.iscA, 2)} A</td>
      <td class="fig">{fixed(m.umpV, 2)} V</td>
      <td class="fig">{fixed(m.impA, 2)} A</td>
      <td class="fig">{fixed(100 * m.betaUocPerK, 3)} %/K, {fixed(1000 * m.betaUocPerK * m.uocV, 1)} mV/K</td>
      <td class="fig">{m.systemMaxV} V</td>
      <td><VerdictMark verdict={verdictOf(m)} /></td>
    {:else}<th scope="row">new module</th><td colspan="8"></td>{/if}
  {/snippet}
  {#snippet form(own, done)}
    <EditForm
      schema={moduleSheetForm}
      value={own.sheet ? moduleToForm(own.sheet) : blankModule}
      groups={MODULE_GROUPS}
      prefix={own.id}
      label={own.sheet ? 'Save the sheet' : 'Put it on the Shelf'}
      refine={errorsOf}
      save={(v) => save(own, v as ModuleSheetForm, done)}
    >
      {#snippet extra(values)}{#if isWhole(values)}<Findings
            found={moduleFormFindings(values as ModuleSheetForm)}
          />{/if}{/snippet}
    </EditForm>
  {/snippet}
</PartTable>
