import type { ModuleType } from '../equipment/moduleType';
import type { Check, Question, Subject } from '../kernel/check';
import { atMost, practice, published, rule, unknown, withVerdict, worstOf } from '../kernel/check';
import type { Verdict } from '../kernel/check';
import { fixed } from '../kernel/quantity';
import { requireWithin } from '../kernel/require';
import { median } from '../kernel/statistics';
import { openCircuitV } from '../strings/moduleAt';
import type { CauseRanking } from './stringCauses';
import { TOO_DARK_WM2, rankCauses } from './stringCauses';

/** Rise of U_oc with the logarithm of light, share of U_oc (IEC 60891 procedure 2, typical; recalled). */
const LIGHT_COEFFICIENT = 0.06;

/** A measured string carried to the coldest morning, V: U·(1 + β(T_min − 25))/(1 + β(T_c − 25) + 0.06·ln(G/1000)). */
export function carriedToColdV(
  voltageV: number,
  cellC: number,
  irradianceWm2: number,
  coldestC: number,
  betaUocPerK: number,
): number {
  return (
    (voltageV * (1 + betaUocPerK * (coldestC - 25))) /
    (1 + betaUocPerK * (cellC - 25) + LIGHT_COEFFICIENT * Math.log(irradianceWm2 / 1000))
  );
}

export interface Likeness {
  readonly label: string;
  readonly verdict: Exclude<Verdict, 'unknown'>;
  /** Missing modules against the median of the sisters: d = n·(1 − V/V_ref). */
  readonly missingModules: number;
  readonly deviationPercent: number;
}

/** Labels by missing modules d, first match (common practice; the 5 % rule is IEC 62446-1). */
const LABELS: readonly (readonly [number, string])[] = [
  [-0.5, 'extra module'],
  [-0.25, 'unclear'],
  [0.25, 'ok'],
  [0.5, 'one bypass section'],
  [0.8, 'two bypass sections'],
  [1.3, 'one module missing'],
  [1.7, 'unclear'],
  [2.3, 'one module reversed or two missing'],
];

/** How a string reads against its sisters (same module, count, orientation, within ten minutes, itself left out). */
export function likeness(modules: number, voltageV: number, referenceV: number): Likeness {
  const d = modules * (1 - voltageV / referenceV);
  const share = voltageV / referenceV - 1;
  const label = d < -0.5 ? 'extra module' : (LABELS.find(([upTo]) => d <= upTo)?.[1] ?? 'several modules');
  const verdict = Math.abs(d) <= 0.25 && Math.abs(share) <= 0.05 ? 'holds' : Math.abs(d) <= 0.5 ? 'tight' : 'stop';
  return { label, verdict, missingModules: d, deviationPercent: 100 * share };
}

/** Everything a reading at the plug is judged by. Null for what the design does not say. */
export interface StringTest {
  readonly subject: Subject;
  readonly module: ModuleType;
  readonly modules: number;
  readonly voltageV: number;
  readonly currentA: number | null;
  readonly cellC: number;
  readonly irradianceWm2: number;
  readonly coldestC: number | null;
  readonly limitV: number | null;
  readonly sistersV: readonly number[];
  readonly otherModules: number | null;
  readonly idealityV?: number;
}

export interface StringTestResult {
  readonly checks: readonly Check[];
  readonly verdict: Verdict;
  readonly polarityHolds: boolean;
  readonly ranking: CauseRanking;
  readonly coldV: number | null;
}

/** Sisters that make a likeness test. */
const SISTERS_MIN = 3;
/** Volts below zero from which a reading is reversed and not noise. */
const REVERSED_BELOW_V = -10;

/**
 * Judges one string before it is plugged: polarity, coldest-morning voltage, likeness to its sisters (or to the expected value), cause.
 * The worst rule is the verdict. Below 100 W/m² the reading proves nothing and is refused. Basis: IEC 62446-1, 6.3 and 6.5.
 */
export function judgeStringTest(t: StringTest): StringTestResult {
  requireWithin('irradianceWm2', t.irradianceWm2, TOO_DARK_WM2, 1600, 'W/m²; below it is too dark to judge');
  requireWithin('cellC', t.cellC, -40, 110, '°C');
  requireWithin('betaUocPerK', t.module.betaUocPerK, -0.00999, -1e-9, '1/K');
  const ranking = rankCauses(t.module, t);
  const coldV =
    t.coldestC === null ? null : carriedToColdV(t.voltageV, t.cellC, t.irradianceWm2, t.coldestC, t.module.betaUocPerK);
  const polarityHolds = t.voltageV > 0;
  const checks = [polarity(t), coldVoltage(t, coldV), againstOthers(t, ranking), causeCheck(t, ranking)];
  return { checks, verdict: worstOf(checks.map((c) => c.verdict)), polarityHolds, ranking, coldV };
}

function ask(t: StringTest, id: string, title: string, basis: Question['basis']): Question {
  return { id, subject: t.subject, title, unit: 'V', basis };
}

function polarity(t: StringTest): Check {
  const q = ask(t, 'proving.polarity', 'Polarity', published('IEC 62446-1, 6.3'));
  if (t.voltageV > 0)
    return { ...rule(q, 'holds', [`${fixed(t.voltageV, 1)} V with red on positive`]), value: t.voltageV };
  const why =
    t.voltageV < REVERSED_BELOW_V
      ? 'Reversed: leave it unplugged, do not close the switch.'
      : 'No voltage: walk the string, listen for the click of each connector.';
  return { ...rule(q, 'stop', [`${fixed(t.voltageV, 1)} V`, why]), value: t.voltageV };
}

function coldVoltage(t: StringTest, coldV: number | null): Check {
  const q = ask(
    t,
    'proving.cold-voltage',
    'Measured string on the coldest morning',
    practice('reading carried to the lowest design temperature; 2 % wanted in hand'),
  );
  if (coldV === null || t.coldestC === null || t.limitV === null) {
    return unknown(q, [
      ...(t.coldestC === null ? ['lowest design temperature'] : []),
      ...(t.limitV === null ? ['legal DC limit'] : []),
    ]);
  }
  const value = Math.max(t.voltageV, coldV);
  const check = atMost(
    {
      ...q,
      value,
      limit: t.limitV,
      working: [
        `${fixed(t.voltageV, 1)} V at ${fixed(t.cellC, 1)} °C and ${fixed(t.irradianceWm2, 0)} W/m² → ${fixed(coldV, 1)} V at ${t.coldestC} °C; limit ${t.limitV} V`,
      ],
    },
    2,
  );
  const designV = t.modules * openCircuitV(t.module, t.coldestC);
  const off = 100 * (coldV / designV - 1);
  return check.verdict === 'holds' && Math.abs(off) > 3
    ? withVerdict(
        check,
        'tight',
        `${fixed(off, 1)} % from the design figure ${fixed(designV, 1)} V: check model and count.`,
      )
    : check;
}

function againstOthers(t: StringTest, ranking: CauseRanking): Check {
  if (t.sistersV.length >= SISTERS_MIN) {
    const reference = median(t.sistersV);
    const l = likeness(t.modules, t.voltageV, reference);
    return {
      ...rule(
        ask(
          t,
          'proving.likeness',
          'Reads like its sisters',
          published('IEC 62446-1, 6.5; module arithmetic is common practice'),
        ),
        l.verdict,
        [
          `median of ${t.sistersV.length} sisters ${fixed(reference, 1)} V; ${fixed(l.deviationPercent, 2)} %`,
          `d = n·(1 − V/V_ref) = ${fixed(l.missingModules, 2)} modules: ${l.label}`,
        ],
      ),
      value: t.voltageV,
      limit: reference,
    };
  }
  const { expected, deviationPercent: off } = ranking;
  const verdict = Math.abs(off) <= 5 ? 'holds' : Math.abs(off) <= 10 ? 'tight' : 'stop';
  return {
    ...rule(
      ask(
        t,
        'proving.expected-voltage',
        'Reads as expected (no sisters yet)',
        practice('within 5 % of the expected value; 10 % at most'),
      ),
      verdict,
      [`${t.modules} × ${fixed(expected.moduleV, 2)} V = ${fixed(expected.stringV, 1)} V expected; ${fixed(off, 2)} %`],
    ),
    value: t.voltageV,
    limit: expected.stringV,
  };
}

function causeCheck(t: StringTest, ranking: CauseRanking): Check {
  const q = ask(t, 'proving.cause', 'Likeliest explanation', practice('priors of field causes, common practice'));
  const verdict = { pass: 'holds', caution: 'tight', fail: 'stop' } as const;
  const lines = ranking.causes
    .slice(0, 2)
    .map((c) => `${fixed(100 * c.probability, 1)} %: ${c.words}. Next: ${c.next}.${c.safety ? ` ${c.safety}.` : ''}`);
  return {
    ...rule(q, verdict[ranking.verdict], [
      `expected ${fixed(ranking.expected.stringV, 1)} V ± ${fixed(ranking.expected.u95Percent, 2)} % (k = 2); read ${fixed(ranking.deviationPercent, 2)} %`,
      ...lines,
    ]),
    value: t.voltageV,
    limit: ranking.expected.stringV,
  };
}
