import { z } from 'zod';
import { torqueTarget } from '../../ac/torque';
import type { SiteDesign } from '../../design';
import { rangeOf } from '../../equipment/instrument';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import type { TorqueJoint } from '../measure/torqueJoint';
import { jointsOf, printedTarget, toolHolds } from '../measure/torqueJoint';
import { sameValuesQuestion } from '../measure/sameValues';
import { PROVING_RULES as RULES } from '../rules';

const appliedNm = quantity(0.1, 400, 'N·m', 'Applied torque');
const values = z.object({
  joints: z
    .array(z.object({ at: z.string().min(1).max(40), appliedNm }))
    .min(1)
    .max(60),
  /** As printed beside the terminals of the board: the design knows the unit's studs alone. */
  boardTargetNm: quantity(0.5, 400, 'N·m', 'Torque printed at the board’s terminals'),
  mode: z.enum(['click', 'readout']).meta({ description: 'Tool' }),
  witnessMarks: z.boolean().meta({ description: 'Witness marks on every joint' }),
});

const runAt = (design: SiteDesign, unitId: string) => design.runs.find((r) => r.inverterId === unitId);

const jointsAt = (design: SiteDesign, unitId: string): readonly TorqueJoint[] => {
  const on = lineOf(design).unit(unitId);
  return on ? jointsOf(on.type.wiring, runAt(design, unitId)) : [];
};

/** Every power joint of a unit's run, both ends, each against its own target and inside the range of the tool. */
export const TORQUE = kind({
  kind: 'torque',
  title: 'Torque of the power joints',
  scopes: ['inverter'],
  values,
  instrument: ['torque tool'],
  measured: (v) => v.joints.map((j, i) => ({ of: 'torque', value: j.appliedNm, path: `joints.${i}.appliedNm` })),
  gates: ['I-TORQ'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-TORQ']);
    const where = onUnit(on, 'lug', 'power joints');
    const studs = torqueTarget(on.type.bay, runAt(design, subject.id));
    const board = {
      ...printedTarget(v.boardTargetNm),
      origin: 'data sheet' as const,
      source: 'print beside the terminal',
    };
    const applied = new Map(v.joints.map((j) => [j.at, j.appliedNm]));
    const wanted = jointsAt(design, subject.id);
    const checks = wanted.flatMap(({ at, end }) => {
      const target = end === 'unit' ? (studs ?? null) : board;
      const setNm = target && (target.lowNm + target.highNm) / 2;
      const reading = {
        at,
        appliedNm: applied.get(at) ?? null,
        marked: v.witnessMarks,
        target,
        toolHolds: setNm === null ? null : toolHolds(entry.instrument, setNm),
      };
      return ask(RULES.torque, reading, where);
    });
    return measured(entry, day, ['I-TORQ'], where, checks);
  },
  form: (design, subject) => {
    const joints = jointsAt(design, subject.id);
    const key = (i: number) => `joint${i}`;
    const schema = z.object({
      ...Object.fromEntries(joints.map(({ at }, i) => [key(i), appliedNm.meta({ unit: 'N·m', description: at })])),
      boardTargetNm: values.shape.boardTargetNm,
      mode: values.shape.mode,
      witnessMarks: values.shape.witnessMarks,
    });
    return {
      schema,
      blank: {
        ...Object.fromEntries(joints.map((_, i) => [key(i), null])),
        boardTargetNm: null,
        mode: 'click',
        witnessMarks: false,
      },
      groups: [
        { title: 'Every joint, as applied', paths: joints.map((_, i) => key(i)) },
        { title: '', paths: ['boardTargetNm', 'mode', 'witnessMarks'] },
      ],
      toValues: ({ boardTargetNm, mode, witnessMarks, ...typed }) => ({
        joints: joints.map(({ at }, i) => ({ at, appliedNm: typed[key(i)] })),
        boardTargetNm,
        mode,
        witnessMarks,
      }),
      caution: 'Dead, locked off and proved dead before hands go in.',
    };
  },
  question: (v, { design, subject, instrument }) => {
    const on = lineOf(design).unit(subject.id);
    const studs = on && torqueTarget(on.type.bay, runAt(design, subject.id));
    const end = new Map(jointsAt(design, subject.id).map((j) => [j.at, j.end]));
    const joints = v.joints.flatMap(({ at, appliedNm: nm }) => {
      const targetNm = end.get(at) === 'unit' ? studs?.setNm : v.boardTargetNm;
      return targetNm === undefined ? [] : [{ at, appliedNm: nm, targetNm }];
    });
    const stepNm = (instrument && rangeOf(instrument, 'torque')?.resolution) || null;
    const seed = v.joints.reduce((sum, j) => Math.round(31 * sum + 1000 * j.appliedNm) % 2 ** 31, 1);
    return sameValuesQuestion(joints, stepNm, v.mode, seed);
  },
  line: (v) => {
    const nm = v.joints.map((j) => j.appliedNm);
    return `${nm.length} joints, ${Math.min(...nm)} to ${Math.max(...nm)} N·m, ${v.witnessMarks ? 'marked' : 'not marked'}`;
  },
  printed: {
    title: 'Torque of the power joints',
    columns: [
      { title: 'Joints', share: 0.7, right: true },
      { title: 'Lowest', share: 0.9, right: true },
      { title: 'Highest', share: 0.9, right: true },
      { title: 'Marks', share: 0.7 },
    ],
    row: (v) => {
      const nm = v.joints.map((j) => j.appliedNm);
      return [String(nm.length), `${Math.min(...nm)} N·m`, `${Math.max(...nm)} N·m`, v.witnessMarks ? 'yes' : 'no'];
    },
  },
});
