<script lang="ts">
  import { inverterFindings } from '$core/equipment/inverterSheet';
  import { BLANK_BODY } from '$core/equipment/inverterBody';
  import type { InverterType } from '$core/equipment/inverterType';
  import { inverterSheetSchema } from '$core/equipment/inverterType';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import PartTable from '$lib/ui/PartTable.svelte';
  import { BODY_GROUPS } from '../mounting/bodyGroups';
  import Findings from './Findings.svelte';
  import { onShelf, slug } from './save';

  let { inverters }: { inverters: readonly InverterType[] } = $props();
  /** A sheet on the shelf, or one that is being typed. */
  interface Row {
    readonly id: string;
    readonly sheet: InverterType | null;
  }
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
        'studLengthMm',
        'sectionMaxMm2',
        'lugsPerStud',
        'aluminiumAllowed',
        'glands',
        'glandClampMinMm',
        'glandClampMaxMm',
        'glandSealSplitMm',
        'freeHeightMm',
        'entryOffsetMm',
        'torqueMinNm',
        'torqueMaxNm',
      ].map((f) => `bay.${f}`),
    },
    ...BODY_GROUPS.map(({ title, paths }) => ({
      title: `Body: ${title.toLowerCase()}`,
      paths: paths.map((f) => `body.${f}`),
    })),
    { title: 'Bus', paths: ['busUnitLoads', 'busD1', 'busD0'] },
    { title: 'Other', paths: ['massKg', 'residualTypeA', 'altitudeMaxM', 'dischargeWaitS', 'dcOpensFirst'] },
  ];
  // The form takes the fields one by one; rules over several of them are judged by the whole schema on saving.
  const inverterForm = inverterSheetSchema.omit({ id: true });
  const withoutId = ({ id: _id, ...sheet }: InverterType) => sheet;
  /** A sheet of which nothing is known: nothing is copied from another unit. */
  const blankInverter = {
    ...Object.fromEntries(Object.keys(inverterForm.shape).map((key) => [key, null])),
    name: '',
    shortCircuitLimitIsStc: false,
    bay: Object.fromEntries(Object.keys(inverterForm.shape.bay.shape).map((key) => [key, null])),
    body: BLANK_BODY,
  };
  /** Findings on a sheet once every field that has to be there is. */
  function findingsOf(form: Record<string, unknown>) {
    const sheet = inverterForm.safeParse(form);
    if (!sheet.success) return [];
    return inverterFindings({ ...sheet.data, id: 'typed' }).map((f) => ({ ...f, path: f.field }));
  }

  async function save({ sheet }: Row, typed: Omit<InverterType, 'id'>, done: () => void) {
    const problem = await onShelf({ kind: 'inverter', sheet: { ...typed, id: sheet?.id ?? slug(typed.name) } });
    if (!problem) done();
    return problem;
  }
</script>

<PartTable
  title="Inverters"
  add="Add an inverter"
  empty="Inverter sheets stand here. None yet."
  parts={inverters.map((t): Row => ({ id: t.id, sheet: t }))}
  blank={(): Row => ({ id: 'new-inverter', sheet: null })}
  columns={[
    { name: 'Inverter' },
    { name: 'Power', figures: true },
    { name: 'Grid' },
    { name: 'DC limit', figures: true },
    { name: 'Tracking', figures: true },
    { name: 'Trackers × inputs', figures: true },
    { name: 'AC stud' },
    { name: 'Mass', figures: true },
  ]}
>
  {#snippet row({ sheet: t })}
    {#if t}
      <th scope="row">{t.name}</th>
      <td class="fig">{t.ratedW / 1000} kW</td>
      <td class="num">{t.nominalLineV} V, {t.wiring}</td>
      <td class="fig">{t.dcMaxV} V</td>
      <td class="fig">{t.mpptMinV}–{t.mpptMaxV} V</td>
      <td class="fig">{t.trackers} × {t.inputsPerTracker}</td>
      <td class="num"
        >M{t.bay.studM}, {t.bay.torqueMinNm === null
          ? 'torque not on the sheet'
          : `${t.bay.torqueMinNm}–${t.bay.torqueMaxNm} N·m`}</td
      >
      <td class="fig">{t.massKg ?? '–'} kg</td>
    {:else}<th scope="row">new inverter</th><td colspan="7"></td>{/if}
  {/snippet}
  {#snippet form(own, done)}
    <EditForm
      schema={inverterForm}
      value={own.sheet ? withoutId(own.sheet) : blankInverter}
      groups={INVERTER_GROUPS}
      prefix={own.id}
      label={own.sheet ? 'Save the sheet' : 'Put it on the Shelf'}
      refine={(values) => findingsOf(values).filter((f) => f.severity === 'error')}
      save={(v) => save(own, v as Omit<InverterType, 'id'>, done)}
    >
      {#snippet extra(values)}<Findings found={findingsOf(values)} />{/snippet}
    </EditForm>
  {/snippet}
</PartTable>
