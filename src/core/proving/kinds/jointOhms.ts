import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { onUnit, withdrawing } from '../judging';
import { SAYS_NOTHING, kind } from '../kind';
import { joinedAlike, jointsBeside } from '../measure/jointOhms';
import type { TorqueJoint } from '../measure/torqueJoint';
import { jointsOf } from '../measure/torqueJoint';
import { PROVING_RULES as RULES } from '../rules';

const microOhm = quantity(0.1, 1e5, 'µΩ', 'Resistance of the joint');
const values = z.object({
  joints: z
    .array(z.object({ at: z.string().min(1).max(40), microOhm }))
    .min(1, 'Enter the joints that were read.')
    .max(60),
  testA: quantity(0.1, 1000, 'A', 'Test current'),
});

const jointsAt = (design: SiteDesign, unitId: string): readonly TorqueJoint[] => {
  const on = lineOf(design).unit(unitId);
  return on ? joinedAlike(jointsOf(on.type.wiring, undefined)) : [];
};

/** Power joints read with a micro-ohmmeter, each beside those like it. Nobody has to; one that is bad takes the torque's proof with it. */
export const JOINT_OHMS = kind({
  kind: 'joint-ohms',
  title: 'Micro-ohms of the power joints',
  scopes: ['inverter'],
  values,
  instrument: ['micro-ohmmeter'],
  measured: (v) =>
    v.joints.map((j, i) => ({ of: 'resistance', value: j.microOhm / 1e6, path: `joints.${i}.microOhm` })),
  gates: [],
  opens: ['I-TORQ'],
  signer: 'helper',
  correctable: false,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return SAYS_NOTHING;
    const where = onUnit(on, 'lug', 'power joints');
    const read = jointsBeside(jointsAt(design, subject.id), v.joints);
    const checks = read.flatMap((joint) => ask(RULES.joint, { ...joint, testA: v.testA }, where));
    return withdrawing(entry, day, 'I-TORQ', where, checks);
  },
  form: (design, subject) => {
    const joints = jointsAt(design, subject.id);
    const key = (i: number) => `joint${i}`;
    const schema = z.object({
      ...Object.fromEntries(
        joints.map(({ at }, i) => [key(i), microOhm.meta({ unit: 'µΩ', description: at }).nullable()]),
      ),
      testA: values.shape.testA,
    });
    return {
      schema,
      blank: { ...Object.fromEntries(joints.map((_, i) => [key(i), null])), testA: null },
      groups: [
        { title: 'Three like joints at least, the same spot on each', paths: joints.map((_, i) => key(i)) },
        { title: '', paths: ['testA'] },
      ],
      toValues: ({ testA, ...typed }) => ({
        joints: joints.flatMap(({ at }, i) =>
          typeof typed[key(i)] === 'number' ? [{ at, microOhm: typed[key(i)] }] : [],
        ),
        testA,
      }),
      caution: 'Dead, locked off and proved dead before hands go in.',
    };
  },
  line: (v) => {
    const read = v.joints.map((j) => j.microOhm);
    return `${read.length} joints, ${Math.min(...read)} to ${Math.max(...read)} µΩ at ${v.testA} A`;
  },
  printed: {
    title: 'Micro-ohms of the power joints',
    columns: [
      { title: 'Joints', share: 0.7, right: true },
      { title: 'Lowest', share: 0.9, right: true },
      { title: 'Highest', share: 0.9, right: true },
      { title: 'Test current', share: 0.9, right: true },
    ],
    row: (v) => {
      const read = v.joints.map((j) => j.microOhm);
      return [String(read.length), `${Math.min(...read)} µΩ`, `${Math.max(...read)} µΩ`, `${v.testA} A`];
    },
  },
});
