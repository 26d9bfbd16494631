import { siteDay } from '../kernel/siteDay';
import { lineOf } from '../site/line';
import type { Entry } from './entry';
import type { Evidence } from './evidence';
import { standing } from './evidence/people';
import { gatesOf } from './evidence/said';
import { timeOf } from './evidence/times';
import type { GateId } from './gates/machine';
import { REASON_MIN, gateRow, rankOf } from './gates/machine';
import { kindOf } from './kinds';
import { STEP } from './kinds/step';
import { WORK } from './kinds/work';
import type { StepState } from './tables/energiseOrders';
import { SWITCHES, isOff } from './tables/energiseOrders';
import { waitsForDry, wetTrouble } from './weather';

/** Work on a gate that somebody has in hand. */
export interface InHand {
  readonly gate: GateId;
  readonly object: string;
  readonly by: string;
  readonly since: string;
}

/** Gates that an entry speaks of where it stands: those it reads or signs, or the one that is taken in hand. */
const speaksOf = (entry: Entry): readonly GateId[] => (WORK.is(entry) ? [entry.values.gate] : gatesOf(entry));
/** Gates whose work it is: with those that it can open, though it ends no work on them. */
const worksOn = (entry: Entry): readonly GateId[] => speaksOf(entry).concat(kindOf(entry).opens ?? []);

/**
 * Whether an entry puts down what somebody has in hand: by that person's own word or reading, or by whoever leads, with a reason: that nobody has hands
 * in there, and that the other was told (29 CFR 1910.147(e)(3), recalled).
 */
function putsDown(entry: Entry, by: string, day: string): boolean {
  if (entry.by === by) return true;
  const leads = standing(entry, day) >= rankOf('lead');
  return WORK.is(entry) && leads && (entry.reason ?? '').length >= REASON_MIN;
}

/** What is in hand now, beside one entry where it is only asked about: begun today, and not put down since. */
export function inHand(e: Evidence, but?: Entry): readonly InHand[] {
  const found = new Map<string, InHand>();
  const zone = e.zone ?? 'UTC';
  const isToday = (entry: Entry) => entry.id !== but?.id && siteDay(timeOf(entry)[0], zone) === e.today;
  // Few entries say that somebody begins: only what was done where they did so has to be looked at.
  const begun = new Set(e.entries.filter((x) => WORK.is(x) && isToday(x)).map((x) => x.subject.id));
  if (begun.size === 0) return [];
  const there = e.entries.filter((x) => begun.has(x.subject.id) && isToday(x));
  for (const entry of there.sort((a, b) => timeOf(a)[0] - timeOf(b)[0])) {
    for (const gate of speaksOf(entry)) {
      const key = `${gate}@${entry.subject.id}`;
      if (WORK.is(entry) && entry.values.doing === 'begins')
        found.set(key, { gate, object: entry.subject.id, by: entry.by, since: entry.doneAt });
      else {
        const held = found.get(key);
        if (held && putsDown(entry, held.by, e.today)) found.delete(key);
      }
    }
  }
  return [...found.values()];
}

/** Why a step of switching a unit on is not made now: somebody, whoever it is, has hands in it or in the earth of the site, or something would be switched in the wet. Null where it may be. */
export function notNow(unit: string, state: StepState, e: Evidence): string | null {
  const held = inHand(e).find((w) => [unit, 'site'].includes(w.object) && gateRow(w.gate).zone === 'hands');
  if (held) return `${held.by} has hands on ${held.gate}: nothing is switched on before it is put down`;
  return SWITCHES.has(state) ? wetTrouble(e) : null;
}

/** Why no hands begin on a part: it may be on, for the earth of the site any unit. Null where nothing is. */
function onBeneath(object: string, e: Evidence): string | null {
  const { inverters = [] } = e.newest?.design ?? {};
  const live = inverters.find(({ id }) => ['site', id].includes(object) && e.unit(id).run.live);
  return live
    ? `${live.tag} may be switched on: switch it off in its order and prove it dead before hands go in.`
    : null;
}

/** Why somebody does not put down what another has in hand; null where nobody else has it, or it may be. */
function notYours(entry: Entry, gate: GateId, e: Evidence): string | null {
  const held = inHand(e, entry).find((w) => w.gate === gate && w.object === entry.subject.id);
  return held && !putsDown(entry, held.by, e.today)
    ? `${held.by} has ${gate} in hand, and puts it down; for somebody who is gone a lead or an electrician does, with a reason of at least ${REASON_MIN} characters: that nobody has hands in there, and that ${held.by} was told.`
    : null;
}

/** What shows that something is bad is taken from anybody at any time: it makes nothing safer to leave it out. */
const isBadNews = (entry: Entry, e: Evidence): boolean => {
  const { says } = e.judgement(entry);
  return says.length > 0 && (says.some((s) => s.result === 'fail') || says.every((s) => s.result === null));
};

/**
 * Why work cannot begin, a reading cannot be taken or a step not be made beside what is in hand and in the weather: on one unit never hands and live at
 * once, nothing switched on over hands, no hands in what may be live, one person has one live gate, and nothing live or under an open cover in the
 * wet. Null where it can. Switching off always can. Only for work that is done now; what was done is a fact.
 */
export function zoneTrouble(entry: Entry, e: Evidence): string | null {
  if (STEP.is(entry)) {
    // A step put right switches nothing on, and never raises: it may say that something is on after all.
    const switchesOn = !isOff(entry.values.order) && entry.corrects === null;
    return switchesOn ? notNow(entry.subject.id, entry.values.state, e) : null;
  }
  if (WORK.is(entry) && entry.values.doing === 'ends') return notYours(entry, entry.values.gate, e);
  if (isBadNews(entry, e)) return null;
  // What is put right was done before, whatever the weather is now.
  const weather = entry.corrects === null && worksOn(entry).some(waitsForDry) ? wetTrouble(e) : null;
  if (weather) return `${weather}.`;
  const unit = unitOf(entry.subject.id, e);
  const held = inHand(e, entry);
  const others = held.filter((w) => w.by !== entry.by);
  for (const gate of worksOn(entry)) {
    const { zone } = gateRow(gate);
    const on = WORK.is(entry) && zone === 'hands' ? onBeneath(unit, e) : null;
    if (on) return on;
    const same = others.find((w) => w.gate === gate && w.object === entry.subject.id);
    if (same) return `${same.by} has ${gate} in hand.`;
    const clash = others.find((w) => unitOf(w.object, e) === unit && opposed(zone, gateRow(w.gate).zone));
    if (clash)
      return `${clash.by} works ${gateRow(clash.gate).zone} on ${clash.gate} of the same unit: never hands and live at once.`;
    const live =
      WORK.is(entry) && zone === 'live' && held.find((w) => w.by === entry.by && gateRow(w.gate).zone === 'live');
    if (live) return `${entry.by} has the live gate ${live.gate} in hand already: one person, one live gate.`;
  }
  return null;
}

const opposed = (a: string, b: string) => a !== b && a !== 'none' && b !== 'none';
const unitOf = (object: string, e: Evidence): string =>
  (e.newest && lineOf(e.newest.design).string(object)?.place?.inverterId) ?? object;
