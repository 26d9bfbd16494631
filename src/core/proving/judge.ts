import type { Check, Subject, Verdict } from '../kernel/check';
import { dataSheet, practice, published, rule, worstOf } from '../kernel/check';
import { fixed } from '../kernel/quantity';
import { gridCodeOf } from '../site/gridCodes';
import { classOf } from '../site/edits';
import type { SiteDesign } from '../site/siteDesign';
import { judgeAcWindow, judgeUnbalance, lineWindow, unbalancePercent } from './acVoltages';
import { gateRow, judgeWaiver } from './gates/machine';
import type { GateId, GateResult } from './gates/machine';
import { acInsulationTest, dcInsulationTest, judgeAcInsulation, judgeDcInsulation } from './insulation';
import type { RecordOf, SiteRecord } from './record';
import { judgeStringTest } from './stringTest';

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
    case 'gate': {
      const result = ({ pass: 'pass', fail: 'fail', accepted: 'accepted', reopened: 'stale' } as const)[
        record.values.result
      ];
      return {
        record,
        checks: [],
        verdict: result === 'pass' ? 'holds' : result === 'accepted' ? 'tight' : 'stop',
        gates: [{ gate: record.values.gate, result }],
      };
    }
    case 'waiver': {
      const { waived } = judgeWaiver(
        gateRow(record.values.gate),
        record.role,
        record.reason ?? '',
        record.values.reviewDays,
      );
      return {
        record,
        checks: [],
        verdict: waived ? 'tight' : 'stop',
        gates: waived ? [{ gate: record.values.gate, result: 'waived' }] : [],
      };
    }
    case 'energise':
      return {
        record,
        checks: [],
        verdict: 'holds',
        gates: record.values.state === 'ON_GRID' ? [{ gate: 'I-ONGRID', result: 'pass' }] : [],
      };
    default:
      return { record, checks: [], verdict: 'holds', gates: [] };
  }
}

const nothing = (record: SiteRecord): Judged => ({ record, checks: [], verdict: 'unknown', gates: [] });

/** Whether the instrument was in calibration on the day of use; a lapsed one softens the verdict. */
export function calibrationCheck(record: SiteRecord, subject: Subject): Check[] {
  const { instrument } = record;
  if (!instrument) return [];
  const day = record.doneAt.slice(0, 10);
  const valid = day <= instrument.calibratedUntil;
  return [
    rule(
      {
        id: 'proving.calibration',
        subject,
        title: 'Instrument in calibration',
        unit: '',
        basis: practice('valid to the last day printed'),
      },
      valid ? 'holds' : 'tight',
      [`${instrument.name} ${instrument.serial}, calibrated until ${instrument.calibratedUntil}, used ${day}`],
    ),
  ];
}

/** The string of an entry with all it hangs on. */
function stringOf(design: SiteDesign, id: string) {
  const string = design.strings.find((s) => s.id === id);
  const plane = string && design.planes.find((p) => p.id === string.planeId);
  const module = plane && design.equipment.modules.find((m) => m.id === plane.moduleTypeId);
  const unit = string?.place && design.inverters.find((i) => i.id === string.place?.inverterId);
  const type = unit && design.equipment.inverters.find((t) => t.id === unit.typeId);
  if (!string || !plane || !module) return null;
  const subject: Subject = {
    element: 'string',
    path:
      string.place && unit
        ? `${unit.tag} / tracker ${string.place.tracker} / input ${string.place.input} / string ${string.number}`
        : `string ${string.number}`,
    id,
  };
  return { string, plane, module, unit: unit ?? null, type: type ?? null, subject };
}

function judgeStringEntry(record: RecordOf<'string-test'>, design: SiteDesign, others: readonly SiteRecord[]): Judged {
  const hung = stringOf(design, record.subject.id);
  if (!hung) return nothing(record);
  const { string, plane, module, type, subject } = hung;
  const legal = design.survey.dcLegalMaxV;
  const result = judgeStringTest({
    subject,
    module,
    modules: string.modules,
    ...record.values,
    coldestC: design.survey.coldestC,
    limitV: legal === null || !type ? null : Math.min(type.dcMaxV, module.systemMaxV, legal),
    sistersV: sistersOf(record, design, others),
    otherModules: otherLength(design, string.modules),
  });
  const checks = [...result.checks, ...calibrationCheck(record, subject)];
  const verdict = worstOf(checks.map((c) => c.verdict));
  return {
    record,
    checks,
    verdict,
    gates: [{ gate: 'D-POL', result: result.polarityHolds ? 'pass' : 'fail' }, ...closes('D-VOC', verdict)],
  };

  function sistersOf(own: RecordOf<'string-test'>, d: SiteDesign, all: readonly SiteRecord[]): number[] {
    const latest = new Map<string, number>();
    for (const r of all) {
      if (r.kind !== 'string-test' || r.subject.id === own.subject.id || r.values.voltageV <= 0) continue;
      if (Math.abs(Date.parse(r.doneAt) - Date.parse(own.doneAt)) > SISTERS_WITHIN_MS) continue;
      const other = stringOf(d, r.subject.id);
      if (other && other.string.modules === string.modules && classOf(other.plane) === classOf(plane))
        latest.set(r.subject.id, r.values.voltageV);
    }
    return [...latest.values()];
  }
}

/** The other length of the plan nearest to this one: what a swapped home run would bring. */
function otherLength(design: SiteDesign, modules: number): number | null {
  const lengths = [...new Set(design.strings.map((s) => s.modules))].filter((n) => n !== modules);
  return lengths.sort((a, b) => Math.abs(a - modules) - Math.abs(b - modules))[0] ?? null;
}

function judgeInsulationEntry(record: RecordOf<'insulation'>, design: SiteDesign): Judged {
  const { testV, megohm } = record.values;
  if (record.subject.scope === 'string') {
    const hung = stringOf(design, record.subject.id);
    if (!hung) return nothing(record);
    const { string, module, subject } = hung;
    const test = dcInsulationTest(string.modules * module.uocV, module.systemMaxV);
    const found = judgeDcInsulation(test, testV, megohm, (string.modules * module.pmaxW) / 1000, module.systemMaxV);
    return insulationResult(
      record,
      subject,
      found.verdict,
      found.text,
      test.minimumMohm,
      'D-IR',
      published('IEC 62446-1, 6.7, Table 2'),
    );
  }
  const unit = design.inverters.find((i) => i.id === record.subject.id);
  const type = design.equipment.inverters.find((t) => t.id === unit?.typeId);
  if (!unit || !type) return nothing(record);
  const test = acInsulationTest(design.survey.lineV ?? type.nominalLineV);
  const found = judgeAcInsulation(test, testV, megohm);
  return insulationResult(
    record,
    { element: 'run', path: `${unit.tag} / AC run`, id: unit.id },
    found.verdict,
    found.text,
    test.minimumMohm,
    'I-ACIR',
    published('IEC 60364-6, Table 6.1'),
  );
}

function insulationResult(
  record: RecordOf<'insulation'>,
  subject: Subject,
  verdict: Verdict,
  text: string,
  minimum: number,
  gate: GateId,
  basis: Check['basis'],
): Judged {
  const { megohm } = record.values;
  const margin = (100 * (megohm - minimum)) / minimum;
  const check: Check = {
    id: 'proving.insulation',
    subject,
    title: 'Insulation resistance',
    value: megohm,
    limit: minimum,
    unit: 'MΩ',
    margin,
    verdict,
    basis,
    working: [text],
  };
  const checks = [check, ...calibrationCheck(record, subject)];
  const worst = worstOf(checks.map((c) => c.verdict));
  return { record, checks, verdict: worst, gates: verdict === 'unknown' ? [] : closes(gate, worst) };
}

function judgeAcEntry(record: RecordOf<'ac-voltages'>, design: SiteDesign): Judged {
  const unit = design.inverters.find((i) => i.id === record.subject.id);
  const { lineV, gridCode, frequencyHz } = design.survey;
  const code = gridCodeOf(gridCode);
  if (!unit || lineV === null || !code) return nothing(record);
  const v = record.values;
  const subject: Subject = { element: 'grid', path: `${unit.tag} / AC voltages`, id: unit.id };
  const lines = [v.l12V, v.l23V, v.l31V] as const;
  const phases = [v.l1V, v.l2V, v.l3V].filter((x) => x !== null);
  const inWindow = judgeAcWindow(code, lineV, lines, phases);
  const window = lineWindow(code, lineV);
  const unbalance = unbalancePercent(lines);
  const frequencyHolds =
    (code.fMinHz === null || v.frequencyHz >= code.fMinHz) &&
    (code.fMaxHz === null || v.frequencyHz <= code.fMaxHz) &&
    (frequencyHz === null || Math.abs(v.frequencyHz - frequencyHz) < 1);
  const worstV = inWindow.worstPu * lineV;
  const checks: Check[] = [
    {
      id: 'proving.ac-window',
      subject,
      title: 'AC voltages inside the grid window',
      unit: 'V',
      basis: published(`${code.source}; inner band common practice`),
      value: worstV,
      limit: inWindow.worstPu >= 1 ? window.maxV : window.minV,
      margin: Math.min((100 * (window.maxV - worstV)) / window.maxV, (100 * (worstV - window.minV)) / window.minV),
      verdict: inWindow.verdict,
      working: [
        `${lines.map((x) => fixed(x, 1)).join(' / ')} V line to line; window ${fixed(window.minV, 1)} to ${fixed(window.maxV, 1)} V; furthest from nominal ${fixed(inWindow.worstPu, 4)} pu`,
      ],
    },
    {
      id: 'proving.unbalance',
      subject,
      title: 'Voltage unbalance',
      unit: '%',
      basis: published('EN 50160; IEC 61000-4-30'),
      value: unbalance,
      limit: 2,
      margin: (100 * (2 - unbalance)) / 2,
      verdict: judgeUnbalance(unbalance),
      working: [`${fixed(unbalance, 2)} % on 2 %`],
    },
    {
      ...rule(
        {
          id: 'proving.frequency',
          subject,
          title: 'Frequency inside the grid window',
          unit: 'Hz',
          basis: published(code.source),
        },
        frequencyHolds ? 'holds' : 'stop',
        [`${v.frequencyHz} Hz in ${code.fMinHz ?? '–'} to ${code.fMaxHz ?? '–'} Hz`],
      ),
      value: v.frequencyHz,
    },
    rule(
      {
        id: 'proving.rotation',
        subject,
        title: 'Phase rotation',
        unit: '',
        basis: practice('L1-L2-L3 at every unit, or meters and current transformers lie'),
      },
      v.rotation === 'L1-L2-L3' ? 'holds' : 'tight',
      [v.rotation],
    ),
    ...calibrationCheck(record, subject),
  ];
  const verdict = worstOf(checks.map((c) => c.verdict));
  return { record, checks, verdict, gates: closes('I-ACV', verdict) };
}

function judgeTorqueEntry(record: RecordOf<'torque'>, design: SiteDesign): Judged {
  const unit = design.inverters.find((i) => i.id === record.subject.id);
  const type = design.equipment.inverters.find((t) => t.id === unit?.typeId);
  if (!unit || !type) return nothing(record);
  const subject: Subject = { element: 'lug', path: `${unit.tag} / AC studs`, id: unit.id };
  const { torqueMinNm: low, torqueMaxNm: high } = type.bay;
  const { appliedNm, joints, witnessMarks } = record.values;
  const q = {
    id: 'proving.torque',
    subject,
    title: 'Applied torque inside its window',
    unit: 'N·m',
    basis: dataSheet('AC stud torque'),
  };
  const check: Check =
    low === null || high === null
      ? {
          ...rule({ ...q, basis: practice('the sheet gives no torque: the print beside the stud decides') }, 'tight', [
            `${appliedNm} N·m on ${joints} joints; no window on the data sheet`,
          ]),
          value: appliedNm,
        }
      : {
          ...rule(q, appliedNm >= low && appliedNm <= high ? 'holds' : 'stop', [
            `${appliedNm} N·m on ${joints} joints; window ${low} to ${high} N·m`,
          ]),
          value: appliedNm,
          limit: appliedNm > (low + high) / 2 ? high : low,
          margin: Math.min((100 * (high - appliedNm)) / high, (100 * (appliedNm - low)) / low),
        };
  const marks = rule(
    {
      id: 'proving.witness-marks',
      subject,
      title: 'Witness marks across nut, washer and palm',
      unit: '',
      basis: practice(),
    },
    witnessMarks ? 'holds' : 'tight',
    [witnessMarks ? 'marked' : 'no marks recorded'],
  );
  const checks = [check, marks, ...calibrationCheck(record, subject)];
  const verdict = worstOf(checks.map((c) => c.verdict));
  return { record, checks, verdict, gates: closes('I-TORQ', verdict) };
}
