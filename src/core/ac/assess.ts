import type { Check, LineElement, Question } from '../kernel/check';
import {
  atLeast,
  atMost,
  computed,
  counted,
  dataSheet,
  practice,
  published,
  rule,
  unknown,
  withVerdict,
} from '../kernel/check';
import { Memo } from '../kernel/memo';
import { fixed } from '../kernel/quantity';
import type { SiteDesign, Survey } from '../site/siteDesign';
import { gridCodeOf } from '../site/gridCodes';
import { nextBreakerA } from './current';
import { CONDUCTOR_MAX_C } from './impedance';
import type { RunResult } from './run';
import { RISE_LIMIT_PERCENT, RISE_WANTED_PERCENT, calculateRuns } from './run';
import { breakerAmbientFactor } from './current';
import { palmGapLimitsMm, sealAdvice, settingWindowNm } from './termination';
import { WIRING_ON_SERVICE } from './tables/systemEarthing';

const A = (x: number) => `${fixed(x, 1)} A`;

type Ask = (id: string, element: LineElement, title: string, unit: string, basis: Question['basis']) => Question;

/** Every check of AC runs, lugs, board and grid. */
export function assessAc(design: SiteDesign, memo: Memo = new Memo()): Check[] {
  const results = calculateRuns(design, memo);
  return [
    ...results.flatMap((r) =>
      memo.keep(`run-checks/${r.inverter.id}`, [r, design.survey], () => assessRun(r, design.survey)),
    ),
    ...assessBoard(design, results),
    ...assessGrid(design, results),
  ];
}

/** The checks of one run, from design current to torque. */
export function assessRun(r: RunResult, survey: Survey): Check[] {
  const ask: Ask = (id, element, title, unit, basis) => ({
    id,
    subject: { element, path: `${r.inverter.tag} / ${element === 'lug' ? 'AC bay' : 'AC run'}`, id: r.inverter.id },
    title,
    unit,
    basis,
  });
  return [
    ...currentChecks(r, ask),
    ...conductorChecks(r, survey, ask),
    ...earthChecks(r, ask),
    ...bayChecks(r, survey, ask),
  ];
}

function currentChecks(r: RunResult, ask: Ask): Check[] {
  const { design, type, run } = r;
  const current = ask(
    'ac.design-current',
    'run',
    'Design current is plausible',
    'A',
    dataSheet('maximum output current'),
  );
  const text = `I_calc = S/(√3·U) = ${type.maxApparentVa} VA / (√3 × ${type.nominalLineV} V) = ${A(design.currentA / (design.ratio ?? 1 / 0.9))}`;
  const currentCheck: Check =
    design.ratio === null
      ? {
          ...rule(current, 'tight', [
            text,
            `The sheet gives no current: I_b = I_calc / 0.90 = ${A(design.currentA)}, provisional`,
          ]),
          value: design.currentA,
        }
      : {
          ...rule(current, design.ratio < 0.995 ? 'stop' : design.ratio > 1.15 ? 'tight' : 'holds', [
            text,
            `I_b = ${A(design.currentA)} from the data sheet, ${fixed(design.ratio, 3)} of I_calc (0.995 to 1.15 is plausible)`,
            ...(design.ratio < 0.995 ? ['Below rated power at this voltage: the wrong column of the sheet?'] : []),
            ...(design.ratio > 1.15 ? ['Is this the output current, or an inrush or fault current?'] : []),
          ]),
          value: design.currentA,
        };

  const rating = ask(
    'ac.breaker-rating',
    'run',
    'Breaker carries the design current in its ambient',
    'A',
    practice('0.6 %/K above the reference ambient; the breaker’s own curve wins'),
  );
  const largest = ask(
    'ac.breaker-largest',
    'run',
    'Breaker is not above the largest the inverter allows',
    'A',
    dataSheet('largest upstream breaker'),
  );
  const needed = r.breakerNeededA;
  return [
    currentCheck,
    run.breakerA === null || needed === null
      ? unknown(rating, [
          ...(run.breakerA === null ? ['breaker'] : []),
          ...(run.breakerAmbientC === null ? ['ambient at the breaker'] : []),
          ...(run.breakerGroupFactor === null ? ['side-by-side factor of the breaker'] : []),
        ])
      : atLeast({
          ...rating,
          value: run.breakerA,
          limit: needed,
          working: [
            `K = 1 − 0.006·(θ − θ_ref) = ${fixed(breakerAmbientFactor(run.breakerKind, run.breakerAmbientC ?? 0), 3)}; side by side ${run.breakerGroupFactor}`,
            `I_b / K = ${A(design.currentA)} / ${fixed(r.breakerFactor ?? 1, 3)} = ${A(needed)}; next rating ${nextBreakerA(needed) ?? '–'} A; chosen ${run.breakerA} A`,
          ],
        }),
    run.breakerA === null || type.breakerMaxA === null
      ? unknown(largest, [
          ...(run.breakerA === null ? ['breaker'] : []),
          ...(type.breakerMaxA === null ? [`largest breaker of ${type.name}`] : []),
        ])
      : atMost({
          ...largest,
          value: run.breakerA,
          limit: type.breakerMaxA,
          working: [`${run.breakerA} A on at most ${type.breakerMaxA} A`],
        }),
  ];
}

function conductorChecks(r: RunResult, survey: Survey, ask: Ask): Check[] {
  const { run, type, design } = r;
  const carries = ask(
    'ac.ampacity',
    'run',
    'Cable carries the breaker current',
    'A',
    published('IEC 60364-4-43, 433.1; IEC 60364-5-52'),
  );
  const rise = ask(
    'ac.voltage-rise',
    'run',
    'Voltage rise from unit to board',
    '%',
    practice('1 % wanted, 2 % at most: here each per cent is taken from the trip margin'),
  );
  const terminal = ask(
    'ac.terminal-voltage',
    'run',
    'Voltage at the unit stays under the trip level',
    'V',
    published('ten-minute mean of the grid code'),
  );
  const iz = r.ampacity.ampacity;
  const code = gridCodeOf(survey.gridCode);
  const missingRise = [
    ...(run.sectionMm2 === null ? ['section'] : []),
    ...(run.lengthM === null ? ['length of the run'] : []),
    ...(survey.lineV === null ? ['nominal line voltage'] : []),
    ...(survey.frequencyHz === null ? ['frequency'] : []),
  ];
  return [
    !iz || run.breakerA === null
      ? unknown(carries, [...r.ampacity.missing, ...(run.breakerA === null ? ['breaker'] : [])])
      : atMost(
          {
            ...carries,
            basis: published(`${iz.source}; IEC 60364-4-43, 433.1`),
            value: run.breakerA,
            limit: iz.izA,
            working: [...iz.working, `I_b ${A(design.currentA)} ≤ I_n ${run.breakerA} A ≤ I_z ${A(iz.izA)}`],
          },
          5,
        ),
    r.risePercent === null || r.impedance === null || r.riseV === null
      ? unknown(rise, missingRise.length ? missingRise : ['a resistance of this section'])
      : atMost(
          {
            ...rise,
            value: r.risePercent,
            limit: RISE_LIMIT_PERCENT,
            working: [
              `R = ${fixed(1000 * r.impedance.ohm, 3)} mΩ a conductor at ${CONDUCTOR_MAX_C[run.insulation]} °C (${run.parallel} × ${run.sectionMm2} mm² ${run.metal}, ${run.lengthM} m)`,
              `ΔU = √3·I·R·cosφ = √3 × ${A(design.currentA)} × ${fixed(1000 * r.impedance.ohm, 3)} mΩ × 1 = ${fixed(r.riseV, 2)} V = ${fixed(r.risePercent, 3)} % of ${survey.lineV} V`,
              `wanted ${RISE_WANTED_PERCENT} %, at most ${RISE_LIMIT_PERCENT} %`,
            ],
          },
          100 * (1 - RISE_WANTED_PERCENT / RISE_LIMIT_PERCENT),
        ),
    r.terminalV === null || survey.lineV === null || code?.tenMinutePu == null
      ? unknown(terminal, [
          ...(survey.boardHighestV === null ? ['highest line voltage at the board while feeding'] : []),
          ...(code?.tenMinutePu == null ? ['grid code with a ten-minute limit'] : []),
          ...(r.impedance === null ? missingRise : []),
        ])
      : atMost(
          {
            ...terminal,
            basis: published(`${code.source}, ten-minute mean`),
            value: r.terminalV,
            limit: code.tenMinutePu * survey.lineV,
            working: [
              `board ${survey.boardHighestV} V, ${type.ratedW} W exported over ${fixed(1000 * (r.impedance?.ohm ?? 0), 2)} mΩ: ${fixed(r.terminalV, 2)} V at the unit`,
              `trip at ${code.tenMinutePu} × ${survey.lineV} V = ${fixed(code.tenMinutePu * survey.lineV, 1)} V; 2 % is wanted in hand`,
            ],
          },
          2,
        ),
  ];
}

function earthChecks(r: RunResult, ask: Ask): Check[] {
  const { run } = r;
  const pe = ask('ac.pe-section', 'run', 'PE section', 'mm²', published('IEC 60364-5-54, Table 54.2'));
  const external = ask(
    'ac.external-earth',
    'run',
    'External chassis earth',
    'mm²',
    published('IEC 60364-5-54, 543.7; default: both earths'),
  );
  return [
    run.peMm2 === null || r.peNeededMm2 === null
      ? unknown(pe, [...(run.sectionMm2 === null ? ['section'] : []), ...(run.peMm2 === null ? ['PE section'] : [])])
      : atLeast({
          ...pe,
          value: run.peMm2,
          limit: r.peNeededMm2,
          working: [
            `line ${run.sectionMm2} mm² ${run.metal}, PE in ${run.peMetal}: ${r.peNeededMm2} mm² needed, ${run.peMm2} mm² chosen`,
          ],
        }),
    run.externalEarthMm2 === null || r.externalEarthNeededMm2 === null
      ? unknown(external, [
          ...(run.sectionMm2 === null ? ['section'] : []),
          ...(run.externalEarthMm2 === null ? ['external chassis earth'] : []),
        ])
      : atLeast({
          ...external,
          value: run.externalEarthMm2,
          limit: r.externalEarthNeededMm2,
          working: [
            `as the PE of the cable in ${run.externalEarthMetal}, at least 10 mm² Cu or 16 mm² Al: ${fixed(r.externalEarthNeededMm2, 1)} mm² needed, ${run.externalEarthMm2} mm² chosen`,
          ],
        }),
  ];
}

function bayChecks(r: RunResult, survey: Survey, ask: Ask): Check[] {
  const { run, type, lug } = r;
  const { bay } = type;
  const exists = ask('ac.lug', 'lug', 'A lug for this section and stud', '', published('DIN 46235 and DIN 46329'));
  const width = ask('ac.palm-width', 'lug', 'Palm fits the width of the bay', 'mm', dataSheet('widest lug palm'));
  const thick = ask(
    'ac.palm-thickness',
    'lug',
    'Palms on the stud fit the thickness',
    'mm',
    dataSheet('thickest lug palm'),
  );
  const gap = ask(
    'ac.palm-gap',
    'lug',
    'Air between neighbouring palms',
    'mm',
    practice('10 mm to 480 V, 14 mm above; least by IEC 60664-1'),
  );
  const count = ask('ac.lugs-on-stud', 'lug', 'Lugs on one stud', 'lugs', dataSheet('lugs allowed on one stud'));
  const metal = ask(
    'ac.aluminium',
    'lug',
    'Conductor metal is allowed at the terminals',
    '',
    dataSheet('aluminium conductors'),
  );
  const section = ask(
    'ac.section-largest',
    'lug',
    'Section is not above the largest at the terminals',
    'mm²',
    dataSheet('largest conductor'),
  );
  const torque = ask(
    'ac.torque',
    'lug',
    'Torque has an origin',
    'N·m',
    practice('data sheet or print beside the stud before any table'),
  );
  const needSection = run.sectionMm2 === null ? ['section'] : [];
  const noPalm = run.sectionMm2 === null ? needSection : ['palm width and thickness from the lug sheet'];
  const stacked = lug?.palmThicknessMm == null ? null : lug.palmThicknessMm * Math.min(run.parallel, 2);
  const gapLimits = palmGapLimitsMm(survey.lineV ?? type.nominalLineV);
  const gapMm = lug?.palmWidthMm == null || bay.studSpacingMm === null ? null : bay.studSpacingMm - lug.palmWidthMm;
  return [
    run.sectionMm2 === null
      ? unknown(exists, needSection)
      : rule(exists, lug ? 'holds' : 'stop', [
          lug
            ? `${lug.sectionMm2}-M${bay.studM}: die ${lug.dieCode}${lug.crimps ? `, ${lug.crimps} crimps with a 5 mm die` : ''}${lug.stripMm ? `, strip ${lug.stripMm} mm` : ''} (${lug.source})`
            : `No ${run.metal} lug of ${run.sectionMm2} mm² has a hole for M${bay.studM}.`,
          ...(run.metal === 'Al' ? ['Bimetal lug with a copper palm; brush, paste at once, insert, crimp, wipe.'] : []),
        ]),
    lug?.palmWidthMm == null || bay.palmMaxWidthMm === null
      ? unknown(width, [
          ...(lug?.palmWidthMm == null ? noPalm : []),
          ...(bay.palmMaxWidthMm === null ? [`widest palm of ${type.name}`] : []),
        ])
      : atMost({
          ...width,
          value: lug.palmWidthMm,
          limit: bay.palmMaxWidthMm,
          working: [`palm ${lug.palmWidthMm} mm in a bay for ${bay.palmMaxWidthMm} mm`],
        }),
    stacked === null || bay.palmMaxThicknessMm === null
      ? unknown(thick, [
          ...(stacked === null ? noPalm : []),
          ...(bay.palmMaxThicknessMm === null ? [`thickest palm of ${type.name}`] : []),
        ])
      : softenBound(
          atMost({
            ...thick,
            value: stacked,
            limit: bay.palmMaxThicknessMm,
            working: [
              `${Math.min(run.parallel, 2)} × ${lug?.palmThicknessMm} mm = ${fixed(stacked, 1)} mm on ${bay.palmMaxThicknessMm} mm`,
            ],
          }),
          lug?.thicknessIsBound ?? false,
        ),
    gapMm === null
      ? unknown(gap, [
          ...(lug?.palmWidthMm == null ? noPalm : []),
          ...(bay.studSpacingMm === null ? [`stud spacing of ${type.name}`] : []),
        ])
      : atLeast(
          {
            ...gap,
            value: gapMm,
            limit: gapLimits.leastMm,
            working: [
              `spacing ${bay.studSpacingMm} mm − palm ${lug?.palmWidthMm} mm = ${fixed(gapMm, 1)} mm; wanted ${gapLimits.wantedMm} mm, least ${gapLimits.leastMm} mm; between them fit a barrier`,
            ],
          },
          100 * (gapLimits.wantedMm / gapLimits.leastMm - 1),
        ),
    counted(
      count,
      run.parallel,
      bay.lugsPerStud,
      `${run.parallel} cables in parallel, ${bay.lugsPerStud} lugs allowed on a stud`,
    ),
    run.metal === 'Cu'
      ? rule(metal, 'holds', ['Copper'])
      : bay.aluminiumAllowed === null
        ? unknown(metal, [`whether ${type.name} allows aluminium`])
        : rule(metal, bay.aluminiumAllowed ? 'holds' : 'stop', [
            bay.aluminiumAllowed
              ? 'The data sheet allows aluminium on bimetal lugs'
              : 'The data sheet does not allow aluminium',
          ]),
    run.sectionMm2 === null || bay.sectionMaxMm2 === null
      ? unknown(section, [...needSection, ...(bay.sectionMaxMm2 === null ? [`largest conductor of ${type.name}`] : [])])
      : atMost({
          ...section,
          value: run.sectionMm2,
          limit: bay.sectionMaxMm2,
          working: [`${run.sectionMm2} mm² at terminals for ${bay.sectionMaxMm2} mm²`],
        }),
    glandCheck(r, ask),
    r.torque === null
      ? unknown(torque, ['torque of the AC studs'])
      : {
          ...rule(
            {
              ...torque,
              basis: r.torque.origin === 'data sheet' ? dataSheet('AC stud torque') : published(r.torque.source),
            },
            r.torque.origin === 'data sheet' ? 'holds' : 'tight',
            [
              `${r.torque.lowNm} to ${r.torque.highNm} N·m from the ${r.torque.origin}; set ${fixed(r.torque.setNm, 1)} N·m`,
              `tool window ${fixed(settingWindowNm(r.torque.lowNm, r.torque.highNm).lowNm, 1)} to ${fixed(settingWindowNm(r.torque.lowNm, r.torque.highNm).highNm, 1)} N·m (ISO 6789-1)`,
              ...(r.torque.origin === 'stud table'
                ? ['The sheet gives no torque: look for a print beside the stud; it outranks this.']
                : []),
            ],
          ),
          value: r.torque.setNm,
        },
  ];
}

/** The tabulated thickness is an upper bound: past the limit by the bound alone is a reason to measure, not to refuse. */
function softenBound(check: Check, isBound: boolean): Check {
  return check.verdict === 'stop' && isBound
    ? withVerdict(check, 'tight', 'The thickness is an upper bound: measure the palm.')
    : check;
}

function glandCheck(r: RunResult, ask: Ask): Check {
  const q = ask('ac.gland', 'lug', 'Cable fits the gland', 'mm', dataSheet('clamping range of the gland'));
  const { glandClampMinMm: min, glandClampMaxMm: max, glandSealSplitMm } = r.type.bay;
  const d = r.diameter;
  if (!d || min === null || max === null) {
    return unknown(q, [
      ...(d ? [] : ['section or measured cable diameter']),
      ...(min === null || max === null ? [`gland of ${r.type.name}`] : []),
    ]);
  }
  const range = d.measured
    ? `${d.nominalMm} mm measured`
    : `${fixed(d.nominalMm, 1)} mm built up, a real cable ${fixed(d.lowMm, 1)} to ${fixed(d.highMm, 1)} mm`;
  const working = [`${range} in a gland for ${min} to ${max} mm`, sealAdvice(d, glandSealSplitMm)];
  const inside = (mm: number) => mm >= min && mm <= max;
  const verdict = inside(d.lowMm) && inside(d.highMm) ? 'holds' : inside(d.nominalMm) ? 'tight' : 'stop';
  const margin = Math.min((100 * (max - d.highMm)) / max, (100 * (d.lowMm - min)) / min);
  return {
    ...rule(q, verdict, [
      ...working,
      ...(verdict === 'tight' ? ['A real cable may lie outside: measure it before drilling.'] : []),
    ]),
    value: d.nominalMm,
    limit: d.nominalMm > max ? max : d.nominalMm < min ? min : max,
    margin: verdict === 'tight' ? 0 : margin,
  };
}

function assessBoard(design: SiteDesign, results: readonly RunResult[]): Check[] {
  const { board } = design;
  const q = (id: string, title: string): Question => ({
    id,
    subject: { element: 'board', path: board.label },
    title,
    unit: 'A',
    basis: practice('all inverters peak together: no diversity'),
  });
  const bus = q('ac.busbar', 'Busbar carries the sum of all inverters');
  const main = q('ac.main-breaker', 'Main breaker carries the sum in its ambient');
  if (results.length === 0) return [unknown(bus, ['inverters']), unknown(main, ['inverters'])];
  const sumA = results.reduce((sum, r) => sum + r.design.currentA, 0);
  const text = `Σ I_b = ${results.length} units = ${A(sumA)}`;
  const factor = board.mainAmbientC === null ? null : breakerAmbientFactor('moulded-case', board.mainAmbientC);
  return [
    board.busbarA === null
      ? unknown(bus, ['busbar rating'])
      : atMost({ ...bus, value: sumA, limit: board.busbarA, working: [text, `on a busbar of ${board.busbarA} A`] }),
    board.mainBreakerA === null || factor === null
      ? unknown(main, [
          ...(board.mainBreakerA === null ? ['main breaker'] : []),
          ...(factor === null ? ['ambient at the main breaker'] : []),
        ])
      : atLeast({
          ...main,
          value: board.mainBreakerA,
          limit: sumA / factor,
          working: [
            text,
            `/ ${fixed(factor, 3)} for ${board.mainAmbientC} °C = ${A(sumA / factor)} on ${board.mainBreakerA} A`,
          ],
        }),
  ];
}

function assessGrid(design: SiteDesign, results: readonly RunResult[]): Check[] {
  const { survey } = design;
  const subject = { element: 'grid', path: 'grid connection' } as const;
  const load: Question = {
    id: 'ac.transformer-load',
    subject,
    title: 'Transformer carries the apparent power',
    unit: 'kVA',
    basis: computed('sum of maximum apparent powers'),
  };
  const kva = results.reduce((sum, r) => sum + r.type.maxApparentVa, 0) / 1000;
  const perUnit = results.flatMap((r): Check[] => {
    const at = { element: 'grid', path: `${r.inverter.tag} / supply`, id: r.inverter.id } as const;
    const wiring: Question = {
      id: 'ac.wiring-on-service',
      subject: at,
      title: 'Supply suits the inverter’s wiring',
      unit: '',
      basis: practice('wiring by service; the data sheet wins'),
    };
    const voltage: Question = {
      id: 'ac.nominal-voltage',
      subject: at,
      title: 'Grid voltage is the inverter’s',
      unit: 'V',
      basis: dataSheet('nominal line voltage'),
    };
    const row = WIRING_ON_SERVICE.find((w) => w.wiring === r.type.wiring && w.service === survey.service);
    return [
      row
        ? rule(wiring, row.verdict, [`${r.type.wiring} on ${row.service}: ${row.text}`])
        : unknown(wiring, ['supply and its earthing']),
      survey.lineV === null
        ? unknown(voltage, ['nominal line voltage'])
        : {
            ...rule(voltage, Math.abs(survey.lineV / r.type.nominalLineV - 1) <= 0.05 ? 'holds' : 'stop', [
              `grid ${survey.lineV} V, inverter ${r.type.nominalLineV} V`,
            ]),
            value: survey.lineV,
            limit: r.type.nominalLineV,
          },
    ];
  });
  if (results.length === 0) return [unknown(load, ['inverters'])];
  return [
    survey.transformerKva === null
      ? unknown(load, ['transformer rating'])
      : atMost({
          ...load,
          value: kva,
          limit: survey.transformerKva,
          working: [`Σ S = ${fixed(kva, 0)} kVA on ${survey.transformerKva} kVA`],
        }),
    ...perUnit,
  ];
}
