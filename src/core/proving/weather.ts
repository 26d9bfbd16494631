import type { Entry } from './entry';
import type { Evidence } from './evidence';
import { timeOf } from './evidence/times';
import type { GateId } from './gates/machine';
import { gateRow } from './gates/machine';
import { GATE } from './kinds/gate';
import { HAPPENING } from './kinds/happening';
import { happeningNamed } from './tables/happenings';

/**
 * In rain, condensing fog and over 95 % humidity there is no DC or live work, and covers stay shut; earth checks on dead metal may go on
 * (common practice). The record says nothing of it by itself: somebody has to, and what was proved stands.
 */

/** It is wet on site, by the newest that says so. */
export interface Wet {
  readonly by: string;
  readonly since: string;
  readonly seen: string;
  /** All that was said of it and stands: what somebody who says that it is dry ends. */
  readonly said: readonly string[];
}

/** Gates that are worked with the cover of a unit off, beside those that are worked live. */
const COVER_OFF: ReadonlySet<GateId> = new Set(['I-TORQ']);

/** Whether a gate is not worked while it is wet. */
export const waitsForDry = (gate: GateId): boolean => gateRow(gate).zone === 'live' || COVER_OFF.has(gate);

/**
 * Whether it is wet: somebody said so, whoever it was, and nobody said after that that it is dry, nor made the site safe anew, which reads
 * the weather too. After it is what names it, whatever the clocks say, and what came surely later by them.
 */
export function wet(e: Evidence): Wet | null {
  const said = e.entries.filter(HAPPENING.is).filter((x) => happeningNamed(x.values.what).weather === 'wet');
  if (said.length === 0) return null;
  const dry = e.entries.filter((x) => saysDry(x) && !e.notes.has(x.id));
  const stands = said.filter((w) => !dry.some((d) => knew(d, w) || surelyAfter(d, w)));
  const newest = stands.sort((a, b) => timeOf(a)[0] - timeOf(b)[0]).at(-1);
  return newest
    ? { by: newest.by, since: newest.doneAt, seen: newest.values.seen, said: stands.map((w) => w.id) }
    : null;
}

/** Why what waits for the weather waits; null where it is dry as far as anybody said. */
export function wetTrouble(e: Evidence): string | null {
  const now = wet(e);
  return (
    now &&
    `It is wet on site (${now.by}: ${now.seen}): no DC or live work, covers shut, until an electrician says that it is dry`
  );
}

const saysDry = (entry: Entry): boolean =>
  HAPPENING.is(entry)
    ? happeningNamed(entry.values.what).weather === 'dry'
    : // One put right stands in the place of an old one, and nobody looked up anew.
      GATE.is(entry) && entry.values.gate === 'S-SAFE' && entry.values.result === 'pass' && entry.corrects === null;

/** Whether whoever says that it is dry had it before them that it was wet. */
const knew = (dry: Entry, w: Entry): boolean => HAPPENING.is(dry) && (dry.values.ends?.includes(w.id) ?? false);

/** Whether one entry was made after another whatever their clocks leave open: by the sequence of one device, else by true times. */
function surelyAfter(late: Entry, early: Entry): boolean {
  if (late.device && early.device && late.device.id === early.device.id) return late.device.seq > early.device.seq;
  const [[a, ua], [b, ub]] = [timeOf(late), timeOf(early)];
  return a - ua > b + ub;
}
