import { exactly } from '../../kernel/publishedTable';
import { cablesThroughWall } from '../gland';
import type { RunResult } from '../results';
import { STUD_HARDWARE } from '../tables/studHardware';
import { coloursOf, sleeveOf } from '../termination/terminationSheet';
import { CONDUCTORS } from '../wiring';
import { bendRadiusMm } from './bend';
import { studStackMm } from './studStack';

/** The AC bay of a unit to scale, in millimetres: from the left of the bay, and down from the axes of the studs. */

export interface BayConductor {
  readonly name: string;
  readonly colour: string;
  /** Axis of its stud. */
  readonly xMm: number;
  /** Where it comes through the wall: the entry, by its place in `entries`; one entry a set. */
  readonly entries: readonly number[];
}

/** One way through the wall, with the cable in it. */
export interface BayEntry {
  readonly xMm: number;
}

/** A part on a stud seen from the side, from the bar outwards. */
export interface StackPart {
  readonly name: string;
  readonly fromMm: number;
  readonly toMm: number;
}

export interface BayDrawing {
  readonly widthMm: number;
  readonly spacingMm: number;
  readonly conductors: readonly BayConductor[];
  readonly entries: readonly BayEntry[];
  readonly palm: { readonly widthMm: number; readonly thicknessMm: number | null } | null;
  readonly barrel: { readonly outerMm: number; readonly depthMm: number } | null;
  readonly sleeve: { readonly widthMm: number; readonly lengthMm: number } | null;
  /** Cables in parallel: so many palms lie on each stud, back to back. */
  readonly palms: number;
  readonly cableMm: number | null;
  readonly clamp: { readonly minMm: number; readonly maxMm: number } | null;
  readonly freeHeightMm: number | null;
  readonly bendRadiusMm: number | null;
  readonly stack: readonly StackPart[];
  readonly studLengthMm: number | null;
}

/** Room beside the outer studs, mm, where the sheet gives none. */
const MARGIN_MM = 8;

/** Names of the conductors that end at the studs, from the left, with their colours by the school. */
function named(r: RunResult): readonly { readonly name: string; readonly colour: string }[] {
  const colours = coloursOf(r);
  const split = (words: string) => {
    const [name = '', ...colour] = words.split(' ');
    return { name, colour: colour.join(' ') };
  };
  const neutral = CONDUCTORS[r.type.wiring] > 4 ? [colours.neutral] : [];
  return [...colours.lines, ...neutral, colours.earth].map(split);
}

/** Palms, washers and nut on a stud, from the bar outwards; empty while a thickness is not known. */
function stackOf({ lug, run, type: { bay } }: RunResult): readonly StackPart[] {
  const palmMm = lug.value?.palmThicknessMm ?? null;
  if (palmMm === null || run.parallel === null || studStackMm(bay.studM, palmMm, run.parallel) === undefined) return [];
  const of = (part: 'flat washer' | 'spring washer' | 'nut') =>
    [part, exactly(STUD_HARDWARE, bay.studM, part) ?? 0] as const;
  const parts = [
    ...Array.from({ length: run.parallel }, (_, i) => [`palm ${i + 1}`, palmMm] as const),
    of('flat washer'),
    of('spring washer'),
    of('nut'),
  ];
  let at = 0;
  return parts.map(([name, mm]) => ({ name, fromMm: at, toMm: (at += mm) }));
}

/** Null while the sheet gives no spacing of the studs: nothing is to scale without it. */
export function bayDrawing(r: RunResult): BayDrawing | null {
  const { run, lug, diameter, type, school } = r;
  const { bay } = type;
  const { studSpacingMm: spacingMm } = bay;
  if (spacingMm === null) return null;
  const conductors = named(r);
  const palmMm = lug.value?.palmWidthMm ?? null;
  const marginMm = Math.max(spacingMm, palmMm ?? 0) / 2 + MARGIN_MM;
  const widthMm = 2 * marginMm + spacingMm * (conductors.length - 1);
  const xOf = (i: number) => marginMm + spacingMm * i;
  const sets = run.parallel ?? 1;
  const singles = run.cores === '1-core';
  const through = cablesThroughWall(run, type.wiring) ?? sets;
  // Singles come up under their studs; cables share the width, a PE of its own last.
  const entries = singles
    ? conductors.flatMap((_, i) =>
        Array.from({ length: sets }, (_, k) => ({ xMm: xOf(i) + besideMm(k, sets, diameter.value?.nominalMm ?? 0) })),
      )
    : Array.from({ length: through }, (_, k) => ({ xMm: (widthMm * (k + 1)) / (through + 1) }));
  const ownPe = !singles && run.peInCable === false;
  const { barrelOuterMm, barrelDepthMm } = lug.value ?? { barrelOuterMm: null, barrelDepthMm: null };
  const sleeve = sleeveOf(r);
  const bendMm = singles ? diameter.value?.nominalMm : diameter.value?.coreMm;
  const clamps = bay.glandClampMinMm !== null && bay.glandClampMaxMm !== null;
  return {
    widthMm,
    spacingMm,
    conductors: conductors.map(({ name, colour }, i) => ({
      name,
      colour,
      xMm: xOf(i),
      entries: singles
        ? Array.from({ length: sets }, (_, k) => i * sets + k)
        : ownPe && i === conductors.length - 1
          ? [through - 1]
          : Array.from({ length: sets }, (_, k) => k),
    })),
    entries,
    palm: palmMm === null ? null : { widthMm: palmMm, thicknessMm: lug.value?.palmThicknessMm ?? null },
    barrel:
      barrelOuterMm === null || barrelDepthMm === null ? null : { outerMm: barrelOuterMm, depthMm: barrelDepthMm },
    sleeve: sleeve && {
      widthMm: Math.max(barrelOuterMm ?? 0, diameter.value?.coreMm ?? 0) + 2,
      lengthMm: sleeve.cutMm * 0.9,
    },
    palms: sets,
    cableMm: diameter.value?.nominalMm ?? null,
    clamp: clamps ? { minMm: bay.glandClampMinMm ?? 0, maxMm: bay.glandClampMaxMm ?? 0 } : null,
    freeHeightMm: bay.freeHeightMm,
    bendRadiusMm: school.name === 'NEC' || bendMm === null || bendMm === undefined ? null : bendRadiusMm(bendMm),
    stack: stackOf(r),
    studLengthMm: bay.studLengthMm,
  };
}

/** How far the cables of one stud stand apart, side by side about its axis. */
const besideMm = (k: number, sets: number, cableMm: number): number => (k - (sets - 1) / 2) * cableMm;
