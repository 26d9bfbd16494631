import { withArticle } from '../../kernel/words';
import type { Entry } from '../entry';
import type { GateId, GateRow } from '../gates/machine';
import { gateKey, gateRow } from '../gates/machine';
import { GATE_TABLE } from '../gates/table';
import { HAPPENINGS } from '../tables/happenings';
import type { Happening } from '../tables/happenings';
import type { Applied } from './applied';
import type { Stand } from './state';
import { standOf } from './state';
import { resetRun, stopOrder } from './orders';

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
  const { pairs, overNothing } = app.needs(row, object);
  const open = pairs.find(([g, o]) => g !== 'S-SAFE' && !app.closed(g, o));
  return open ? gateKey(...open) : overNothing ? 'a string' : null;
}

/** A gate that was closed is not any more. */
function opened(app: Applied, row: GateRow, object: string, lapse = false): void {
  const key = gateKey(row.id, object);
  if (row.id === 'S-SAFE') {
    for (const unit of app.net.model.inverters) stopOrder(app, unit.id, 'the day is not safe any more');
    return;
  }
  if (row.id === 'I-PERMIT') {
    if (!lapse || !app.moment.run(object).live) app.moment.putRun(object, { permitLost: true });
    stopOrder(app, object, lapse ? 'the permit ended with its day' : 'the permit was withdrawn');
  } else if (row.id !== 'S-HAND') withdraw(app, 'S-HAND', 'site', `${key} is not closed any more`);
  for (const dependent of DEPENDENTS.get(row.id) ?? [])
    for (const at of restingOn(app, dependent, row, object))
      withdraw(app, dependent.id, at, `${key} is not closed any more`);
}

/** The parts at which a gate rests on another gate at one part. */
function restingOn({ net }: Applied, dependent: GateRow, on: GateRow, object: string): readonly string[] {
  if (dependent.scope === on.scope) return [object];
  if (on.scope === 'site') return net.objects(dependent);
  if (on.scope === 'string')
    return [dependent.scope === 'site' ? 'site' : net.unitOf(object)].filter((x) => x !== undefined);
  return dependent.scope === 'string' ? net.stringsOf(object) : ['site'];
}

/** Makes the proof of a gate stale: every reading so far, so that none of them comes back by a correction either. */
export function withdraw(app: Applied, gate: GateId, object: string, why: string): void {
  const stand = app.moment.stand(gate, object);
  if (gate === 'I-PERMIT') app.moment.putRun(object, { permitLost: true });
  if (stand.readings.every((r) => r.broken !== null) && (stand.waived === null || stand.waived.broken !== null)) return;
  const readings = stand.readings.map((r) => (r.broken === null ? { ...r, broken: why } : r));
  const waived = stand.waived && { ...stand.waived, broken: stand.waived.broken ?? why };
  put(app, gateRow(gate), object, standOf(readings, waived));
}

export function happened(app: Applied, entry: Entry, what: string): void {
  const happening: Happening | undefined = HAPPENINGS.find((h) => h.what === what);
  if (!happening || happening.scope !== entry.subject.scope)
    return app.note(entry, `${what} happens to ${withArticle(happening?.scope ?? 'known part')}.`);
  for (const [gate, object] of withdrawnBy(app, happening, entry.subject.id)) withdraw(app, gate, object, what);
  if (happening.allThatRests) resetRun(app, entry.subject.id);
}

/** Gates that a happening makes stale, each at its part. */
function withdrawnBy(app: Applied, h: Happening, object: string): [GateId, string][] {
  const named = ROWS.filter(
    (r) =>
      (r.staleOn as readonly string[]).some((s) => (h.staleOn as readonly string[]).includes(s)) ||
      h.withdraws?.includes(r.id),
  );
  const direct = named.flatMap((r) => partsNear(app, r, h, object).map((o): [GateId, string] => [r.id, o]));
  if (!h.allThatRests) return direct;
  const all = new Map(direct.map((x) => [gateKey(...x), x]));
  for (const [gate, at] of all.values())
    for (const row of ROWS.filter((r) => (r.needs as readonly string[]).includes(gate)))
      for (const o of restingOn(app, row, gateRow(gate), at)) all.set(gateKey(row.id, o), [row.id, o]);
  return [...all.values()];
}

/** Where a gate stands that belongs to the part to which something happened. */
function partsNear({ net }: Applied, row: GateRow, h: Happening, object: string): readonly string[] {
  if (row.scope === h.scope) return [object];
  if (row.scope === 'site') return ['site'];
  if (h.scope === 'string') return [net.unitOf(object)].filter((x) => x !== undefined);
  return h.scope === 'inverter' ? net.stringsOf(object) : [];
}

/** Makes everything at these parts stale and stops their orders: nobody can say in which order it was done. `live`: units that may be on. */
export function leaveOpen(app: Applied, parts: Iterable<string>, why: string, live: ReadonlySet<string>): void {
  for (const key of [...parts]) {
    const object = key.slice(2);
    for (const gate of [...app.moment.part(key).gates.keys()]) withdraw(app, gate, object, why);
    if (!key.startsWith('I@')) continue;
    stopOrder(app, object, why);
    if (live.has(object)) app.moment.putRun(object, { live: true, permitLost: true });
  }
}
