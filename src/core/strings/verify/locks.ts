import { lineOf } from '../../site/line';
import type { PvString } from '../../site/parts';
import type { Lock, StringsDesign } from '../part';
import type { Placed } from './placed';
import { dcAcRatios, distinctLengths } from './placed';
import type { Violation } from './violation';
import { say } from './violation';

/** V08: every lock is kept, and what it is on is still there. */
export function lockKept(design: StringsDesign, lock: Lock, placed: readonly Placed[]): Violation[] {
  const broken = (what: string) => [say('V08', `The lock on ${what} was not kept.`)];
  const line = lineOf(design);
  const tag = (id: string) => line.tag(id);
  const label = (id: string) => line.planeLabel(id);
  const gone = goneOf(design, lock);
  if (gone) return [say('V08', gone)];
  switch (lock.kind) {
    case 'string':
      return stringLockKept(design, lock);
    case 'plane-length': {
      const own = placed.filter((h) => h.plane.id === lock.planeId);
      return own.some((h) => h.s.modules !== lock.modules)
        ? broken(`${lock.modules} modules a string on ${label(lock.planeId)}`)
        : [];
    }
    case 'plane-inverter': {
      const allowed = new Set(
        design.locks.flatMap((l) => (l.kind === 'plane-inverter' && l.planeId === lock.planeId ? [l.inverterId] : [])),
      );
      const own = placed.filter((h) => h.plane.id === lock.planeId);
      return own.some((h) => !allowed.has(h.unit.id))
        ? broken(`${label(lock.planeId)} to ${tag(lock.inverterId)}`)
        : [];
    }
    case 'inverter-empty':
      return placed.some((h) => h.unit.id === lock.inverterId) ? broken(`${tag(lock.inverterId)} empty`) : [];
    case 'free-trackers': {
      const own = placed.filter((h) => h.unit.id === lock.inverterId);
      const type = line.unit(lock.inverterId)?.type;
      const used = new Set(own.map((h) => h.place.tracker)).size;
      return type && type.trackers - used < lock.count
        ? broken(`${lock.count} free trackers of ${tag(lock.inverterId)}`)
        : [];
    }
    case 'no-doubling': {
      const seen = new Set<string>();
      const twice = placed.some((h) => {
        const key = `${h.unit.id}/${h.place.tracker}`;
        return seen.has(key) || !seen.add(key);
      });
      return twice ? broken('one string a tracker') : [];
    }
    case 'max-lengths':
      return distinctLengths(placed) > lock.count ? broken(`at most ${lock.count} lengths`) : [];
    case 'ratio': {
      const out = dcAcRatios(design, placed).some(
        (r) =>
          (lock.minPercent !== null && 100 * r < lock.minPercent - 1e-6) ||
          (lock.maxPercent !== null && 100 * r > lock.maxPercent + 1e-6),
      );
      return out ? broken('the DC/AC ratio') : [];
    }
    case 'use-all': {
      const used = placed.reduce((sum, h) => sum + h.s.modules, 0);
      return used < design.planes.reduce((sum, p) => sum + p.moduleCount, 0) ? broken('every module used') : [];
    }
  }
}

/** What a lock is on that is no longer there, in words; null where all of it is. */
function goneOf(design: StringsDesign, lock: Lock): string | null {
  const line = lineOf(design);
  if ('planeId' in lock && !line.plane(lock.planeId)) return `A lock is on a plane that is gone (${lock.planeId}).`;
  if ('inverterId' in lock && !line.inverter(lock.inverterId))
    return `A lock is on an inverter that is gone (${lock.inverterId}).`;
  return null;
}

/** A locked string is the string it was: there, as long, of the same plane, and on the same input. */
function stringLockKept(design: StringsDesign, { stringId, kept }: Extract<Lock, { kind: 'string' }>): Violation[] {
  const line = lineOf(design);
  const now = design.strings.find((s) => s.id === stringId);
  const number = now?.number ?? kept?.number ?? stringId;
  const broken = (what: string) => [say('V08', `String ${number} is locked and ${what}.`)];
  if (!now) return broken('was taken away');
  const at = (p: PvString['place']) =>
    p ? `${line.tag(p.inverterId)}.${p.tracker}.${p.input}${p.branch === 2 ? ' Y' : ''}` : 'no input';
  if (!kept) return now.place ? [] : broken('hangs on no input');
  return [
    ...(now.modules === kept.modules ? [] : broken(`has ${now.modules} modules instead of ${kept.modules}`)),
    ...(now.planeId === kept.planeId
      ? []
      : broken(`lies on ${line.planeLabel(now.planeId)} instead of ${line.planeLabel(kept.planeId)}`)),
    ...(at(now.place) === at(kept.place) ? [] : broken(`hangs on ${at(now.place)} instead of ${at(kept.place)}`)),
  ];
}
