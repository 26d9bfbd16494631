import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { onString, withdrawing } from '../judging';
import { SAYS_NOTHING, kind } from '../kind';
import { poles } from '../measure/earthFault';
import { PROVING_RULES as RULES } from '../rules';

const values = z.object({
  plusV: quantity(-3000, 3000, 'V', '+ to earth'),
  minusV: quantity(-3000, 3000, 'V', '− to earth'),
  openV: quantity(1, 3000, 'V', '+ to −, open circuit, read now'),
  meterMohm: quantity(0.01, 1000, 'MΩ', 'Input resistance of the meter, on its data sheet'),
});

/** Both poles of a string to earth: whether it touches earth, and between which modules. What it finds withdraws the insulation; it proves none. */
export const EARTH_FAULT = kind({
  kind: 'earth-fault',
  title: 'Where a string touches earth',
  scopes: ['string'],
  values,
  instrument: ['multimeter', 'PV tester'],
  measured: ({ plusV, minusV, openV }) => [
    { of: 'DC voltage', value: plusV, path: 'plusV' },
    { of: 'DC voltage', value: minusV, path: 'minusV' },
    { of: 'DC voltage', value: openV, path: 'openV' },
  ],
  gates: [],
  opens: ['D-IR'],
  signer: 'helper',
  correctable: false,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).string(subject.id);
    if (!on) return SAYS_NOTHING;
    const where = onString(on);
    const { modules } = on.string;
    const place = poles({ ...v, modules, sheetV: modules * on.module.uocV, meterOhm: v.meterMohm * 1e6 });
    return withdrawing(entry, day, 'D-IR', where, ask(RULES.earthFault, { modules, place }, where));
  },
  form: () => ({
    schema: values,
    blank: { plusV: null, minusV: null, openV: null, meterMohm: null },
    groups: [{ title: 'Unit off, this string alone connected', paths: Object.keys(values.shape) }],
    caution:
      'A string in light cannot be switched off, and with an earth fault a touch of the other pole closes the circuit: gloves class 0, meter and leads rated for the string.',
  }),
  line: (v) => `+ ${v.plusV} V and − ${v.minusV} V to earth, ${v.openV} V open, meter ${v.meterMohm} MΩ`,
  printed: {
    title: 'Poles to earth',
    columns: [
      { title: '+ to earth', share: 1, right: true },
      { title: '− to earth', share: 1, right: true },
      { title: 'Open circuit', share: 1, right: true },
    ],
    row: (v) => [`${v.plusV} V`, `${v.minusV} V`, `${v.openV} V`],
  },
});
