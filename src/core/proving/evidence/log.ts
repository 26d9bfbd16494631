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
