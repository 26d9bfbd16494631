import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { onUnit, withdrawing } from '../judging';
import { SAYS_NOTHING, kind } from '../kind';
import { toolHolds } from '../measure/torqueJoint';
import { jointsAt, targetNmOf } from '../measure/unitJoints';
import { PROVING_RULES as RULES } from '../rules';

const how = enumOf(['held', 'turned'] as const);
const values = z.object({
  joints: z
    .array(z.object({ at: z.string().min(1).max(40), how }))
    .min(1, 'Enter the joints that were tried.')
    .max(60),
  boardTargetNm: quantity(0.5, 400, 'N·m', 'Torque printed at the board’s terminals'),
  why: enumOf(['a mark moved', 'a scan was warm', 'yearly', 'after the first hot weeks'] as const).meta({
    description: 'Why it was tried',
  }),
});

/**
 * Joints tried again at their target. One school tries those whose mark moved or whose scan is warm, the other all of them yearly; aluminium
 * once more after the first hot weeks where the lug maker says so. One that turns was loose: the torque of the unit is made anew.
 */
export const RETORQUE = kind({
  kind: 'retorque',
  title: 'Joints tried again at their torque',
  scopes: ['inverter'],
  values,
  instrument: ['torque tool'],
  gates: [],
  opens: ['I-TORQ'],
  signer: 'helper',
  correctable: false,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return SAYS_NOTHING;
    const where = onUnit(on, 'lug', 'power joints');
    const own = jointsAt(design, subject.id);
    const checks = v.joints.flatMap(({ at, how }) => {
      const targetNm = targetNmOf(own, at, v.boardTargetNm);
      const holds = targetNm === null ? null : toolHolds(entry.instrument, targetNm);
      return ask(RULES.retorque, { at, turned: how !== 'held', toolHolds: holds }, where);
    });
    return withdrawing(entry, day, 'I-TORQ', where, checks);
  },
  form: (design, subject) => {
    const { joints } = jointsAt(design, subject.id);
    const key = (i: number) => `joint${i}`;
    return {
      schema: z.object({
        ...Object.fromEntries(joints.map(({ at }, i) => [key(i), how.nullable().meta({ description: at })])),
        boardTargetNm: values.shape.boardTargetNm,
        why: values.shape.why,
      }),
      blank: { ...Object.fromEntries(joints.map((_, i) => [key(i), null])), boardTargetNm: null, why: '' },
      groups: [
        { title: 'Joints that were tried: held, or turned before the target', paths: joints.map((_, i) => key(i)) },
        { title: '', paths: ['boardTargetNm', 'why'] },
      ],
      toValues: ({ boardTargetNm, why, ...typed }) => ({
        joints: joints.flatMap(({ at }, i) => (typed[key(i)] ? [{ at, how: typed[key(i)] }] : [])),
        boardTargetNm,
        why,
      }),
      caution: 'Dead, locked off and proved dead before hands go in. Opening the cover is an entry of its own.',
    };
  },
  line: (v) => {
    const loose = v.joints.filter((j) => j.how !== 'held').map((j) => j.at);
    return `${v.joints.length} joints, ${loose.length ? `found loose: ${loose.join(', ')}` : 'all held'}; ${v.why}`;
  },
  printed: {
    title: 'Joints tried again',
    columns: [
      { title: 'Joints', share: 0.7, right: true },
      { title: 'Found loose', share: 2 },
      { title: 'Why', share: 1.2 },
    ],
    row: (v) => {
      const loose = v.joints.filter((j) => j.how !== 'held').map((j) => j.at);
      return [String(v.joints.length), loose.join(', ') || 'none', v.why];
    },
  },
});
