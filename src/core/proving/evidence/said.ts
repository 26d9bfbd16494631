import type { Entry } from '../entry';
import type { GateId } from '../gates/machine';
import { REASON_MIN, gateRow, judgeWaiver } from '../gates/machine';
import type { Result } from '../kind';
import { kindOf, measuring } from '../kinds';
import { GATE } from '../kinds/gate';
import { STEP } from '../kinds/step';
import { daysLater } from '../../kernel/siteDay';
import type { Applied } from './applied';
import { correctionTrouble } from './corrections';
import { changedSince } from './newRelease';
import { isElectrician, signs, whyNot } from './people';
import { standOf } from './state';
import { correctStep } from './switching';
import { worse } from '../judging';
import { openBeneath, put } from './withdraw';

/** What people say of readings that are there: a caution accepted, a fail waived, a reading put right. */

/** Gates that an entry speaks of, at the part it belongs to. */
export function gatesOf(entry: Entry): readonly GateId[] {
  const kind = kindOf(entry);
  if (kind.simulated?.(entry.values)) return NO_GATES;
  const { scope } = entry.subject;
  const gates: readonly GateId[] = GATE.is(entry) ? [entry.values.gate] : kind.gates;
  const own = (gate: GateId): boolean => gateRow(gate).scope === scope;
  return gates.every(own) ? gates : gates.filter(own);
}
const NO_GATES: readonly GateId[] = [];

/** Why a tick does nothing at a gate; null where it may. */
export function byMeasurement(gate: GateId, result: Result): string | null {
  const by = measuring(gate);
  return by && result === 'pass'
    ? `Gate ${gate} closes by its measurement (${by.title.toLowerCase()}), not by a tick.`
    : null;
}

export function accepted(app: Applied, entry: Entry, gate: GateId, entryId: string): void {
  const row = gateRow(gate);
  if (!isElectrician(entry, app.dayOf(entry)))
    return app.note(entry, 'A caution is accepted by an electrician with a valid licence.');
  if ((entry.reason ?? '').trim().length < REASON_MIN)
    return app.note(entry, `Give a reason of at least ${REASON_MIN} characters.`);
  const stand = app.moment.stand(gate, entry.subject.id);
  const newest = stand.readings.at(-1);
  if (
    row.scope !== entry.subject.scope ||
    !newest ||
    newest.by.id !== entryId ||
    stand.ruling !== newest ||
    newest.result !== 'caution'
  )
    return app.note(entry, `Only the newest reading of ${gate} can be accepted, and only where it is a caution.`);
  const readings = [...stand.readings.slice(0, -1), { ...newest, acceptedBy: entry.id }];
  put(app, row, entry.subject.id, standOf(readings, null));
}

/** A signature moves no gate; one by somebody who may not sign is none. */
export function signedUnder(app: Applied, entry: Entry): void {
  if (!isElectrician(entry, app.dayOf(entry)))
    app.note(entry, 'A signature is given by an electrician with a valid licence.');
}

/** What a waiver says. */
interface Waiving {
  readonly gate: GateId;
  /** The fail that it names; null: the gate was never tested. */
  readonly entryId: string | null;
  readonly reviewDays: number;
}

export function waived(app: Applied, entry: Entry, { gate, entryId, reviewDays }: Waiving): void {
  const row = gateRow(gate);
  const object = entry.subject.id;
  const day = app.dayOf(entry);
  const role = entry.role === 'electrician' && !isElectrician(entry, day) ? 'helper' : entry.role;
  const { waived: stands, why } = judgeWaiver(row, role, entry.reason ?? '', reviewDays);
  if (!stands) return app.note(entry, why);
  const { readings } = app.moment.stand(gate, object);
  const newest = readings.at(-1);
  const fits = entryId === null ? readings.length === 0 : newest?.by.id === entryId && newest.result === 'fail';
  if (row.scope !== entry.subject.scope || !fits)
    return app.note(entry, `A waiver names the newest fail of ${gate}, or a gate that was never tested.`);
  const untilDay = daysLater(day, reviewDays);
  if (newest && untilDay < app.dayOf(newest.by))
    return app.note(
      entry,
      `It held until ${untilDay}, before the fail that it names: the clock of its device stood wrong.`,
    );
  const open = row.cascade && openBeneath(app, row, object) !== null;
  const broken = open ? 'its needs were not closed' : changedSince(app, entry.release, gate, object);
  const waiver = { by: entry.id, of: entryId, made: entry.release, untilDay, broken };
  put(app, row, object, standOf(readings, waiver));
}

export function corrected(app: Applied, entry: Entry, corrects: string): void {
  const target = app.known.entries.get(corrects);
  if (!target) return app.note(entry, 'The entry to correct is not on record here.');
  const trouble = correctionTrouble(entry, target, app.dayOf(entry));
  if (trouble) return app.note(entry, trouble);
  if (STEP.is(entry) && STEP.is(target)) return correctStep(app, entry, target);
  for (const gate of gatesOf(entry)) {
    const why = correctReading(app, entry, target, gate);
    if (why) app.note(entry, why);
  }
}

/** Puts a correction in the place of a reading: it refreshes no stale proof and overtakes no later reading. */
function correctReading(app: Applied, entry: Entry, target: Entry, gate: GateId): string | null {
  const row = gateRow(gate);
  const object = entry.subject.id;
  const { readings } = app.moment.stand(gate, object);
  const at = readings.findIndex((r) => r.by.id === target.id);
  const old = readings[at];
  if (!old)
    return readings.some((r) => r.place.id === target.id)
      ? 'That entry has been corrected already: correct the newer one.'
      : null;
  const measured = GATE.is(entry) && byMeasurement(gate, entry.values.result);
  if (measured) return measured;
  const said = app.said(entry, old.place, gate);
  const raises = worse(old.result, said) === old.result && old.result !== said;
  const day = app.dayOf(entry);
  if (raises && !signs(row, entry, day)) return whyNot(row, entry, day);
  const next = { ...old, by: entry, result: said, acceptedBy: null, signed: raises || old.signed };
  put(app, row, object, standOf([...readings.slice(0, at), next, ...readings.slice(at + 1)], null));
  return null;
}
