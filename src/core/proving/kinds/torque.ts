import { z } from 'zod';
import { rangeOf } from '../../equipment/instrument';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { printedTarget, toolHolds } from '../measure/torqueJoint';
import { sameValuesQuestion } from '../measure/sameValues';
import { outOfOrder, typedTooFast } from '../measure/tightening';
import { jointsAt, targetNmOf } from '../measure/unitJoints';
import { PROVING_RULES as RULES } from '../rules';

const appliedNm = quantity(0.1, 400, 'N·m', 'Applied torque');
const values = z.object({
  joints: z
    .array(
      z.object({
        at: z.string().min(1).max(40),
        appliedNm,
        /** As the device noted it, by its monotonic clock. */
        afterS: quantity(0, 1e6, 's', 'Typed so long after the first').optional(),
      }),
    )
    .min(1)
    .max(60),
  /** As printed beside the terminals of the board: the design knows the unit's studs alone. */
  boardTargetNm: quantity(0.5, 400, 'N·m', 'Torque printed at the board’s terminals'),
  mode: z.enum(['click', 'readout']).meta({ description: 'Tool' }),
  witnessMarks: z.boolean().meta({ description: 'Witness marks on every joint' }),
});

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
    const { joints: wanted, studs } = jointsAt(design, subject.id);
    const board = {
      ...printedTarget(v.boardTargetNm),
      origin: 'data sheet' as const,
      source: 'print beside the terminal',
    };
    const applied = new Map(v.joints.map((j) => [j.at, j.appliedNm]));
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
    const order = outOfOrder(v.joints);
    const tightened = order ? ask(RULES.tightening, { outOfOrder: order }, where) : [];
    return measured(entry, day, ['I-TORQ'], where, checks.concat(tightened));
  },
  form: (design, subject) => {
    const { joints } = jointsAt(design, subject.id);
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
        {
          title: 'Every joint, as applied: the earth first, then from one side to the other',
          paths: joints.map((_, i) => key(i)),
        },
        { title: '', paths: ['boardTargetNm', 'mode', 'witnessMarks'] },
      ],
      toValues: ({ boardTargetNm, mode, witnessMarks, ...typed }, typedAtS) => ({
        joints: joints.map(({ at }, i) => ({
          at,
          appliedNm: typed[key(i)],
          ...afterFirst(
            key(i),
            joints.map((_, n) => key(n)),
            typedAtS,
          ),
        })),
        boardTargetNm,
        mode,
        witnessMarks,
      }),
      caution: 'Dead, locked off and proved dead before hands go in.',
    };
  },
  question: (v, { design, subject, instrument }) => {
    const own = jointsAt(design, subject.id);
    const joints = v.joints.flatMap(({ at, appliedNm: nm }) => {
      const targetNm = targetNmOf(own, at, v.boardTargetNm);
      return targetNm === null ? [] : [{ at, appliedNm: nm, targetNm }];
    });
    const stepNm = (instrument && rangeOf(instrument, 'torque')?.resolution) || null;
    const seed = v.joints.reduce((sum, j) => Math.round(31 * sum + 1000 * j.appliedNm) % 2 ** 31, 1);
    const same = sameValuesQuestion(joints, stepNm, v.mode, seed);
    const fast = typedTooFast(v.joints);
    const paper =
      fast > 0
        ? `${fast} of ${v.joints.length} joints were typed sooner than anybody tightens the next. Entered later from paper? Keep a photo of it.`
        : null;
    return [same, paper].filter((q) => q !== null).join(' ') || null;
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

/** When a joint was typed, s after the first of them; nothing where that was not noted. */
function afterFirst(path: string, all: readonly string[], typedAtS: ((path: string) => number | null) | undefined) {
  const at = typedAtS?.(path) ?? null;
  if (at === null) return {};
  const first = Math.min(...all.flatMap((p) => typedAtS?.(p) ?? []));
  return { afterS: Math.round(10 * (at - first)) / 10 };
}
