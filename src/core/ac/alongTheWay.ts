import type { LaidCable } from '../conductor/laid';
import type { Ampacity, School } from '../conductor/school';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import { fixed } from '../kernel/quantity';
import type { AcRun } from './part';

/** A run as it lies along one piece of its way; the name is null for all that no piece of its own speaks of. */
interface Piece {
  readonly name: string | null;
  readonly cable: LaidCable;
}

/** How a run lies, piece by piece: the rest of the way first. */
function piecesOf(run: AcRun): readonly Piece[] {
  return [
    { name: null, cable: run },
    ...run.segments.map(({ name, lengthM: _, ...laid }) => ({ name, cable: { ...run, ...laid } })),
  ];
}

const on = (name: string | null, words: string) => (name === null ? words : `${words} on “${name}”`);

/** Share by which a tape and a plan may differ over one way (common practice). */
const TAPE = 0.01;

/** Pieces that are longer together than the way they are pieces of, in words: one of the two is wrong. */
function overlong({ segments }: AcRun, lengthM: number | null): readonly string[] {
  const piecesM = segments.reduce((sum, s) => sum + (s.lengthM ?? 0), 0);
  return lengthM === null || piecesM <= lengthM * (1 + TAPE)
    ? []
    : [`lengths of the pieces that fit the run: together ${fixed(piecesM, 1)} m of its ${fixed(lengthM, 1)} m`];
}

/**
 * Current a run may carry, A: the least of what it may carry along each piece of its way (IEC 60364-5-52, 523.8; NFPA 70, 310.14(A)(2),
 * recalled). No piece is left out for being short, though the codes allow it within a few metres: whether it may be is for the designer.
 * A piece of which something is not known leaves the whole unknown; so do pieces longer together than the run, of lengthM, m (null: not known).
 */
export function leastAmpacity(run: AcRun, school: School, lengthM: number | null): Answer<Ampacity> {
  if (run.segments.length === 0) return school.ampacity(run);
  const pieces = piecesOf(run).map(({ name, cable }) => ({ name, may: school.ampacity(cable) }));
  const missing = [
    ...pieces.flatMap(({ name, may }) => may.missing.map((words) => on(name, words))),
    ...overlong(run, lengthM),
  ];
  const answers = pieces.flatMap(({ name, may }) => (may.value === null ? [] : [{ name, ...may.value }]));
  const [first, ...others] = answers;
  if (missing.length || !first) return lacking(...new Set(missing));
  const least = others.reduce((a, b) => (b.izA < a.izA ? b : a), first);
  const place = (name: string | null) => (name === null ? 'the rest of the way' : `“${name}”`);
  return known({
    izA: least.izA,
    source: least.source,
    where: least.name,
    ...(least.reckonedAt && { reckonedAt: least.reckonedAt }),
    working: () => [
      ...least.working(),
      `${place(least.name)} rules: ${answers.map((p) => `${place(p.name)} ${fixed(p.izA, 1)} A`).join(', ')}`,
    ],
  });
}
