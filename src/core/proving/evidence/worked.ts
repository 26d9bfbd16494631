import { dayEndMs } from '../../kernel/siteDay';
import type { Entry, Scope } from '../entry';
import type { Known } from './applied';
import { EntryIndex } from './entries';
import type { Lapses } from './lapses';
import { bothLapses, lapsesOf } from './lapses';
import type { Release, SiteLog } from './log';
import { Neighbours } from './neighbours';
import type { UnitsOf } from './ordering';
import type { Spacing } from './replay';
import { Replay } from './replay';
import { Times } from './times';
import type { Memory } from './verdicts';
import { Verdicts, blankMemory } from './verdicts';

/** A log worked through up to a moment, with what a longer log can be worked through from. */
export interface Worked {
  readonly log: SiteLog;
  readonly nowMs: number;
  /** The end of the site's day, ms: until then nothing lapses. */
  readonly untilMs: number;
  /** Entries once each, in the order in which they came. */
  readonly entries: readonly Entry[];
  readonly zone: string | null;
  readonly known: Known;
  readonly verdicts: Verdicts;
  readonly replay: Replay;
  /** Of the replay itself, and of the log it was begun from. */
  readonly kept: {
    readonly neighbours: Neighbours;
    readonly memory: Memory;
    readonly lapses: Lapses;
    readonly unitsOf: UnitsOf;
  };
}

/** Works a log through. `was`: an earlier state of it, from which only what is new is worked through where that is enough. */
export function workedThrough(log: SiteLog, nowMs: number, was: Worked | null, spacing?: Spacing): Worked {
  return (was && workedOn(was, log, nowMs)) ?? workedAnew(log, nowMs, was, spacing);
}

const zoneOf = (log: SiteLog): string | null => log.releases.at(-1)?.design.survey.timeZone ?? null;

function workedAnew(log: SiteLog, nowMs: number, was: Worked | null, spacing: Spacing | undefined): Worked {
  const byId = EntryIndex.of(log.entries);
  const entries = byId.values();
  const zone = zoneOf(log);
  const times = new Times(zone ?? 'UTC');
  const memory = was && was.zone === zone ? was.kept.memory : blankMemory();
  const neighbours = new Neighbours(entries, byId, times);
  const verdicts = new Verdicts(neighbours, times, memory);
  const lapses = lapsesOf(entries, log.releases, times.zone, nowMs);
  const unitsOf = unitsIn(log.releases);
  const known = { releases: log.releases, verdicts, entries: byId, times, zone, lapsing: lapses, notes: new Map() };
  const replay = Replay.whole(known, entries, [...lapses.keys()], unitsOf, spacing);
  const untilMs = dayEndMs(nowMs, times.zone);
  return {
    log,
    nowMs,
    untilMs,
    entries,
    zone,
    known,
    verdicts,
    replay,
    kept: { neighbours, memory, lapses, unitsOf },
  };
}

/** Only what is new; null where more has to be looked at: another release, a clock that went back, an entry that was there already. */
function workedOn(was: Worked, log: SiteLog, nowMs: number): Worked | null {
  const added = addedTo(was.log, log);
  if (!added || nowMs < was.nowMs) return null;
  const byId = was.known.entries.with(added);
  if (!byId) return null;
  const entries = added.length ? [...was.entries, ...added] : was.entries;
  const { times, zone } = was.known;
  const neighbours = was.kept.neighbours.with(added, entries, byId);
  const verdicts = was.verdicts.among(neighbours);
  const lapses =
    nowMs < was.untilMs
      ? bothLapses(was.kept.lapses, lapsesOf(added, log.releases, times.zone, nowMs))
      : lapsesOf(entries, log.releases, times.zone, nowMs);
  const known = { ...was.known, verdicts, entries: byId, lapsing: lapses, notes: new Map(was.known.notes) };
  const ticksMs = [...lapses].filter(([ms, keys]) => was.kept.lapses.get(ms)?.size !== keys.size).map(([ms]) => ms);
  const changed = verdicts.changedBy(added, was.verdicts, log.releases);
  const replay = was.replay.resumed(known, { entries: added, ticksMs, changed });
  const untilMs = dayEndMs(nowMs, times.zone);
  const kept = { ...was.kept, neighbours, lapses };
  return { log, nowMs, untilMs, entries, zone, known, verdicts, replay, kept };
}

/** What a log has more than an earlier one; null where it is not the earlier one with something added. */
function addedTo(was: SiteLog, log: SiteLog): readonly Entry[] | null {
  const sameReleases =
    was.releases.length === log.releases.length && was.releases.every((r, i) => r === log.releases[i]);
  const longer = was.entries.every((e, i) => e === log.entries[i]);
  return sameReleases && longer ? log.entries.slice(was.entries.length) : null;
}

/** Every unit at which a part ever hung: what an entry there can touch. */
function unitsIn(releases: readonly Release[]): UnitsOf {
  const hung = new Map<string, Set<string>>();
  for (const { design } of releases)
    for (const s of design.strings)
      if (s.place) {
        const units = hung.get(s.id) ?? new Set<string>();
        hung.set(s.id, units.add(s.place.inverterId));
      }
  const known = new Map([...hung].map(([id, units]) => [id, [...units]]));
  return (scope: Scope, id: string) => (scope === 'inverter' ? [id] : (known.get(id) ?? [`alone ${id}`]));
}
