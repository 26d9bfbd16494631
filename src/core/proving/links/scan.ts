import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { given, known, lacking } from '../../kernel/answer';
import { ask } from '../../kernel/rule';
import { enumOf, partId, quantity } from '../../kernel/schema';
import { FIRST_ADDRESS, LAST_ADDRESS } from '../../links/addresses';
import { BIT_RATES } from '../../links/bitRates';
import { FIRST_BUS, busesOf } from '../../links/buses';
import { planAgainstFound } from '../../links/field/compare';
import { plannedOf } from '../../links/field/planned';
import { blocksDirect } from '../../links/line/busLine';
import { meterSheet, readingMeans } from '../../links/line/meterSheet';
import { chainDeviceSchema } from '../../links/part';
import type { ChainResult } from '../../links/results';
import { busResult } from '../../links/results';
import { isUnit } from '../../links/segments';
import type { Entry } from '../entry';
import { measured, onSite } from '../judging';
import type { Judgement } from '../kind';
import type { BusReading, PairReading } from '../readings/busReading';
import { PROVING_RULES as RULES } from '../rules';
import { SAID_BY } from '../saidBy';

/** A bus as it was scanned and measured: what is read, and what that says of it. */

const address = z.number().int().min(FIRST_ADDRESS).max(LAST_ADDRESS);
const polls = quantity(1, 10_000, '', 'Questions to each unit').int();
export const good = quantity(0, 10_000, '', 'Questions that came back well').int();
const nF = (what: string) => quantity(0, 1e6, 'nF', what).nullable();
export const scanValues = z
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
    /** Asked of a pair whose terminators have a capacitor. */
    pairNf: nF('Capacitance across the pair at the first device, everything off').optional(),
    /** Behind every repeater, at its other side; of a bus without one, nothing. */
    beyond: z
      .array(
        z.object({
          repeaterId: partId,
          pairOhm: quantity(0, 1e7, 'Ω', 'Across the pair behind a repeater'),
          pairNf: nF('Capacitance across the pair behind a repeater').optional(),
        }),
      )
      .max(100)
      .refine((all) => new Set(all.map((b) => b.repeaterId)).size === all.length, 'Every repeater stands once.')
      .optional(),
    groundV: quantity(0, 1000, 'V', 'Largest D0 to local earth before the reference is landed, rms'),
  })
  .refine((v) => v.units.every((u) => u.good <= v.polls), {
    path: ['units'],
    message: 'No more come back than were asked.',
  });
export type ScanValues = z.output<typeof scanValues>;
export const busOf = (v: ScanValues): number => v.bus ?? FIRST_BUS;

/** What was read across a pair; nothing where nobody did. */
const read = (of?: { readonly pairOhm: number; readonly pairNf?: number | null | undefined }) => ({
  pairOhm: of?.pairOhm ?? null,
  pairNf: of?.pairNf ?? null,
});

/** A scan of one bus beside that bus as it is designed. */
export function busReadingOf(design: SiteDesign, v: ScanValues): BusReading {
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
        ? pairReading(pair, 'the first device', { pairOhm: v.pairOhm, pairNf: v.pairNf ?? null })
        : pairReading(pair, `${first?.label}, other side`, read(v.beyond?.find((b) => b.repeaterId === first?.id)));
    }),
  };
}

/** The capacitors of a pair whose terminators have some, with the cable between them. */
function capacitorsOf({ chain: { devices, line }, lengthM }: ChainResult): PairReading['expectedNf'] {
  if (!blocksDirect(line)) return null;
  return given(
    {
      'capacitor of the terminators': line.terminatorNf,
      'delay of the pair': line.delayNsPerM,
      'wave impedance of the pair': line.impedanceOhm,
      'routes or positions': lengthM.value,
    },
    (k) =>
      devices.filter((d) => d.terminated).length * k['capacitor of the terminators'] +
      (k['routes or positions'] * k['delay of the pair']) / k['wave impedance of the pair'],
  );
}

function pairReading(
  pair: ChainResult,
  at: string,
  { pairOhm, pairNf }: { readonly pairOhm: number | null; readonly pairNf: number | null },
): PairReading {
  const sheet = meterSheet(pair);
  const expected = sheet.value?.rows[0]?.bothOhm ?? null;
  return {
    at,
    pairOhm,
    pairNf,
    expectedNf: capacitorsOf(pair),
    expectedOhm:
      sheet.value === null
        ? sheet
        : expected !== null
          ? known(expected)
          : blocksDirect(pair.chain.line)
            ? known(Infinity)
            : lacking('terminators of the chain'),
    means: sheet.value === null || pairOhm === null ? '' : readingMeans(sheet.value, pairOhm),
  };
}

/** What a scan of one bus says of the gate of the buses, by itself. */
export function judgedScan(design: SiteDesign, scan: Entry & { readonly values: ScanValues }, day: string): Judgement {
  const reading = busReadingOf(design, scan.values);
  const where = onSite(
    'inverter',
    busesOf(design.chain).length > 1 ? `RS-485 bus ${busOf(scan.values)}` : 'RS-485 bus',
  );
  return measured(scan, day, ['S-BUS'], where, [
    ...ask(RULES.real, reading, where),
    ...[RULES.bus, RULES.asked].flatMap((rules) => ask(rules, reading, where)),
    ...reading.pairs.flatMap((pair) => [
      ...ask(RULES.pair, pair, where),
      ...(pair.expectedNf ? ask(RULES.pairCapacitor, pair, where) : []),
    ]),
  ]);
}
