import { withArticle } from '../../kernel/words';
import type { Entry } from '../entry';
import type { GateId, GateRow } from '../gates/machine';
import { gateKey, gateRow } from '../gates/machine';
import { GATE_TABLE } from '../gates/table';
import { happeningNamed, makesStale } from '../tables/happenings';
import type { Happening } from '../tables/happenings';
import type { Applied } from './applied';
import type { Stand } from './state';
import { gatesSaid, isUntouched, standOf } from './state';
import { resetRun, stopOrder } from './orders';
import { signs, whyNot } from './people';

/** What makes proofs stale: a gate beneath them that opens, something that happened, an order that clocks leave open. */

const ROWS: readonly GateRow[] = GATE_TABLE;
/** Gates that go stale when this one opens. */
const DEPENDENTS = new Map<GateId, readonly GateRow[]>(
  ROWS.map((row) => [row.id, ROWS.filter((r) => r.cascade && (r.needs as readonly string[]).includes(row.id))]),
);

/** Puts a stand in place and lets what rests on the gate follow. `lapse`: it ended with its day, and nobody withdrew it. */
export function put(app: Applied, row: GateRow, object: string, stand: Stand, lapse = false): void {
  const was = app.closed(row.id, object);
  app.moment.putStand(row.id, object, stand);
  if (was && !app.closed(row.id, object)) opened(app, row, object, lapse);
}

/** The first gate beneath one that is not closed, in words; null where it rests on what stands. The safe day makes nothing stale. */
export function openBeneath(app: Applied, row: GateRow, object: string): string | null {
  const { gates, overNothing } = app.needs(row, object);
  const open = gates.find((n) => n.gate !== 'S-SAFE' && !app.closed(n.gate, n.object));
  return open ? gateKey(open.gate, open.object) : overNothing ? 'a string' : null;
}

/** A gate that was closed is not any more. */
function opened(app: Applied, row: GateRow, object: string, lapse: boolean): void {
  const key = gateKey(row.id, object);
  if (row.id === 'S-SAFE') {
    for (const unit of app.net.model.inverters) stopOrder(app, unit.id, 'the day is not safe any more');
    return;
  }
  if (row.id === 'I-PERMIT') {
    if (!lapse || !app.moment.run(object).live) app.moment.putRun(object, { permitLost: true });
    stopOrder(app, object, lapse ? 'the permit ended with its day' : 'the permit was withdrawn');
  } else if (row.id !== 'S-HAND') withdraw(app, 'S-HAND', 'site', `${key} is not closed any more`);
  for (const dependent of DEPENDENTS.get(row.id) as readonly GateRow[])
    for (const at of partsAt(app, dependent, row.scope, object))
      withdraw(app, dependent.id, at, `${key} is not closed any more`);
}

/** Where a gate stands along the line of a part: at it, at what hangs on it, at what it hangs on, at the whole site. */
function partsAt({ net }: Applied, row: GateRow, scope: GateRow['scope'], object: string): readonly string[] {
  if (row.scope === scope) return [object];
  if (row.scope === 'site') return ['site'];
  if (scope === 'site') return net.objects(row);
  return scope === 'string' ? net.unitsOf(object) : net.stringsOf(object);
}

/** Makes the proof of a gate stale: every reading so far, so that none of them comes back by a correction either. */
export function withdraw(app: Applied, gate: GateId, object: string, why: string): void {
  const stand = app.moment.stand(gate, object);
  if (gate === 'I-PERMIT') app.moment.putRun(object, { permitLost: true });
  if (isUntouched(stand)) return;
  const readings = stand.readings.map((r) => ({ ...r, broken: r.broken ?? why }));
  const waived = stand.waived && { ...stand.waived, broken: stand.waived.broken ?? why };
  put(app, gateRow(gate), object, standOf(readings, waived));
}

export function happened(app: Applied, entry: Entry, what: string): void {
  const happening = happeningNamed(what);
  if (happening.scope !== entry.subject.scope)
    return app.note(entry, `${what} happens to ${withArticle(happening.scope)}.`);
  const [safe, day] = [gateRow('S-SAFE'), app.dayOf(entry)];
  if (happening.weather === 'dry' && !signs(safe, entry, day))
    return app.note(entry, `That it is dry is said by whoever may sign the safe start. ${whyNot(safe, entry, day)}`);
  for (const [gate, object] of withdrawnBy(app, happening, entry.subject.id)) withdraw(app, gate, object, what);
  if (happening.allThatRests) resetRun(app, entry.subject.id);
}

/** Gates that a happening makes stale, each at its part. */
function withdrawnBy(app: Applied, h: Happening, object: string): [GateId, string][] {
  const named = ROWS.filter((r) => makesStale(h, r));
  const direct = named.flatMap((r) => partsAt(app, r, h.scope, object).map((o): [GateId, string] => [r.id, o]));
  if (!h.allThatRests) return direct;
  const all = new Map(direct.map((x) => [gateKey(...x), x]));
  for (const [gate, at] of all.values())
    for (const row of ROWS.filter((r) => (r.needs as readonly string[]).includes(gate)))
      for (const o of partsAt(app, row, gateRow(gate).scope, at)) all.set(gateKey(row.id, o), [row.id, o]);
  return [...all.values()];
}

/** Makes everything at these parts stale and stops their orders: nobody can say in which order it was done. `live`: units that may be on. */
export function leaveOpen(app: Applied, parts: Iterable<string>, why: string, live: ReadonlySet<string>): void {
  for (const key of [...parts]) {
    const object = key.slice(2);
    for (const gate of gatesSaid(key, app.moment.part(key))) withdraw(app, gate, object, why);
    if (!key.startsWith('I@')) continue;
    stopOrder(app, object, why);
    if (live.has(object)) app.moment.putRun(object, { live: true, permitLost: true });
  }
}
