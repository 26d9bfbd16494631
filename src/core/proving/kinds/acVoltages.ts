import { z } from 'zod';
import { fixed } from '../../kernel/quantity';
import { ask } from '../../kernel/rule';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';
import {
  TEN_PATHS,
  acBlank,
  acRead,
  acReadingOf,
  neutralRead,
  signatureOf,
  tenVoltagesShape,
  turningShape,
} from '../supplyShape';

const values = z.object({
  ...tenVoltagesShape,
  ...turningShape,
});

/** AC voltages at rest at the line side of the unit's open isolator: against the grid code, and against the unit's own sheet. */
export const AC_VOLTAGES = kind({
  kind: 'ac-voltages',
  title: 'AC voltages at the unit',
  scopes: ['inverter'],
  values,
  instrument: ['multimeter'],
  measured: acRead,
  gates: ['I-ACV'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-ACV']);
    const { survey } = design;
    const where = onUnit(on, 'grid', 'AC voltages');
    const signature = signatureOf(v, survey.lineV);
    const ac = {
      ...acReadingOf(v, survey),
      unitName: on.type.name,
      unitMinV: on.type.lineMinV,
      unitMaxV: on.type.lineMaxV,
    };
    return measured(entry, day, ['I-ACV'], where, [
      // The low-impedance repeat was made at the board: this gate stands only while that one does.
      ...ask(RULES.supply, { signature, service: survey.service, repeatWanted: false }, where),
      ...ask(RULES.ac, ac, where),
      ...ask(RULES.unit, ac, where),
      ...ask(RULES.atUnit, { wiring: on.type.wiring, neutralRead: neutralRead(v), signature }, where),
    ]);
  },
  form: (design, subject) => {
    const wiring = lineOf(design).unit(subject.id)?.type.wiring;
    return {
      schema: values,
      blank: acBlank(values.shape),
      groups: [
        {
          title: `At the line side of the open isolator${wiring === '5-wire' ? '' : '; no neutral at this unit'}`,
          paths: TEN_PATHS,
        },
        { title: '', paths: ['frequencyHz', 'rotation'] },
      ],
      caution: 'Live parts within reach: one hand, barrier the rest, meter proved before and after.',
    };
  },
  line: (v) => `${fixed(v.l12V, 1)} / ${fixed(v.l23V, 1)} / ${fixed(v.l31V, 1)} V, ${v.frequencyHz} Hz, ${v.rotation}`,
  printed: {
    title: 'AC voltages at rest',
    columns: [
      { title: 'L1-L2', share: 0.9, right: true },
      { title: 'L2-L3', share: 0.9, right: true },
      { title: 'L3-L1', share: 0.9, right: true },
      { title: 'Frequency', share: 1, right: true },
      { title: 'Rotation', share: 1.1 },
    ],
    row: (v) => [`${v.l12V} V`, `${v.l23V} V`, `${v.l31V} V`, `${v.frequencyHz} Hz`, v.rotation],
  },
});
