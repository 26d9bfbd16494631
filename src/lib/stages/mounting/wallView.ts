import type { SiteDesign } from '$core/design';
import { applyEdit } from '$core/design';
import type { Check } from '$core/kernel/check';
import { worstCheck } from '$core/kernel/check';
import { Memo } from '$core/kernel/memo';
import { assessMounting } from '$core/mounting/assess';
import type { Hung, Wall } from '$core/mounting/part';
import type { HungUnit } from '$core/mounting/results';
import { mountingResults } from '$core/mounting/results';
import { homeRunLengths } from '$core/strings/homeRun';

/** A step of the arrow keys and of the pointer, mm; with Shift a fine one. */
export const STEP_MM = 50;
export const FINE_MM = 10;

/** A place on the grid of a step, inside the wall. */
export function snapped(
  wall: Wall,
  unit: HungUnit,
  xMm: number,
  yMm: number,
  stepMm: number,
): Pick<Hung, 'xMm' | 'yMm'> {
  const size = unit.size.value;
  const within = (at: number, most: number) =>
    Math.max(0, Math.min(Math.floor(most / stepMm) * stepMm, Math.round(at / stepMm) * stepMm));
  return {
    xMm: within(xMm, wall.widthMm - (size?.widthMm ?? 0)),
    yMm: within(yMm, wall.heightMm - (size?.heightMm ?? 0)),
  };
}

const KEY_STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
/** Where an arrow key sends a unit; null for other keys. */
export function keyStep(key: string, fine: boolean): readonly [number, number] | null {
  const step = KEY_STEPS[key];
  const mm = fine ? FINE_MM : STEP_MM;
  return step ? [step[0] * mm, step[1] * mm] : null;
}

/** What a unit would be like at another place, before it is let go. */
export interface Preview {
  readonly design: SiteDesign;
  readonly checks: readonly Check[];
  /** Home runs of the unit, m, now and there; null where they are not reckoned from places. */
  readonly homeRunsM: { readonly from: number; readonly to: number } | null;
}

export function previewOf(design: SiteDesign, place: Hung): Preview {
  const there = applyEdit(design, { kind: 'hang', places: [place] });
  const checks = assessMounting(there, mountingResults(there), new Memo()).flat();
  const own = new Set(design.strings.flatMap((s) => (s.place?.inverterId === place.inverterId ? [s.id] : [])));
  const sum = (d: SiteDesign) =>
    [...homeRunLengths(d)].reduce((total, [id, m]) => total + (own.has(id) ? (m ?? 0) : 0), 0);
  const [from, to] = [sum(design), sum(there)];
  return { design: there, checks, homeRunsM: from === to ? null : { from, to } };
}

/** The worst of a unit's checks on its wall. */
export const verdictAt = (checks: readonly Check[], inverterId: string) =>
  worstCheck(checks.filter((c) => c.subject.id === inverterId));
