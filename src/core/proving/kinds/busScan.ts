import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { known } from '../../kernel/answer';
import { FIRST_ADDRESS, LAST_ADDRESS } from '../../links/addresses';
import { BIT_RATES } from '../../links/bitRates';
import { planAgainstFound } from '../../links/field/compare';
import { plannedOf } from '../../links/field/planned';
import { meterSheet, readingMeans } from '../../links/line/meterSheet';
import { linksResults } from '../../links/results';
import { measured, onSite } from '../judging';
import { kind } from '../kind';
import type { BusReading } from '../readings/busReading';
import { PROVING_RULES as RULES } from '../rules';
import { SAID_BY, isSimulated } from '../saidBy';

const address = z.number().int().min(FIRST_ADDRESS).max(LAST_ADDRESS);
const polls = quantity(1, 10_000, '', 'Questions to each unit').int();
const good = quantity(0, 10_000, '', 'Questions that came back well').int();
const values = z
  .object({
    from: enumOf(SAID_BY).meta({ description: 'Read' }),
    bitRate: z.union(BIT_RATES.map((r) => z.literal(r))).meta({ unit: 'bit/s', description: 'Asked at' }),
    polls,
    units: z
      .array(z.object({ address, serials: z.array(z.string().trim().min(1).max(40)).max(4), good }))
      .max(LAST_ADDRESS)
      .refine((units) => new Set(units.map((u) => u.address)).size === units.length, 'Every address stands once.'),
    pairOhm: quantity(0, 1e7, 'Ω', 'Across the pair at the first device, everything off, plugs in'),
    groundV: quantity(0, 1000, 'V', 'Largest D0 to local earth before the reference is landed, rms'),
  })
  .refine((v) => v.units.every((u) => u.good <= v.polls), {
    path: ['units'],
    message: 'No more come back than were asked.',
  });
type Values = z.output<typeof values>;

/** A scan beside the chain as it is designed. */
export function busReadingOf(design: SiteDesign, v: Values): BusReading {
  const { chain } = design;
  const plan = plannedOf(chain);
  const at = new Map(v.units.map((u) => [u.address, u]));
  const sheet = meterSheet(linksResults(design));
  const expected = sheet.value?.rows[0]?.bothOhm ?? null;
  return {
    ...v,
    plannedBitRate: chain.bitRate,
    unaddressed: chain.devices.filter((d) => d.kind !== 'logger' && d.address === null).map((d) => d.label),
    // Whether enough came back is a question of its own: here who answered at all.
    findings: planAgainstFound(
      plan,
      v.units.filter((u) => u.good > 0 || u.serials.length).map((u) => ({ ...u, quality: 1 })),
    ),
    shares: plan.map((p) => ({ label: p.label, share: (at.get(p.address)?.good ?? 0) / v.polls })),
    expectedOhm:
      sheet.value === null
        ? sheet
        : expected === null
          ? { value: null, missing: ['terminators of the chain'] }
          : known(expected),
    means: sheet.value === null ? '' : readingMeans(sheet.value, v.pairOhm),
  };
}

/** The bus as it was asked and measured: who answered at every address, how often, ohms of the pair, volts between the earths. */
export const BUS_SCAN = kind({
  kind: 'bus-scan',
  title: 'Bus scanned and measured',
  scopes: ['site'],
  values,
  instrument: ['multimeter'],
  measured: (v) => [
    { of: 'resistance', value: v.pairOhm, path: 'pairOhm' },
    { of: 'AC voltage', value: v.groundV, path: 'groundV' },
  ],
  gates: ['S-BUS'],
  simulated: isSimulated,
  correctable: true,
  judge({ design, entry, values: v, day }) {
    const where = onSite('inverter', 'RS-485 bus');
    const reading = busReadingOf(design, v);
    return measured(entry, day, ['S-BUS'], where, [
      ...ask(RULES.real, reading, where),
      ...ask(RULES.bus, reading, where),
    ]);
  },
  form: (design) => {
    const plan = plannedOf(design.chain);
    const serialOf = (i: number) => `serial${i}`;
    const goodOf = (i: number) => `good${i}`;
    const { units: _, ...rest } = values.shape;
    const schema = z.object({
      ...rest,
      ...Object.fromEntries(
        plan.flatMap((p, i) => [
          [serialOf(i), z.string().meta({ description: `Serial at ${p.address}, ${p.label}` })],
          [goodOf(i), good.meta({ description: `Came back well from ${p.label}` })],
        ]),
      ),
    });
    return {
      schema,
      blank: {
        from: 'over the bus',
        bitRate: design.chain.bitRate,
        polls: 100,
        pairOhm: null,
        groundV: null,
        ...Object.fromEntries(
          plan.flatMap((_p, i) => [
            [serialOf(i), ''],
            [goodOf(i), null],
          ]),
        ),
      },
      groups: [
        { title: 'With the meter', paths: ['pairOhm', 'groundV'] },
        { title: 'Asked', paths: ['from', 'bitRate', 'polls'] },
        { title: 'Every unit', paths: plan.flatMap((_p, i) => [serialOf(i), goodOf(i)]) },
      ],
      toValues: (typed) => ({
        ...Object.fromEntries(Object.keys(rest).map((k) => [k, typed[k]])),
        units: plan.map((p, i) => ({
          address: p.address,
          serials: typed[serialOf(i)] ? [typed[serialOf(i)]] : [],
          good: typed[goodOf(i)],
        })),
      }),
      caution: 'D0 to local earth first: above 4.95 V rms nobody lands a reference, the earth fault is found.',
    };
  },
  line: (v) =>
    `${v.units.filter((u) => u.good > 0).length} of ${v.units.length} answered, ${v.polls} questions each at ${v.bitRate} bit/s; ${v.pairOhm} Ω, ${v.groundV} V, ${v.from}`,
  printed: {
    title: 'Bus scanned and measured',
    columns: [
      { title: 'Answered', share: 1, right: true },
      { title: 'Questions', share: 1, right: true },
      { title: 'Pair', share: 0.8, right: true },
      { title: 'D0 to earth', share: 0.8, right: true },
      { title: 'Read', share: 1 },
    ],
    row: (v) => [
      `${v.units.filter((u) => u.good > 0).length} of ${v.units.length}`,
      `${v.polls} at ${v.bitRate} bit/s`,
      `${v.pairOhm} Ω`,
      `${v.groundV} V`,
      v.from,
    ],
  },
});
