import { busesOf, devicesOn } from '../../links/buses';
import type { Entry } from '../entry';
import type { About, Judgement, Result } from '../kind';
import { ADDRESSED } from '../kinds/addressed';
import { before, resultOfPart } from '../parts';
import { isSimulated } from '../saidBy';
import type { ScanValues } from './scan';
import { busOf, judgedScan } from './scan';
import type { TriedWay, WayValues, When } from './wayTest';
import { judgedWay, waysOf } from './wayTest';

/** Everything that the gate of the buses asks for, part by part: each bus, and each way beside them; the last one read closes the gate. */

/** Names of parts, by which an entry says which of them it is. */
export const busPart = (bus: number): string => `bus ${bus}`;
export const wayPart = ({ way, wayId, when }: Pick<WayValues, 'way' | 'wayId' | 'when'>): string =>
  way === 'carriers' ? `${way} ${wayId} ${when}` : `${way} ${wayId}`;

/** Hours at which a way is tried: a carrier at both that may stop it. */
const hoursOf = (way: TriedWay): readonly When[] =>
  way === 'carriers' ? ['at full power', 'at night'] : ['at another hour'];

type Read<V> = Entry & { readonly values: V };

/** What the parts of the gate say, but the one that is being read. */
export function partsBeside<V>(about: About<V>, own: string): Result[] {
  const { design, day } = about;
  const at = ['site', ...design.inverters.map((u) => u.id)];
  const result = ({ says }: Judgement): Result => says[0]?.result ?? null;
  const scans = before(about, 'bus-scan') as readonly Read<ScanValues>[];
  const trials = before(about, 'way-test') as readonly Read<WayValues>[];
  const ofBus = (bus: number): Result => {
    const on = new Set(devicesOn(design.chain, bus).map((d) => d.inverterId));
    return resultOfPart(about, {
      gate: 'S-BUS',
      at,
      readings: scans.filter((r) => busOf(r.values) === bus && !isSimulated(r.values)),
      // A unit replaced since takes it, and an address written on it.
      takes: before(about, ADDRESSED.kind).filter(
        (e) => ADDRESSED.is(e) && !isSimulated(e.values) && on.has(e.subject.id),
      ),
      judged: (scan) => result(judgedScan(design, scan, day)),
    });
  };
  const ofWay = (name: string): Result =>
    resultOfPart(about, {
      gate: 'S-BUS',
      at,
      readings: trials.filter((r) => wayPart(r.values) === name),
      takes: [],
      judged: (trial) => result(judgedWay(design, trial, day)),
    });
  const ways = waysOf(design.chain.otherWays).flatMap(({ way, id }) =>
    hoursOf(way).map((when) => wayPart({ way, wayId: id, when })),
  );
  return [
    ...busesOf(design.chain).flatMap((bus) => (busPart(bus) === own ? [] : [ofBus(bus)])),
    ...ways.flatMap((name) => (name === own ? [] : [ofWay(name)])),
  ];
}
