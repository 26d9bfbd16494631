import { siteDay } from '../../kernel/siteDay';
import type { Entry } from '../entry';
import { trueMs, uncertaintyMs } from '../entry';

/** When an entry was made: its true time and how far that may lie off, ms, and the later of the days on which it can have been. */
export interface Made {
  readonly atMs: number;
  readonly uncertainMs: number;
  /** Where the clock leaves the day open the later one counts: calibrations, licences and permissions end. */
  readonly day: string;
}

export const timeOf = (entry: Pick<Entry, 'doneAt' | 'device'>): readonly [number, number] => [
  trueMs(entry),
  uncertaintyMs(entry),
];

/** Times of entries by the days of a site. It keeps the last answer: a replay asks of one entry several times running. */
export class Times {
  #entry: Entry | null = null;
  #made: Made = { atMs: Number.NaN, uncertainMs: 0, day: '' };

  constructor(readonly zone: string) {}

  of(entry: Entry): Made {
    return entry === this.#entry ? this.#made : this.tell(entry, ...timeOf(entry));
  }

  /** Keeps what somebody read off before, ms. */
  tell(entry: Entry, atMs: number, uncertainMs: number): Made {
    if (entry === this.#entry) return this.#made;
    this.#entry = entry;
    this.#made = { atMs, uncertainMs, day: siteDay(atMs + uncertainMs, this.zone) };
    return this.#made;
  }
}
