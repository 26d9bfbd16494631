import { busesOf, devicesOn } from '../../links/buses';
import type { Entry } from '../entry';
import type { About, Result } from '../kind';
import { ADDRESSED } from '../kinds/addressed';
import type { Part } from '../parts';
import { before } from '../parts';
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

/** The parts of the gate but the one that is being read. */
export function partsBeside<V>(about: About<V>, own: string): Part<Entry>[] {
  const { design, day } = about;
  const at = ['site', ...design.inverters.map((u) => u.id)];
  const result = (judged: { readonly says: readonly { readonly result: Result }[] }) => judged.says[0]?.result ?? null;
  const scans = before(about, 'bus-scan') as Read<ScanValues>[];
  const trials = before(about, 'way-test') as Read<WayValues>[];
  const buses = busesOf(design.chain).map((bus) => {
    const on = new Set(devicesOn(design.chain, bus).map((d) => d.inverterId));
    const part: Part<Read<ScanValues>> = {
      gate: 'S-BUS',
      at,
      readings: scans.filter((r) => busOf(r.values) === bus && !isSimulated(r.values)),
      // A unit replaced since takes it, and an address written on it.
      takes: before(about, ADDRESSED.kind).filter(
        (e) => ADDRESSED.is(e) && !isSimulated(e.values) && on.has(e.subject.id),
      ),
      judged: (scan) => result(judgedScan(design, scan, day)),
    };
    return { name: busPart(bus), part: part as unknown as Part<Entry> };
  });
  const ways = waysOf(design.chain.otherWays).flatMap(({ way, id }) =>
    hoursOf(way).map((when) => {
      const name = wayPart({ way, wayId: id, when });
      const part: Part<Read<WayValues>> = {
        gate: 'S-BUS',
        at,
        readings: trials.filter((r) => wayPart(r.values) === name),
        judged: (trial) => result(judgedWay(design, trial, day)),
      };
      return { name, part: part as unknown as Part<Entry> };
    }),
  );
  return [...buses, ...ways].flatMap(({ name, part }) => (name === own ? [] : [part]));
}
