import type { Entry } from './entry';
import { trueMs } from './entry';
import { signs } from './evidence/people';
import type { GateId } from './gates/machine';
import { gateRow } from './gates/machine';
import { worse } from './judging';
import type { About, Judgement, Result } from './kind';
import { GATE } from './kinds/gate';
import { HAPPENING } from './kinds/happening';
import { happeningNamed, makesStale } from './tables/happenings';

/** Gates that are read in several parts, each of them an entry: the last closes the gate, where every other part stands. */

/** Parts of one thing that is measured in several entries are read within this of each other, ms: a working day (common practice). */
const PARTS_WITHIN_MS = 12 * 3_600_000;

/** Entries of a kind within a working day up to one, itself among them, in the order of the work. */
export const before = <V>({ atMs, beside }: About<V>, kind: string): readonly Entry[] =>
  beside.near(kind, atMs, PARTS_WITHIN_MS, 0);

/** A part of what a gate asks for, with everything on record of it and about it. */
export interface Part<E extends Entry> {
  readonly gate: GateId;
  /** Readings of this part, oldest first. */
  readonly readings: readonly E[];
  /** Parts of the site at which something may have happened to it. */
  readonly at: readonly string[];
  /** What else takes from a reading before it. */
  readonly takes: readonly Entry[];
  /** What a reading says of the gate. */
  readonly judged: (reading: E) => Result;
}

/**
 * What the newest reading of a part by somebody who may sign it says; null where nothing proves it, or something took that since: it happened to the
 * part, the gate was failed by hand, a reading by whoever did not come out well.
 */
export function resultOfPart<V, E extends Entry>(about: About<V>, part: Part<E>): Result {
  const row = gateRow(part.gate);
  const newest = part.readings.findLast((r) => signs(row, r, about.day));
  const says = newest ? part.judged(newest) : null;
  if (!newest || !proves(says)) return null;
  const took = [
    ...before(about, HAPPENING.kind).filter(
      (e) => HAPPENING.is(e) && part.at.includes(e.subject.id) && makesStale(happeningNamed(e.values.what), row),
    ),
    ...before(about, GATE.kind).filter(
      (e) =>
        GATE.is(e) && e.values.gate === part.gate && e.values.result === 'fail' && e.subject.id === about.subject.id,
    ),
    ...part.readings.filter((r) => !proves(part.judged(r))),
    ...part.takes,
  ];
  return took.some((e) => trueMs(e) >= trueMs(newest)) ? null : says;
}

const proves = (result: Result): boolean => result === 'pass' || result === 'caution';

/** What a reading says together with the other parts of its gate: the worst of them all. */
export const withParts = (own: Judgement, others: readonly Result[]): Judgement => ({
  checks: own.checks,
  says: own.says.map((s) => ({ ...s, result: others.reduce(worse, s.result) })),
});
