import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { ask } from '../../kernel/rule';
import { enumOf, partId, quantity } from '../../kernel/schema';
import { known, lacking } from '../../kernel/answer';
import { FIRST_ADDRESS, LAST_ADDRESS } from '../../links/addresses';
import { FIRST_BUS, busesOf, devicesOn } from '../../links/buses';
import { BIT_RATES } from '../../links/bitRates';
import { planAgainstFound } from '../../links/field/compare';
import { plannedOf } from '../../links/field/planned';
import { meterSheet, readingMeans } from '../../links/line/meterSheet';
import { chainDeviceSchema } from '../../links/part';
import type { ChainResult } from '../../links/results';
import { busResult } from '../../links/results';
import { isRepeater, isUnit } from '../../links/segments';
import type { Entry, EntryOf } from '../entry';
import { measured, onSite } from '../judging';
import type { About, Judgement } from '../kind';
import { kind } from '../kind';
import type { Part } from '../parts';
import { before, withParts } from '../parts';
import type { BusReading, PairReading } from '../readings/busReading';
import { PROVING_RULES as RULES } from '../rules';
import { SAID_BY, isSimulated } from '../saidBy';
import { ADDRESSED } from './addressed';

const address = z.number().int().min(FIRST_ADDRESS).max(LAST_ADDRESS);
const polls = quantity(1, 10_000, '', 'Questions to each unit').int();
const good = quantity(0, 10_000, '', 'Questions that came back well').int();
const values = z
  .object({
    /** Left out: the first. */
    bus: chainDeviceSchema.shape.bus.unwrap().optional(),
    from: enumOf(SAID_BY).meta({ description: 'Read' }),
    bitRate: z.union(BIT_RATES.map((r) => z.literal(r))).meta({ unit: 'bit/s', description: 'Asked at' }),
    polls,
    units: z
      .array(z.object({ address, serials: z.array(z.string().trim().min(1).max(40)).max(4), good }))
      .max(LAST_ADDRESS)
      .refine((units) => new Set(units.map((u) => u.address)).size === units.length, 'Every address stands once.'),
    pairOhm: quantity(0, 1e7, 'Ω', 'Across the pair at the first device, everything off, plugs in'),
    /** Behind every repeater, at its other side; of a bus without one, nothing. */
    beyond: z
      .array(z.object({ repeaterId: partId, pairOhm: quantity(0, 1e7, 'Ω', 'Across the pair behind a repeater') }))
      .max(100)
      .refine((all) => new Set(all.map((b) => b.repeaterId)).size === all.length, 'Every repeater stands once.')
      .optional(),
    groundV: quantity(0, 1000, 'V', 'Largest D0 to local earth before the reference is landed, rms'),
  })
  .refine((v) => v.units.every((u) => u.good <= v.polls), {
    path: ['units'],
    message: 'No more come back than were asked.',
  });
type Values = z.output<typeof values>;
const busOf = (v: Values): number => v.bus ?? FIRST_BUS;

/** A scan of one bus beside that bus as it is designed. */
export function busReadingOf(design: SiteDesign, v: Values): BusReading {
  const on = busResult(design, busOf(v));
  const { chain } = on.whole;
  const plan = plannedOf(chain.devices);
  const at = new Map(v.units.map((u) => [u.address, u]));
  return {
    ...v,
    plannedBitRate: chain.bitRate,
    unaddressed: chain.devices.filter((d) => isUnit(d) && d.address === null).map((d) => d.label),
    // Whether enough came back is a question of its own: here who answered at all.
    findings: planAgainstFound(
      plan,
      v.units.filter((u) => u.good > 0 || u.serials.length).map((u) => ({ ...u, quality: 1 })),
    ),
    shares: plan.map((p) => ({ label: p.label, share: (at.get(p.address)?.good ?? 0) / v.polls })),
    pairs: on.segments.map((pair, i) => {
      const [first] = pair.chain.devices;
      return i === 0
        ? pairReading(pair, 'the first device', v.pairOhm)
        : pairReading(
            pair,
            `${first?.label}, other side`,
            v.beyond?.find((b) => b.repeaterId === first?.id)?.pairOhm ?? null,
          );
    }),
  };
}

function pairReading(pair: ChainResult, at: string, pairOhm: number | null): PairReading {
  const sheet = meterSheet(pair);
  const expected = sheet.value?.rows[0]?.bothOhm ?? null;
  return {
    at,
    pairOhm,
    expectedOhm:
      sheet.value === null ? sheet : expected === null ? lacking('terminators of the chain') : known(expected),
    means: sheet.value === null || pairOhm === null ? '' : readingMeans(sheet.value, pairOhm),
  };
}

type Scan = Entry & EntryOf<'bus-scan', Values>;

/** Another bus as scans found it: a unit replaced since takes it, and an address written on it. */
function otherBus(about: About<Values>, bus: number, judged: (scan: Scan) => Judgement): Part<Scan> {
  const { design } = about;
  const on = new Set(devicesOn(design.chain, bus).map((d) => d.inverterId));
  return {
    gate: 'S-BUS',
    at: ['site', ...design.inverters.map((u) => u.id)],
    readings: before(about, 'bus-scan').filter(
      (r): r is Scan => BUS_SCAN.is(r) && busOf(r.values) === bus && !isSimulated(r.values),
    ),
    takes: before(about, ADDRESSED.kind).filter(
      (e) => ADDRESSED.is(e) && !isSimulated(e.values) && on.has(e.subject.id),
    ),
    judged: (scan) => judged(scan).says[0]?.result ?? null,
  };
}

/**
 * One bus as it was asked and measured: who answered at every address, how often, ohms of the pair, volts between the earths. Where there are several
 * the gate is closed by the last of them, the others scanned on the same day and nothing done to them since.
 */
export const BUS_SCAN = kind({
  kind: 'bus-scan',
  title: 'Bus scanned and measured',
  scopes: ['site'],
  values,
  instrument: ['multimeter'],
  measured: (v) => [
    { of: 'resistance', value: v.pairOhm, path: 'pairOhm' },
    ...(v.beyond ?? []).map((b) => ({ of: 'resistance' as const, value: b.pairOhm, path: 'beyond' })),
    { of: 'AC voltage', value: v.groundV, path: 'groundV' },
  ],
  gates: ['S-BUS'],
  simulated: isSimulated,
  correctable: true,
  judge(about): Judgement {
    const { design, entry, values: v, day } = about;
    const buses = busesOf(design.chain);
    const where = onSite('inverter', buses.length > 1 ? `RS-485 bus ${busOf(v)}` : 'RS-485 bus');
    const judged = (scan: Entry & { readonly values: Values }): Judgement => {
      const reading = busReadingOf(design, scan.values);
      return measured(scan, day, ['S-BUS'], where, [
        ...ask(RULES.real, reading, where),
        ...ask(RULES.bus, reading, where),
        ...reading.pairs.flatMap((pair) => ask(RULES.pair, pair, where)),
      ]);
    };
    const others = buses.filter((bus) => bus !== busOf(v)).map((bus) => otherBus(about, bus, judged));
    return withParts(about, judged(entry), others);
  },
  form: (design) => {
    const buses = busesOf(design.chain);
    const several = buses.length > 1;
    const plan = buses.flatMap((bus) => plannedOf(devicesOn(design.chain, bus)).map((p) => ({ ...p, bus })));
    const on = (bus: number) => (several ? ` on bus ${bus}` : '');
    const serialOf = (i: number) => `serial${i}`;
    const goodOf = (i: number) => `good${i}`;
    const repeaters = buses.flatMap((n) => devicesOn(design.chain, n).filter(isRepeater));
    const beyondOf = (i: number) => `beyond${i}`;
    const { units: _, beyond: _b, bus, ...others } = values.shape;
    const rest = several ? { bus, ...others } : others;
    const schema = z.object({
      ...rest,
      ...Object.fromEntries(
        repeaters.map((r, i) => [
          beyondOf(i),
          quantity(0, 1e7, 'Ω', `Across the pair behind ${r.label}${on(r.bus)}, everything off`).nullable(),
        ]),
      ),
      ...Object.fromEntries(
        plan.flatMap((p, i) => [
          [serialOf(i), z.string().meta({ description: `Serial at ${p.address}${on(p.bus)}, ${p.label}` })],
          // Of units on another bus than the one that was scanned nothing is said.
          [goodOf(i), (several ? good.nullable() : good).meta({ description: `Came back well from ${p.label}` })],
        ]),
      ),
    });
    return {
      schema,
      blank: {
        ...(several ? { bus: buses[0] } : {}),
        from: 'over the bus',
        bitRate: design.chain.bitRate,
        polls: 100,
        pairOhm: null,
        groundV: null,
        ...Object.fromEntries(repeaters.map((_r, i) => [beyondOf(i), null])),
        ...Object.fromEntries(
          plan.flatMap((_p, i) => [
            [serialOf(i), ''],
            [goodOf(i), null],
          ]),
        ),
      },
      groups: [
        { title: 'With the meter', paths: ['pairOhm', ...repeaters.map((_r, i) => beyondOf(i)), 'groundV'] },
        { title: 'Asked', paths: [...(several ? ['bus'] : []), 'from', 'bitRate', 'polls'] },
        { title: 'Every unit', paths: plan.flatMap((_p, i) => [serialOf(i), goodOf(i)]) },
      ],
      toValues: (typed) => ({
        ...Object.fromEntries(Object.keys(rest).map((k) => [k, typed[k]])),
        ...(repeaters.length
          ? {
              beyond: repeaters.flatMap((r, i) =>
                typed[beyondOf(i)] === null || (several && r.bus !== typed['bus'])
                  ? []
                  : [{ repeaterId: r.id, pairOhm: typed[beyondOf(i)] }],
              ),
            }
          : {}),
        units: plan.flatMap((p, i) =>
          several && (p.bus !== typed['bus'] || typed[goodOf(i)] === null)
            ? []
            : [
                {
                  address: p.address,
                  serials: typed[serialOf(i)] ? [typed[serialOf(i)]] : [],
                  good: typed[goodOf(i)],
                },
              ],
        ),
      }),
      caution: 'D0 to local earth first: above 4.95 V rms nobody lands a reference, the earth fault is found.',
    };
  },
  line: (v) =>
    `${v.bus === undefined ? '' : `bus ${v.bus}: `}${v.units.filter((u) => u.good > 0).length} of ${v.units.length} answered, ${v.polls} questions each at ${v.bitRate} bit/s; ${v.pairOhm} Ω, ${v.groundV} V, ${v.from}`,
  printed: {
    title: 'Bus scanned and measured',
    columns: [
      { title: 'Bus', share: 0.4, right: true },
      { title: 'Answered', share: 1, right: true },
      { title: 'Questions', share: 1, right: true },
      { title: 'Pair', share: 0.8, right: true },
      { title: 'D0 to earth', share: 0.8, right: true },
      { title: 'Read', share: 1 },
    ],
    row: (v) => [
      String(busOf(v)),
      `${v.units.filter((u) => u.good > 0).length} of ${v.units.length}`,
      `${v.polls} at ${v.bitRate} bit/s`,
      `${v.pairOhm} Ω`,
      `${v.groundV} V`,
      v.from,
    ],
  },
});
