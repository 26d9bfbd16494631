import type { Judged } from '../../kernel/judgement';
import { requirePositive } from '../../kernel/require';
import { within } from '../../kernel/rounding';

/** How much of their approved capacity anchors use in pull and shear together. Capacities come from the approval, never from here. */
export interface AnchorUse {
  readonly tension: number;
  readonly shear: number;
  /** β_N + β_V, at most 1.2: the simple line of EN 1992-4 and of ACI 318. */
  readonly sum: number;
  /** β_N^1.5 + β_V^1.5: EN 1992-4, 7.2.3. It decides. */
  readonly power15: number;
  /** β_N^(5/3) + β_V^(5/3): ACI 318-19, 17.8. */
  readonly power53: number;
  readonly sumHolds: boolean;
  readonly power15Holds: boolean;
  readonly verdict: Judged;
  /** A bracket that bends adds to the pull, which no stiff plate shows: said from here on. */
  readonly askAboutPrying: boolean;
}

const SUM_MOST = 1.2;
/** Of the decided curve: up to here it holds (common practice). */
const ANCHOR_GOOD = 0.8;
const PRYING_FROM = 0.7;

/**
 * Use of an anchor: β_N = N/N_Rd, β_V = V/V_Rd, and both together by the three curves in use (EN 1992-4 7.2.3 and ACI 318-19 17.8; recalled). The 1.5
 * power decides: ≤ 0.8 holds, ≤ 1 is tight. Loads and capacities of one kind: both design, or both recommended. Throws RangeError on a
 * capacity not above 0: without an approval there is no verdict.
 */
export function anchorUse(q: {
  readonly tensionN: number;
  readonly tensionCapacityN: number;
  readonly shearN: number;
  readonly shearCapacityN: number;
}): AnchorUse {
  requirePositive(q, 'tensionCapacityN', 'shearCapacityN');
  const tension = Math.max(0, q.tensionN) / q.tensionCapacityN;
  const shear = Math.abs(q.shearN) / q.shearCapacityN;
  const power15 = tension ** 1.5 + shear ** 1.5;
  const single = within(tension, 1) && within(shear, 1);
  const power15Holds = single && within(power15, 1);
  return {
    tension,
    shear,
    sum: tension + shear,
    power15,
    power53: tension ** (5 / 3) + shear ** (5 / 3),
    sumHolds: single && within(tension + shear, SUM_MOST),
    power15Holds,
    verdict: !power15Holds ? 'stop' : within(power15, ANCHOR_GOOD) ? 'holds' : 'tight',
    askAboutPrying: tension > PRYING_FROM,
  };
}
