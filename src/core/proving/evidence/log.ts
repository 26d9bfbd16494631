import type { SiteDesign } from '../../design';
import type { Entry } from '../entry';

/** A design frozen under a letter, from a moment on. */
export interface Release {
  readonly letter: string;
  /** By the server's clock, ms since 1970. */
  readonly atMs: number;
  readonly design: SiteDesign;
}

/** The record of one site: what was released, and what was entered. In whatever order it arrived. */
export interface SiteLog {
  /** Oldest first. */
  readonly releases: readonly Release[];
  readonly entries: readonly Entry[];
}

/** What somebody has of a record, in the order in which it is told: how much, and the last of it where that is said. */
export interface KnownPart {
  readonly entries: number;
  readonly releases: number;
  readonly lastEntry?: string | undefined;
  readonly lastReleaseMs?: number | undefined;
}

/** Whether a record begins with what somebody has of it: as long at least, with the same at its end. Else it is another: its database was put back. */
export const beginsWith = ({ entries, releases }: SiteLog, known: KnownPart): boolean =>
  known.entries <= entries.length &&
  known.releases <= releases.length &&
  (known.lastEntry === undefined || known.lastEntry === entries[known.entries - 1]?.id) &&
  (known.lastReleaseMs === undefined || known.lastReleaseMs === releases[known.releases - 1]?.atMs);
