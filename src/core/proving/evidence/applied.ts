import type { Entry } from '../entry';
import type { GateId, GateRow, Needs } from '../gates/machine';
import type { Result } from '../kind';
import type { Release } from './log';
import type { Moment } from './state';

/** A state while an item is applied to it, as switching sees it. */
export interface Applied {
  readonly moment: Moment;
  readonly newest: Release | undefined;
  readonly closed: (gate: GateId, object: string) => boolean;
  readonly needs: (row: GateRow, object: string) => Needs;
  /** The later of the site's days on which an entry may have been made. */
  readonly dayOf: (entry: Entry) => string;
  /** Why an entry does not count. */
  readonly note: (entry: Entry, why: string) => void;
  readonly read: (entry: Entry, gate: GateId, result: Result) => void;
  /** The reading of the step on grid, in the place of the one it corrects. */
  readonly replaceOnGrid: (entry: Entry, target: Entry, result: Result) => void;
}
