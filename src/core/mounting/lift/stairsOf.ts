import type { InverterType } from '../../equipment/inverterType';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { stairShares } from './handles';

/** Two carriers on stairs, the unit turned the better way. */
export interface StairCarry {
  readonly upperKg: number;
  readonly lowerKg: number;
  readonly worstKg: number;
  /** The end of the unit that goes ahead, uphill. */
  readonly ahead: 'left' | 'right';
}

/**
 * What the two carriers of a unit hold on stairs: one at each end, by the outer handles, the end that spares the worse of them ahead. The
 * centre of gravity counts as high over the line of the handles as it lies above the lowest of them.
 */
export function stairsOf({ massKg, body, name }: InverterType, slopeDeg: number): Answer<StairCarry> {
  const { handles, centreXMm, centreYMm } = body;
  const missing = [
    ...(massKg === null ? [`mass of ${name}`] : []),
    ...(handles.length < 2 ? [`handles of ${name}`] : []),
    ...(centreXMm === null || centreYMm === null ? [`centre of gravity of ${name}`] : []),
  ];
  if (massKg === null || centreXMm === null || centreYMm === null || missing.length) return lacking(...missing);
  const xs = handles.map((h) => h.xMm);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  if (!(centreXMm >= left && centreXMm <= right)) return lacking(`handles on both sides of ${name}`);
  const aboveM = Math.max(0, centreYMm - Math.min(...handles.map((h) => h.yMm))) / 1000;
  const carry = (ahead: 'left' | 'right'): StairCarry => {
    const centreM = (ahead === 'right' ? centreXMm - left : right - centreXMm) / 1000;
    const shares = stairShares({ massKg, apartM: (right - left) / 1000, centreM, aboveM, slopeDeg });
    return { ...shares, worstKg: Math.max(shares.upperKg, shares.lowerKg), ahead };
  };
  const [a, b] = [carry('right'), carry('left')];
  return known(b.worstKg < a.worstKg ? b : a);
}
