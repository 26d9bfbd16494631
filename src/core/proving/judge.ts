import { torqueTarget } from '../ac/torque';
import type { SiteDesign } from '../design';
import { known, lacking } from '../kernel/answer';
import type { Check, Subject, Verdict } from '../kernel/check';
import { worstOf } from '../kernel/check';
import { ask } from '../kernel/rule';
import { gridWindow } from '../site/gridCodes';
import type { StringOnLine } from '../site/line';
import { lineOf } from '../site/line';
import { classOf } from '../site/parts';
import { coldOnSite } from '../strings/coldVoltage';
import { dcLimit } from '../strings/dcLimit';
import { pathOf } from '../strings/onInput';
import { gateRow, judgeWaiver } from './gates/machine';
import type { GateId, GateResult } from './gates/machine';
import { acInsulationReading, dcInsulationReading } from './insulation';
import type { InsulationReading } from './insulation';
import type { StringReading, StringTest } from './readings/stringReading';
import { SISTERS_MIN, stringReading } from './readings/stringReading';
import type { RecordOf, SiteRecord } from './record';
import { PROVING_RULES as RULES } from './rules';

/** What an entry says once it is held against the design it was made for. */
export interface Judged {
  readonly record: SiteRecord;
  readonly checks: readonly Check[];
  readonly verdict: Verdict;
  /** What it does to gates. */
  readonly gates: readonly { readonly gate: GateId; readonly result: GateResult }[];
}

const AS_RESULT: Readonly<Partial<Record<Verdict, GateResult>>> = { holds: 'pass', tight: 'caution', stop: 'fail' };

function closes(gate: GateId, verdict: Verdict) {
  const result = AS_RESULT[verdict];
  return result ? [{ gate, result }] : [];
}

/** Sisters are read within this of each other, ms. */
const SISTERS_WITHIN_MS = 10 * 60_000;

/** Judges one entry against its design; `others` are the live entries beside it. Parts that the design does not know leave no verdict. */
export function judge(record: SiteRecord, design: SiteDesign, others: readonly SiteRecord[]): Judged {
  switch (record.kind) {
    case 'string-test':
      return judgeStringEntry(record, design, others);
    case 'insulation':
      return judgeInsulationEntry(record, design);
    case 'ac-voltages':
      return judgeAcEntry(record, design);
    case 'torque':
      return judgeTorqueEntry(record, design);
    case 'gate':
      return judgeTick(record);
    case 'waiver':
      return judgeWaiverEntry(record);
    case 'energise': {
      const gates = record.values.state === 'ON_GRID' ? closes('I-ONGRID', 'holds') : [];
      return { record, checks: [], verdict: 'holds', gates };
    }
    case 'open-point':
    case 'signature':
      return { record, checks: [], verdict: 'holds', gates: [] };
  }
}

const TICKED = { pass: 'pass', fail: 'fail', accepted: 'accepted', reopened: 'stale' } as const;

function judgeTick(record: RecordOf<'gate'>): Judged {
  const result = TICKED[record.values.result];
  const verdict = result === 'pass' ? 'holds' : result === 'accepted' ? 'tight' : 'stop';
  return { record, checks: [], verdict, gates: [{ gate: record.values.gate, result }] };
}

function judgeWaiverEntry(record: RecordOf<'waiver'>): Judged {
  const { gate, reviewDays } = record.values;
  const { waived } = judgeWaiver(gateRow(gate), record.role, record.reason ?? '', reviewDays);
  const gates = waived ? [{ gate, result: 'waived' as const }] : [];
  return { record, checks: [], verdict: waived ? 'tight' : 'stop', gates };
}

const nothing = (record: SiteRecord): Judged => ({ record, checks: [], verdict: 'unknown', gates: [] });

/** Checks of a reading with that of its instrument, and the worst of them. */
function withInstrument(record: SiteRecord, subject: Subject, checks: readonly Check[]) {
  const { instrument } = record;
  const inUse = instrument && { ...instrument, day: record.doneAt.slice(0, 10) };
  const all = inUse ? [...checks, ...ask(RULES.instrument, inUse, subject)] : checks;
  return { record, checks: all, verdict: worstOf(all.map((c) => c.verdict)) };
}

const subjectOf = ({ string, place, unit }: StringOnLine): Subject => ({
  element: 'string',
  path: place && unit ? pathOf(unit, place, string.number) : `string ${string.number}`,
  id: string.id,
});

/** Every check of a string before it is plugged: polarity, coldest morning, sisters or expected value, cause. Basis: IEC 62446-1, 6.3 and 6.5. */
export function stringChecks(t: StringReading, subject: Subject): Check[] {
  const beside = t.sistersV.length >= SISTERS_MIN ? RULES.sisters : RULES.alone;
  return [...ask(RULES.string, t, subject), ...ask(beside, t, subject)];
}

/** Everything a reading of a string is judged by, from the design it was made for and the entries beside it. */
function stringTestOf(
  on: StringOnLine,
  record: RecordOf<'string-test'>,
  design: SiteDesign,
  others: readonly SiteRecord[],
): StringTest {
  const { string, plane, module, type } = on;
  const { survey } = design;
  const limit = type ? dcLimit({ module, inverter: type, survey }) : lacking<never>('an input');
  return {
    module,
    modules: string.modules,
    ...record.values,
    coldestC: survey.coldestC,
    cold: coldOnSite(survey, plane, module, lineOf(design).ratedW || null),
    limitV: limit.value ? known(limit.value.limitV) : lacking(...limit.missing),
    sistersV: sistersOf(on, record, design, others),
    otherModules: otherLength(design, string.modules),
  };
}

function judgeStringEntry(record: RecordOf<'string-test'>, design: SiteDesign, others: readonly SiteRecord[]): Judged {
  const on = lineOf(design).string(record.subject.id);
  if (!on) return nothing(record);
  const subject = subjectOf(on);
  const reading = stringReading(stringTestOf(on, record, design, others));
  const judged = withInstrument(record, subject, stringChecks(reading, subject));
  const polarity = { gate: 'D-POL', result: reading.voltageV > 0 ? 'pass' : 'fail' } as const;
  return { ...judged, gates: [polarity, ...closes('D-VOC', judged.verdict)] };
}

/** Latest readings of the like strings measured within ten minutes. */
function sistersOf(
  own: StringOnLine,
  record: RecordOf<'string-test'>,
  design: SiteDesign,
  all: readonly SiteRecord[],
): number[] {
  const latest = new Map<string, number>();
  const doneMs = Date.parse(record.doneAt);
  for (const r of all) {
    if (r.kind !== 'string-test' || r.subject.id === record.subject.id || r.values.voltageV <= 0) continue;
    if (Math.abs(Date.parse(r.doneAt) - doneMs) > SISTERS_WITHIN_MS) continue;
    const other = lineOf(design).string(r.subject.id);
    if (other?.string.modules === own.string.modules && classOf(other.plane) === classOf(own.plane))
      latest.set(r.subject.id, r.values.voltageV);
  }
  return [...latest.values()];
}

/** The other length of the plan nearest to this one: what a swapped home run would bring. */
function otherLength(design: SiteDesign, modules: number): number | null {
  const lengths = [...new Set(design.strings.map((s) => s.modules))].filter((n) => n !== modules);
  return lengths.sort((a, b) => Math.abs(a - modules) - Math.abs(b - modules))[0] ?? null;
}

function judgeInsulationEntry(record: RecordOf<'insulation'>, design: SiteDesign): Judged {
  const line = lineOf(design);
  const judged = (reading: InsulationReading, subject: Subject, gate: GateId): Judged => {
    const checks = ask(RULES.insulation, reading, subject);
    const worst = withInstrument(record, subject, checks);
    return { ...worst, gates: checks.some((c) => c.verdict === 'unknown') ? [] : closes(gate, worst.verdict) };
  };
  if (record.subject.scope === 'string') {
    const on = line.string(record.subject.id);
    return on
      ? judged(dcInsulationReading(on.module, on.string.modules, record.values), subjectOf(on), 'D-IR')
      : nothing(record);
  }
  const on = line.unit(record.subject.id);
  if (!on) return nothing(record);
  const reading = acInsulationReading(design.survey.lineV ?? on.type.nominalLineV, record.values);
  return judged(reading, { element: 'run', path: `${on.unit.tag} / AC run`, id: on.unit.id }, 'I-ACIR');
}

function judgeAcEntry(record: RecordOf<'ac-voltages'>, design: SiteDesign): Judged {
  const unit = lineOf(design).inverter(record.subject.id);
  if (!unit) return nothing(record);
  const { l12V, l23V, l31V, l1V, l2V, l3V, frequencyHz, rotation } = record.values;
  const subject: Subject = { element: 'grid', path: `${unit.tag} / AC voltages`, id: unit.id };
  const reading = {
    lineV: [l12V, l23V, l31V] as const,
    phaseV: [l1V, l2V, l3V].filter((v) => v !== null),
    frequencyHz,
    rotation,
    window: gridWindow(design.survey),
    nominalHz: design.survey.frequencyHz,
  };
  const judged = withInstrument(record, subject, ask(RULES.ac, reading, subject));
  return { ...judged, gates: closes('I-ACV', judged.verdict) };
}

function judgeTorqueEntry(record: RecordOf<'torque'>, design: SiteDesign): Judged {
  const on = lineOf(design).unit(record.subject.id);
  if (!on) return nothing(record);
  const subject: Subject = { element: 'lug', path: `${on.unit.tag} / AC studs`, id: on.unit.id };
  const reading = { ...record.values, target: torqueTarget(on.type.bay) ?? null };
  const judged = withInstrument(record, subject, ask(RULES.torque, reading, subject));
  return { ...judged, gates: closes('I-TORQ', judged.verdict) };
}
