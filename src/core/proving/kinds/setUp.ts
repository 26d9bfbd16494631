import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { FIRST_ADDRESS, LAST_ADDRESS } from '../../links/addresses';
import { BIT_RATES } from '../../links/bitRates';
import { GRID_CODES } from '../../site/gridCodes';
import { siteDay } from '../../kernel/siteDay';
import { lineOf } from '../../site/line';
import type { Entry } from '../entry';
import { ROLES, trueMs } from '../entry';
import { signs } from '../evidence/people';
import { gateRow } from '../gates/machine';
import { measured, notThere, onUnit } from '../judging';
import { PERMISSION } from './permission';
import { kind } from '../kind';
import { asksRapidShutdown } from '../rapidShutdown';
import type { SetUpReading } from '../readings/setUpReading';
import { PROVING_RULES as RULES } from '../rules';
import { SAID_BY, isSimulated } from '../saidBy';

const LETTER = gateRow('S-PTO');
/** The newest letter counts, whenever it came. */
const ANY_TIME_MS = 100 * 365 * 86_400_000;

/** A word for a secret with something after it: no password comes onto the record. */
const SECRET = /\b(pass(word|code)?|pwd|pin|code)\b\s*(=|:|is)\s*\S/i;
const text = (description: string) =>
  z
    .string()
    .trim()
    .min(1, 'Write what the unit shows.')
    .max(120)
    .refine((t) => !SECRET.test(t), 'No password here: only that it was changed, and who holds it.')
    .meta({ description });

const values = z.object({
  from: enumOf(SAID_BY).meta({ description: 'Read' }),
  gridCode: text('Grid code that the unit shows'),
  nominalV: quantity(50, 1000, 'V', 'Nominal line voltage it goes by'),
  nominalHz: quantity(45, 65, 'Hz', 'Nominal frequency it goes by'),
  clockAheadS: quantity(-1e9, 1e9, 's', 'Its clock ahead of the phone'),
  zoneSet: z.boolean().meta({ description: 'Its time zone is set' }),
  address: z
    .number()
    .int()
    .min(FIRST_ADDRESS)
    .max(LAST_ADDRESS)
    .nullable()
    .meta({ description: 'Bus address it shows, empty without a bus' }),
  bitRate: z
    .union(BIT_RATES.map((r) => z.literal(r)))
    .nullable()
    .meta({ unit: 'bit/s', description: 'Bit rate it shows, empty without a bus' }),
  exportLimitKw: quantity(0, 1e6, 'kW', 'Export limit set, empty: none').nullable(),
  insulationKohm: quantity(0, 1e6, 'kΩ', 'Insulation it asks before the start'),
  voltWatt: z.boolean().meta({ description: 'Volt-watt is on' }),
  reactive: text('Power factor or reactive power mode'),
  firmware: text('Firmware'),
  passwordChanged: z.boolean().meta({ description: 'The shipped password is changed' }),
  passwordHeldBy: enumOf(ROLES).meta({ description: 'Who holds it' }),
  remoteOwner: text('Who owns the remote access'),
  /** Asked where an export limit is set; null where nobody said. */
  meter: enumOf(['none', 'current transformers', 'bus meter'] as const)
    .nullable()
    .default(null)
    .meta({ description: 'Meter that the export limit goes by' }),
  /** Asked where the site has to have it; null where nobody said. */
  rapidShutdown: z
    .boolean()
    .nullable()
    .default(null)
    .meta({ description: 'Rapid shutdown is on, with the equipment that the list names' }),
});

/** A unit as it is set up, read back from it. Only that the password was changed is written, never which it is. */
export const SET_UP = kind({
  kind: 'set-up',
  title: 'Set-up sheet',
  scopes: ['inverter'],
  values,
  instrument: null,
  gates: ['I-SETUP'],
  simulated: isSimulated,
  correctable: true,
  judge({ design, subject, entry, values: v, day, beside, atMs }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-SETUP']);
    const where = onUnit(on, 'inverter', 'set-up');
    const { chain, survey } = design;
    const device = chain.devices.find((d) => d.inverterId === subject.id);
    const dayOf = (e: Entry) => siteDay(trueMs(e), survey.timeZone ?? 'UTC');
    const letter = beside.near(PERMISSION.kind, atMs, ANY_TIME_MS).findLast((e) => signs(LETTER, e, dayOf(e)));
    const reading = {
      ...v,
      sisters: sistersOf(beside.near('set-up', atMs, ANY_TIME_MS, 0), subject.id, on.type.id, design),
      permit: letter && PERMISSION.is(letter) ? { limitKw: letter.values.limitKw } : null,
      site: {
        gridCode: survey.gridCode,
        lineV: survey.lineV,
        frequencyHz: survey.frequencyHz,
        address: device?.address ?? null,
        bitRate: chain.bitRate,
        dcMaxV: on.type.dcMaxV,
      },
    };
    return measured(entry, day, ['I-SETUP'], where, [
      ...ask(RULES.real, reading, where),
      ...ask(RULES.setUp, reading, where),
      ...(chain.devices.length ? ask(RULES.setUpBus, reading, where) : []),
      ...(v.exportLimitKw === null ? [] : ask(RULES.setUpExport, reading, where)),
      ...(asksRapidShutdown(survey) ? ask(RULES.setUpRapid, reading, where) : []),
    ]);
  },
  form: ({ survey }) => ({
    schema: values.extend({
      gridCode: enumOf(GRID_CODES.map((c) => c.family)).meta({ description: 'Grid code that the unit shows' }),
    }),
    blank: {
      ...Object.fromEntries(Object.keys(values.shape).map((k) => [k, null])),
      from: 'at the unit',
      gridCode: '',
      zoneSet: false,
      voltWatt: false,
      reactive: '',
      firmware: '',
      passwordChanged: false,
      passwordHeldBy: '',
      remoteOwner: '',
    },
    groups: [
      {
        title: 'Grid',
        paths: ['gridCode', 'nominalV', 'nominalHz', 'exportLimitKw', 'meter', 'reactive', 'voltWatt'],
      },
      { title: 'Unit', paths: ['insulationKohm', 'firmware', 'clockAheadS', 'zoneSet', 'address', 'bitRate'] },
      ...(asksRapidShutdown(survey) ? [{ title: 'NEC', paths: ['rapidShutdown'] }] : []),
      { title: 'Access', paths: ['passwordChanged', 'passwordHeldBy', 'remoteOwner', 'from'] },
    ],
    caution: 'Read every value back from the unit. Write no password: only that it was changed, and who holds it.',
  }),
  line: (v) =>
    `${v.gridCode}, ${v.nominalV} V, clock ${v.clockAheadS} s ahead, ${v.passwordChanged ? 'password changed' : 'password as shipped'}, ${v.from}`,
  printed: {
    title: 'Set-up sheets',
    columns: [
      { title: 'Grid code', share: 1.6 },
      { title: 'Insulation', share: 0.8, right: true },
      { title: 'Export', share: 0.8, right: true },
      { title: 'Firmware', share: 0.9 },
      { title: 'Password', share: 1.2 },
    ],
    row: (v) => [
      v.gridCode,
      `${v.insulationKohm} kΩ`,
      v.exportLimitKw === null ? 'no limit' : `${v.exportLimitKw} kW`,
      v.firmware,
      v.passwordChanged ? `changed, ${v.passwordHeldBy} holds it` : 'as shipped',
    ],
  },
});

/** Other units of a type as they were set up last before, by a person at the unit. */
function sistersOf(
  earlier: readonly Entry[],
  unitId: string,
  typeId: string,
  design: SiteDesign,
): SetUpReading['sisters'] {
  const line = lineOf(design);
  const newest = new Map(
    earlier.filter(SET_UP.is).flatMap((e) => {
      const on = line.unit(e.subject.id);
      const counts = on?.type.id === typeId && on.unit.id !== unitId && !isSimulated(e.values);
      return counts ? [[on.unit.id, { tag: on.unit.tag, firmware: e.values.firmware }] as const] : [];
    }),
  );
  return [...newest.values()];
}
