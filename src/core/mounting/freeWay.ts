import type { Judgement } from '../kernel/judgement';
import { atLeast, found } from '../kernel/judgement';

/** A way that is free beside something, with what is asked for it, mm. */
export interface FreeWay {
  readonly to: string;
  readonly freeMm: number;
  readonly askedMm: number;
}

/** The way that is shortest against what is asked for it; undefined without any. */
const tightest = (ways: readonly FreeWay[]): FreeWay | undefined =>
  ways.reduce<FreeWay | undefined>(
    (worst, w) => (worst && worst.freeMm - worst.askedMm <= w.freeMm - w.askedMm ? worst : w),
    undefined,
  );

/** Whether the tightest of the ways is as free as asked. Without any, or where nothing is asked, there is no margin to speak of. */
export function freeEnough(ways: readonly FreeWay[], nothing: string): Judgement {
  const way = tightest(ways);
  if (!way) return found('holds', () => [nothing]);
  const working = () => [`to ${way.to}: ${way.freeMm} mm free, ${way.askedMm} mm asked for`];
  const { freeMm: value, askedMm: limit } = way;
  return limit > 0
    ? atLeast({ value, limit, working })
    : found(value >= 0 ? 'holds' : 'stop', working, { value, limit });
}
