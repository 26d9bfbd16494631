import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { known } from '../../kernel/answer';
import { FIRST_ADDRESS, LAST_ADDRESS } from '../../links/addresses';
import { FIRST_BUS, busesOf, devicesOn } from '../../links/buses';
import { BIT_RATES } from '../../links/bitRates';
import { planAgainstFound } from '../../links/field/compare';
import { plannedOf } from '../../links/field/planned';
import { meterSheet, readingMeans } from '../../links/line/meterSheet';
import { chainDeviceSchema } from '../../links/part';
import { chainResult } from '../../links/results';
import type { Entry, EntryOf } from '../entry';
import { trueMs } from '../entry';
import { PARTS_WITHIN_MS, measured, onSite } from '../judging';
import { signs } from '../evidence/people';
import { gateRow } from '../gates/machine';
import type { About, Judgement } from '../kind';
import { kind } from '../kind';
import type { BusReading } from '../readings/busReading';
import { PROVING_RULES as RULES } from '../rules';
import { SAID_BY, isSimulated } from '../saidBy';
import { HAPPENINGS } from '../tables/happenings';
import { ADDRESSED } from './addressed';
import { GATE } from './gate';
import { HAPPENING } from './happening';

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
  const on = chainResult(design, busOf(v));
  const { chain } = on;
  const plan = plannedOf(chain.devices);
  const at = new Map(v.units.map((u) => [u.address, u]));
  const sheet = meterSheet(on);
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

type Scan = EntryOf<'bus-scan', Values>;
const ROW = gateRow('S-BUS');
/** What happens to a site after which a scan proves nothing any more. */
const VOIDING: ReadonlySet<string> = new Set(
  HAPPENINGS.filter((h) => ROW.staleOn.some((s) => (h.staleOn as readonly string[]).includes(s))).map((h) => h.what),
);

/** Whether an entry takes from a scan of a bus before it what that proved: a unit replaced, the gate failed, an address written on that bus. */
function takesFrom(design: SiteDesign, bus: number, e: Entry): boolean {
  if (HAPPENING.is(e)) return VOIDING.has(e.values.what);
  if (GATE.is(e)) return e.values.gate === 'S-BUS' && e.values.result === 'fail';
  if (!ADDRESSED.is(e) || isSimulated(e.values)) return false;
  return devicesOn(design.chain, bus).some((d) => d.inverterId === e.subject.id);
}

/** The newest scan of another bus before this one, by somebody who may sign; null where there is none, or something took from it since. */
function scanBefore({ design, entry, atMs, beside, day }: About<Values>, bus: number): Scan | null {
  const near = (kind: string) => beside.near(kind, atMs, PARTS_WITHIN_MS).filter((r) => trueMs(r) <= trueMs(entry));
  const scan = near('bus-scan').findLast(
    (r): r is Entry & Scan =>
      BUS_SCAN.is(r) && r.id !== entry.id && busOf(r.values) === bus && !isSimulated(r.values) && signs(ROW, r, day),
  );
  if (!scan) return null;
  const since = [HAPPENING.kind, GATE.kind, ADDRESSED.kind].flatMap(near).filter((e) => trueMs(e) >= trueMs(scan));
  return since.some((e) => takesFrom(design, bus, e)) ? null : scan;
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
      ]);
    };
    const own = judged(entry);
    const proves = ({ says: [said] }: Judgement) => said?.result === 'pass' || said?.result === 'caution';
    const whole = buses.every((bus) => {
      const scan = bus === busOf(v) ? entry : scanBefore(about, bus);
      return scan === entry || (scan !== null && proves(judged(scan)));
    });
    return whole || !proves(own) ? own : { checks: own.checks, says: [{ gate: 'S-BUS', result: null }] };
  },
  form: (design) => {
    const buses = busesOf(design.chain);
    const several = buses.length > 1;
    const plan = buses.flatMap((bus) => plannedOf(devicesOn(design.chain, bus)).map((p) => ({ ...p, bus })));
    const on = (bus: number) => (several ? ` on bus ${bus}` : '');
    const serialOf = (i: number) => `serial${i}`;
    const goodOf = (i: number) => `good${i}`;
    const { units: _, bus, ...others } = values.shape;
    const rest = several ? { bus, ...others } : others;
    const schema = z.object({
      ...rest,
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
        ...Object.fromEntries(
          plan.flatMap((_p, i) => [
            [serialOf(i), ''],
            [goodOf(i), null],
          ]),
        ),
      },
      groups: [
        { title: 'With the meter', paths: ['pairOhm', 'groundV'] },
        { title: 'Asked', paths: [...(several ? ['bus'] : []), 'from', 'bitRate', 'polls'] },
        { title: 'Every unit', paths: plan.flatMap((_p, i) => [serialOf(i), goodOf(i)]) },
      ],
      toValues: (typed) => ({
        ...Object.fromEntries(Object.keys(rest).map((k) => [k, typed[k]])),
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
