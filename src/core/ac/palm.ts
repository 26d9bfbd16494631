import type { RunResult } from './results';
import { lugOf } from './results';

/** What to ask for where the palm of a lug is not known: the table's own reason first. */
export const palmMissing = (r: RunResult): readonly string[] =>
  r.lug.missing.length ? r.lug.missing : ['palm width and thickness from the lug sheet'];

export const palmWidthMm = (r: RunResult): number | null => lugOf(r)?.palmWidthMm ?? null;

/** Palms that lie on one stud together. */
export const palmsStacked = (r: RunResult): number => Math.min(r.run.parallel, 2);
