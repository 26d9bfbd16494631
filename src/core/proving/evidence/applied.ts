import type { Entry } from '../entry';
import type { GateId, GateKey, GateRow } from '../gates/machine';
import type { GateNet, Needs } from '../gates/net';
import type { Result } from '../kind';
import type { EntryIndex } from './entries';
import type { Release } from './log';
import type { Moment } from './state';
import type { Times } from './times';
import type { Verdicts } from './verdicts';

/** What the whole replay knows, whatever order it tries. */
export interface Known {
  readonly releases: readonly Release[];
  readonly verdicts: Verdicts;
  readonly entries: EntryIndex;
  readonly times: Times;
  /** Null: the survey names no time zone, and nobody can say when a day ends. */
  readonly zone: string | null;
  /** Gates that may lapse at a midnight, by its moment, ms. */
  readonly lapsing: ReadonlyMap<number, Iterable<GateKey>>;
  /** Why entries do not count, by their id: one that does not in any order is named. */
  readonly notes: Map<string, string>;
}

/** One state while it is moved on by one item: what the sentences of the record's rules act on. */
export interface Applied {
  readonly known: Known;
  readonly moment: Moment;
  /** Who waits for whom by the newest release so far. */
  readonly net: GateNet;
  readonly newest: Release | undefined;
  readonly closed: (gate: GateId, object: string) => boolean;
  readonly needs: (row: GateRow, object: string) => Needs;
  /** The later of the site's days on which an entry may have been made. */
  readonly dayOf: (entry: Entry) => string;
  /** Why an entry does not count. */
  readonly note: (entry: Entry, why: string) => void;
  /** The worst that an entry says of a gate by its own release and the newest so far. `place` lends it its time. */
  readonly said: (entry: Entry, place: Entry, gate: GateId) => Result;
  readonly read: (entry: Entry, gate: GateId, result: Result) => void;
}
