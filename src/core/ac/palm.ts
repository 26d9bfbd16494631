import type { RunResult } from './results';

/** What to ask for where the palm of a lug is not known: the table's own reason first. */
export const palmMissing = (r: RunResult): readonly string[] =>
  r.lug.missing.length ? r.lug.missing : ['palm width and thickness from the lug sheet'];

/** Width of one palm, mm; null while the lug or its sheet does not say. */
export const palmWidthMm = (r: RunResult): number | null => r.lug.value?.palmWidthMm ?? null;

/** Palms that lie on one stud together, one a cable: how many are allowed is a rule of its own. */
export const palmsStacked = (r: RunResult): number | null => r.run.parallel;
