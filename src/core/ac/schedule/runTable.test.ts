import { describe, expect, it } from 'vitest';
import {
  RUN_COLUMN_NAMES,
  RUN_COLUMNS,
  cellOf,
  choicesOf,
  columnWords,
  pasted,
  runRows,
  runsFromRows,
  runsInOrder,
  typedCell,
} from './runTable';
import { acRunSchema, blankRun } from '../part';
import { runOf, siteOf } from '../../testing/examples';

const DESIGN = { ...siteOf(3, []), runs: [runOf('inv-1'), runOf('inv-3', { lengthM: 90 })] };

describe('cells of the schedule', () => {
  it('has a column for every field of a run but its pieces', () => {
    const fields = Object.keys(acRunSchema.shape).filter((f) => f !== 'inverterId' && f !== 'segments');
    expect([...Object.values(RUN_COLUMNS)].sort()).toEqual(fields.sort());
  });

  it.each([
    ['length_m', '78', 78],
    ['length_m', ' 78,5 ', 78.5],
    ['length_m', '', null],
    ['length_m', '–', null],
    ['metal', 'al', 'Al'],
    ['sun', 'Yes', true],
    ['sun', '0', false],
    ['cores', '5-CORE', '5-core'],
    ['insulation_c', '90', 90],
    ['raceway_size_in', '1-1/4', '1-1/4'],
    ['parallel', '2', 2],
  ] as const)('takes “%s: %s”', (column, text, value) => expect(typedCell(column, text)).toEqual({ value }));

  it.each([
    ['length_m', '0', 'must be from 0.5 to 5000 m (got 0)'],
    ['length_m', '-3', 'must be from 0.5 to 5000 m (got -3)'],
    ['length_m', 'about 30', 'must be a number (got about 30)'],
    ['length_m', '1.234,5', 'must be a number (got 1.234,5)'],
    ['length_m', 'Infinity', 'must be a number (got Infinity)'],
    ['parallel', '1.5', 'must be a whole number from 1 to 8 sets (got 1.5)'],
    ['parallel', '9', 'must be from 1 to 8 sets (got 9)'],
    ['metal', 'iron', 'must be one of Cu, Al (got iron)'],
    ['sun', 'maybe', 'must be yes or no (got maybe)'],
    ['insulation_c', '80', 'must be one of 60, 75, 90 (got 80)'],
  ] as const)('says what is wrong with “%s: %s” and what would be right', (column, text, wrong) =>
    expect(typedCell(column, text)).toEqual({ wrong }),
  );

  it('comes back as it goes out, whatever a run holds', () => {
    const run = runOf('inv-1', { sunOnCable: true, insulationC: 75, racewaySize: '2-1/2', printMinNm: 22.5 });
    for (const column of RUN_COLUMN_NAMES) {
      const shown = cellOf(run, column);
      expect(typedCell(column, shown === null ? '' : String(shown)), column).toEqual({
        value: run[RUN_COLUMNS[column]],
      });
    }
  });

  it('knows names and units from the one schema', () => {
    expect(columnWords('length_m')).toEqual({ name: 'One-way length', unit: 'm' });
    expect(columnWords('insulation')).toEqual({ name: 'Insulation', unit: '' });
    expect(choicesOf('pe_in_cable')).toEqual(['yes', 'no']);
    expect(choicesOf('length_m')).toEqual([]);
  });
});

describe('cells of a spreadsheet pasted over the schedule', () => {
  const runs = runsInOrder(DESIGN);
  it('has a blank run for a unit whose run nobody drew', () => expect(runs[1]).toEqual(blankRun('inv-2')));

  it('fills downwards and to the right, an empty cell too', () => {
    const { runs: taken, errors } = pasted(
      [
        ['40', 'Al'],
        ['55,5', ''],
      ],
      runs,
      ['length_m', 'metal', 'insulation'],
    );
    expect(errors).toEqual([]);
    expect(taken.map((r) => [r.inverterId, r.lengthM, r.metal, r.insulation])).toEqual([
      ['inv-1', 40, 'Al', 'XLPE'],
      ['inv-2', 55.5, null, null],
    ]);
  });

  it('forgets what was measured on parts of another section, unless it is typed with it', () => {
    const measured = [runOf('inv-1', { cableDiameterMm: 44, palmWidthMm: 33 })];
    const of = (cells: readonly string[], columns: Parameters<typeof pasted>[2]) =>
      pasted([cells], measured, columns).runs[0];
    expect(of(['150'], ['section_mm2'])).toMatchObject({ sectionMm2: 150, cableDiameterMm: null, palmWidthMm: null });
    expect(of(['120'], ['section_mm2'])).toMatchObject({ sectionMm2: 120, cableDiameterMm: 44, palmWidthMm: 33 });
    expect(of(['150', '51'], ['section_mm2', 'cable_mm'])).toMatchObject({ cableDiameterMm: 51, palmWidthMm: null });
  });

  it('leaves a row with one wrong cell as it was, and takes the others', () => {
    const { runs: taken, errors } = pasted(
      [
        ['40', 'Al'],
        ['41', 'tin'],
        ['42', 'Cu'],
        ['43', 'Cu'],
      ],
      runs,
      ['length_m', 'metal'],
    );
    expect(taken.map((r) => [r.inverterId, r.lengthM])).toEqual([
      ['inv-1', 40],
      ['inv-3', 42],
    ]);
    expect(errors).toEqual([
      { row: 2, column: 'Metal of the lines', text: 'must be one of Cu, Al (got tin)' },
      { row: 4, column: '', text: 'is below the last run' },
    ]);
  });

  it('says what lies beyond the last column, and lets nothing lie there', () => {
    expect(pasted([['40', '9']], runs, ['length_m']).errors).toEqual([
      { row: 1, column: '', text: '“9” is beyond the last column' },
    ]);
    expect(pasted([['40', ' ']], runs, ['length_m']).runs.map((r) => r.lengthM)).toEqual([40]);
  });
});

describe('a list of runs as a file', () => {
  const [header, ...rows] = [
    ['inverter', ...RUN_COLUMN_NAMES],
    ...runRows(DESIGN).map((r) => r.map((c) => String(c ?? ''))),
  ];

  it('comes back as it goes out', () => {
    const { runs, errors } = runsFromRows(DESIGN, header ?? [], rows);
    expect(errors).toEqual([]);
    expect(runs).toEqual(runsInOrder(DESIGN));
  });

  it('changes the columns that are there and no others, by the tag in any capitals', () => {
    const { runs } = runsFromRows(
      DESIGN,
      ['Length_m', 'INVERTER'],
      [
        ['12', 'inv-03'],
        ['', ''],
        ['', 'INV-01'],
      ],
    );
    expect(runs.map((r) => [r.inverterId, r.lengthM, r.sectionMm2])).toEqual([
      ['inv-3', 12, 120],
      ['inv-1', null, 120],
    ]);
  });

  it('names the row of every error as the spreadsheet shows it', () => {
    const { runs, errors } = runsFromRows(
      DESIGN,
      ['inverter', 'length_m', 'section_mm2'],
      [
        ['INV-01', '12', '95'],
        ['INV-09', '12', '95'],
        ['INV-01', '13', '95'],
        ['INV-02', 'long', '1'],
      ],
    );
    expect(runs.map((r) => r.inverterId)).toEqual(['inv-1']);
    expect(errors.map((e) => [e.row, e.column])).toEqual([
      [3, 'inverter'],
      [4, 'inverter'],
      [5, 'length_m'],
      [5, 'section_mm2'],
    ]);
    expect(errors[1]?.text).toBe('INV-01 stands in row 2 already');
  });

  it('takes no header that it does not know, and no list without rows', () => {
    expect(runsFromRows(DESIGN, ['unit', 'length_m'], []).errors[0]?.text).toMatch(
      /no run has: unit\. Columns: inverter, length_m/,
    );
    expect(runsFromRows(DESIGN, ['length_m'], []).errors[0]?.text).toMatch(/^The header needs the column inverter/);
    expect(runsFromRows(DESIGN, ['inverter', 'length_m'], [['', '']]).errors).toEqual([
      { row: 2, column: '', text: 'The list has no rows.' },
    ]);
  });
});
