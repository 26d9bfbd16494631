import type { Check, Subject, Verdict } from '../kernel/check';
import { worstCheck, worstOf } from '../kernel/check';
import { uncertaintyOf } from '../equipment/instrument';
import { short } from '../kernel/quantity';
import { ask, plainCheck } from '../kernel/rule';
import type { StringOnLine, UnitOnLine } from '../site/line';
import { pathOf } from '../strings/onInput';
import type { Entry } from './entry';
import type { GateId } from './gates/machine';
import type { Judgement, Result } from './kind';
import { judgeGuarded } from './measure/guardBand';
import { PROVING_RULES } from './rules';

/** What kinds of record share when they judge: a verdict as a result, the instrument's own check, where a part stands on the line. */

const AS_RESULT: Readonly<Record<Verdict, Result>> = { holds: 'pass', tight: 'caution', stop: 'fail', unknown: null };

/** The worst of the checks as what it says of gates: an answer that lacks an input proves nothing. */
export const resultOf = (checks: readonly Check[]): Result => AS_RESULT[worstCheck(checks)];

/** The worse of two answers: a fail, then one that proves nothing, then a caution. */
const RANK: readonly Result[] = ['fail', null, 'caution', 'pass'];
export const worse = (a: Result, b: Result): Result => (RANK.indexOf(a) <= RANK.indexOf(b) ? a : b);

const AS_VERDICT = { pass: 'holds', caution: 'tight', fail: 'stop' } as const;

/** What an entry says as one verdict: the worst of its checks, else of what it says of gates; one that says nothing is `unknown`. */
export const verdictOf = ({ checks, says }: Judgement): Verdict =>
  checks.length ? worstCheck(checks) : worstOf(says.map((s) => (s.result ? AS_VERDICT[s.result] : 'unknown')));

/** A reading with the check of its instrument: all gates get the worst of it. */
export function measured(
  entry: Entry,
  day: string,
  gates: readonly GateId[],
  subject: Subject,
  checks: readonly Check[],
): Judgement {
  const all = guarded(checks, entry).concat(instrumentChecks(entry, day, subject));
  const result = resultOf(all);
  return { checks: all, says: gates.map((gate) => ({ gate, result })) };
}

/**
 * Checks of what an instrument read, softened by what it may err by: one that holds within U of its limit is tight. Past the limit stays past
 * it, and while the sheet of the instrument does not say how well it reads nothing is softened. A method's own reserve is wider, and stays.
 */
export function guarded(checks: readonly Check[], { instrument }: Entry): readonly Check[] {
  // Most sheets say nothing, and this runs for every reading of a site.
  if (!instrument?.ranges.some((r) => r.accuracyPercent !== null)) return checks;
  return checks.map((check) => {
    const { reads, verdict, value, limit } = check;
    if (reads === undefined || verdict !== 'holds' || value === null || limit === null) return check;
    const range = instrument.ranges.find((r) => r.of === reads);
    const u = uncertaintyOf(range, value);
    if (judgeGuarded(value, limit, value < limit ? 'most' : 'least', u) !== 'tight') return check;
    const working = [...check.working, `inside what the instrument may err by: ± ${short(u ?? 0)} ${check.unit}`];
    return { ...plainCheck(check), verdict: 'tight', working };
  });
}

/** A reading that may withdraw a gate and never closes it: it speaks of the gate where it fails. */
export function withdrawing(
  entry: Entry,
  day: string,
  gate: GateId,
  subject: Subject,
  checks: readonly Check[],
): Judgement {
  return {
    checks: guarded(checks, entry).concat(instrumentChecks(entry, day, subject)),
    says: worstCheck(checks) === 'stop' ? [{ gate, result: 'fail' }] : [],
  };
}

export function instrumentChecks({ instrument }: Entry, day: string, subject: Subject): Check[] {
  return instrument ? ask(PROVING_RULES.instrument, { instrument, day }, subject) : [];
}

/** A reading of something that the design does not know: stored, and no proof of anything. */
export const notThere = (gates: readonly GateId[]): Judgement => ({
  checks: [],
  says: gates.map((gate) => ({ gate, result: null })),
});

const SUBJECTS = new WeakMap<StringOnLine, Subject>();
/** A string as checks name it; said once for all its readings. */
export function onString(on: StringOnLine): Subject {
  const known = SUBJECTS.get(on);
  if (known) return known;
  const { string, place, unit } = on;
  const path = place && unit ? pathOf(unit, place, string.number) : `string ${string.number}`;
  const made: Subject = { element: 'string', path, id: string.id };
  SUBJECTS.set(on, made);
  return made;
}
export const onUnit = ({ unit }: Pick<UnitOnLine, 'unit'>, element: Subject['element'], what: string): Subject => ({
  element,
  path: `${unit.tag} / ${what}`,
  id: unit.id,
});
export const onSite = (element: Subject['element'], what: string): Subject => ({ element, path: what, id: 'site' });

/** The check of the light where it was read before the string; none where it was read with it. */
export function lightChecks(entry: Entry, lightAt: string | null, subject: Subject): Check[] {
  if (lightAt === null) return [];
  const ageMs = Date.parse(entry.doneAt) - Date.parse(lightAt);
  return ask(PROVING_RULES.light, { ageMs }, subject);
}
