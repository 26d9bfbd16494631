import { requirePositive, requireWithin } from '../../kernel/require';

/** Permissible deviation of a setting tool: 6 % where its scale ends at 10 N·m, else 4 % (ISO 6789-1; recalled). */
const deviationOf = (toolMaxNm: number): number => (toolMaxNm <= 10 ? 0.06 : 0.04);
/** No tool is used under this share of its scale (ISO 6789-1; recalled). */
const LEAST_SHARE = 0.2;

export interface ToolFit {
  readonly targetNm: number;
  readonly usableFromNm: number;
  readonly inRange: boolean;
  /** What the joint may get with the tool's deviation. */
  readonly fromNm: number;
  readonly toNm: number;
  /** All of it lies within the window. */
  readonly inside: boolean;
}

/**
 * Whether a torque tool serves a window: set to its middle, from the larger of its least mark and a fifth of its scale, and the whole band of its
 * deviation inside the window. Throws RangeError on windows and scales that are upside down.
 */
export function toolFit(q: {
  readonly leastNm: number;
  readonly mostNm: number;
  readonly toolMinNm: number;
  readonly toolMaxNm: number;
  /** Of its certificate, where it is known; else what the standard allows. */
  readonly deviation?: number;
}): ToolFit {
  requirePositive(q, 'leastNm', 'toolMaxNm');
  requireWithin('mostNm', q.mostNm, q.leastNm, 1000, 'N·m');
  requireWithin('toolMinNm', q.toolMinNm, 0, q.toolMaxNm, 'N·m');
  const deviation = q.deviation ?? deviationOf(q.toolMaxNm);
  requireWithin('deviation', deviation, 0, 0.5);
  const targetNm = (q.leastNm + q.mostNm) / 2;
  const usableFromNm = Math.max(q.toolMinNm, LEAST_SHARE * q.toolMaxNm);
  const [fromNm, toNm] = [targetNm * (1 - deviation), targetNm * (1 + deviation)];
  return {
    targetNm,
    usableFromNm,
    inRange: targetNm >= usableFromNm && targetNm <= q.toolMaxNm,
    fromNm,
    toNm,
    inside: fromNm >= q.leastNm && toNm <= q.mostNm,
  };
}

/** What a wrench with an extension is set to, N·m: T·L/(L + E), L from grip to square, E the extension in line with it, mm. */
export function extendedSettingNm(torqueNm: number, lengthMm: number, extensionMm: number): number {
  requirePositive({ torqueNm, lengthMm }, 'torqueNm', 'lengthMm');
  requireWithin('extensionMm', extensionMm, 0, 2000, 'mm');
  return (torqueNm * lengthMm) / (lengthMm + extensionMm);
}
