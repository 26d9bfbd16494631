import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { printedTarget, toolHolds } from '../measure/torqueJoint';
import { PROVING_RULES as RULES } from '../rules';

const appliedNm = quantity(0.1, 400, 'N·m', 'Applied torque');
const values = z.object({
  serial: z
    .string()
    .trim()
    .min(3, 'Type the serial number from the plate.')
    .max(40)
    .meta({ description: 'Serial number, from the plate' }),
  /** Every fixing of the bracket, as it was torqued. */
  fixings: z.array(appliedNm).min(1, 'Give the torque of every fixing.').max(24),
  fixingTargetNm: quantity(0.5, 400, 'N·m', 'Torque of the fixings, by anchor or bracket'),
  witnessMarks: z.boolean().meta({ description: 'Witness marks on every fixing' }),
  safetyScrews: quantity(0, 8, 'screws', 'Safety screws in').int(),
  rollDeg: quantity(-45, 45, '°', 'To the side, by the level'),
  backDeg: quantity(-30, 90, '°', 'Back from upright, by the level'),
  hooksEngaged: z.boolean().meta({ description: 'Both hooks engaged, seen' }),
  clearancesKept: z.boolean().meta({ description: 'Clearances as drawn' }),
});

/** Fixings of a unit's bracket where the sheet gives its holes; else the four corners (common practice). */
const fixingsOf = (design: SiteDesign, unitId: string): number =>
  lineOf(design).unit(unitId)?.type.body.bracketHoles.length || 4;

/** A unit that hangs: its fixings with their torque, its safety screws, hooks, air and level. */
export const MOUNTED = kind({
  kind: 'mounted',
  title: 'Mounted and fixed',
  scopes: ['inverter'],
  values,
  instrument: ['torque tool'],
  measured: (v) => v.fixings.map((value, i) => ({ of: 'torque', value, path: `fixings.${i}` })),
  gates: ['I-MOUNT'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-MOUNT']);
    const where = onUnit(on, 'wall', 'mounted');
    const target = { ...printedTarget(v.fixingTargetNm), origin: 'data sheet' as const, source: 'anchor or bracket' };
    const holds = toolHolds(entry.instrument, v.fixingTargetNm);
    const joints = v.fixings.flatMap((applied, i) =>
      ask(
        RULES.torque,
        {
          at: `fixing ${i + 1}`,
          appliedNm: applied,
          marked: v.witnessMarks,
          target: { ...target, setNm: v.fixingTargetNm },
          toolHolds: holds,
        },
        where,
      ),
    );
    const reading = { ...v, type: on.type, fixings: v.fixings.length };
    return measured(entry, day, ['I-MOUNT'], where, [...ask(RULES.mounted, reading, where), ...joints]);
  },
  form: (design, subject) => {
    const count = fixingsOf(design, subject.id);
    const keys = Array.from({ length: count }, (_, i) => `fixing${i}`);
    const { fixings: _, ...rest } = values.shape;
    const ofFixing = (i: number) => appliedNm.meta({ unit: 'N·m', description: `Fixing ${i + 1}` });
    const schema = z.object({ ...rest, ...Object.fromEntries(keys.map((k, i) => [k, ofFixing(i)])) });
    return {
      schema,
      blank: {
        ...Object.fromEntries(Object.keys(schema.shape).map((k) => [k, null])),
        serial: '',
        witnessMarks: false,
        hooksEngaged: false,
        clearancesKept: false,
      },
      groups: [
        { title: '', paths: ['serial', 'safetyScrews', 'hooksEngaged', 'clearancesKept', 'rollDeg', 'backDeg'] },
        { title: 'Fixings of the bracket, as applied', paths: ['fixingTargetNm', ...keys, 'witnessMarks'] },
      ],
      toValues: (typed) => ({
        ...Object.fromEntries(Object.keys(rest).map((k) => [k, typed[k]])),
        fixings: keys.map((k) => typed[k]),
      }),
      caution: 'Nobody under the unit until every safety screw is in. Eye bolts come out afterwards.',
    };
  },
  line: (v) =>
    `serial ${v.serial}; ${v.fixings.length} fixings, ${v.safetyScrews} safety screws, ${v.rollDeg}° to the side`,
  printed: {
    title: 'Mounted and fixed',
    columns: [
      { title: 'Serial', share: 1.4 },
      { title: 'Fixings', share: 0.7, right: true },
      { title: 'Safety screws', share: 0.9, right: true },
      { title: 'Side / back', share: 1, right: true },
    ],
    row: (v) => [
      v.serial,
      `${v.fixings.length}, ${Math.min(...v.fixings)} to ${Math.max(...v.fixings)} N·m`,
      String(v.safetyScrews),
      `${v.rollDeg}° / ${v.backDeg}°`,
    ],
  },
});
