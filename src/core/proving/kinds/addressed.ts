import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { enumOf } from '../../kernel/schema';
import { FIRST_ADDRESS, LAST_ADDRESS } from '../../links/addresses';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';
import { SAID_BY, isSimulated } from '../saidBy';

const wrongAddress = `Addresses run from ${FIRST_ADDRESS} to ${LAST_ADDRESS}.`;
const values = z.object({
  from: enumOf(SAID_BY).meta({ description: 'Read' }),
  address: z
    .number('Enter the address.')
    .int(wrongAddress)
    .min(FIRST_ADDRESS, wrongAddress)
    .max(LAST_ADDRESS, wrongAddress)
    .meta({ description: 'Address that is set' }),
  serial: z
    .string()
    .trim()
    .min(1)
    .max(40)
    .nullable()
    .meta({ description: 'Serial read back at that address, empty where nobody asked' }),
});

/** A unit got its bus address: what is set there, and who answers at it. */
export const ADDRESSED = kind({
  kind: 'addressed',
  title: 'Bus address set',
  scopes: ['inverter'],
  values,
  instrument: null,
  gates: ['I-ADDR'],
  simulated: isSimulated,
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-ADDR']);
    const where = onUnit(on, 'inverter', 'bus address');
    const device = design.chain.devices.find((d) => d.inverterId === subject.id);
    const reading = { ...v, plannedAddress: device?.address ?? null, plannedSerial: device?.serial ?? null };
    return measured(entry, day, ['I-ADDR'], where, [
      ...ask(RULES.real, reading, where),
      ...ask(RULES.address, reading, where),
    ]);
  },
  form: () => ({
    schema: values.extend({
      serial: z.string().meta({ description: 'Serial read back at that address, empty where nobody asked' }),
    }),
    blank: { from: 'at the unit', address: null, serial: '' },
    groups: [{ title: '', paths: ['address', 'serial', 'from'] }],
    toValues: ({ serial, ...typed }) => ({ ...typed, serial: serial === '' ? null : serial }),
  }),
  line: (v) =>
    `address ${v.address}, ${v.serial === null ? 'nobody asked for the serial' : `serial ${v.serial} read back`}, ${v.from}`,
  printed: {
    title: 'Bus addresses',
    columns: [
      { title: 'Address', share: 0.6, right: true },
      { title: 'Serial read back', share: 1.4 },
      { title: 'Read', share: 1 },
    ],
    row: (v) => [String(v.address), v.serial ?? '–', v.from],
  },
});
