import type { RunResult } from './results';
import { lugOf } from './results';

/** What to ask for where the palm of a lug is not known: the table's own reason first. */
export const palmMissing = (r: RunResult): readonly string[] =>
  r.lug.missing.length ? r.lug.missing : ['palm width and thickness from the lug sheet'];

/** Width of one palm, mm; null while the lug or its sheet does not say. */
export const palmWidthMm = (r: RunResult): number | null => lugOf(r)?.palmWidthMm ?? null;

/** Palms that lie on one stud together, 1 or 2: more cables than two need a bar. Common practice. */
export const palmsStacked = (r: RunResult): number => Math.min(r.run.parallel, 2);
