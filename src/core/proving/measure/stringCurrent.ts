import type { ModuleType } from '../../equipment/moduleType';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { Judged } from '../../kernel/judgement';
import { median } from '../../kernel/statistics';
import { shortCircuitA } from '../../strings/moduleAt';
import { SISTERS_MIN } from '../sisters';

export interface CurrentTest {
  readonly currentA: number;
  readonly irradianceStartWm2: number;
  readonly irradianceEndWm2: number;
  readonly cellC: number;
  /** Currents of like strings within ten minutes, A. */
  readonly sistersA: readonly number[];
}
export interface CurrentVerdict {
  readonly verdict: Judged;
  readonly expectedA: number;
  readonly offPercent: number;
  readonly text: string;
}

/** Light and its steadiness for a current to say anything, and bands in per cent (IEC 62446-1, 6.6 for 5 % of sisters, recalled; rest common practice). */
const LEAST_WM2 = 200;
const GOOD_WM2 = 400;
const STEADY = 0.05;
const BANDS = { light: [10, 15], sisters: [5, 10] } as const;

const band = (off: number, [holds, tight]: readonly [number, number]): Judged =>
  Math.abs(off) > tight ? 'stop' : Math.abs(off) > holds ? 'tight' : 'holds';

/** A string's current against the light it stood in, I_exp = I_sc·G/1000·(1 + α(T_c − 25)), and against its sisters: the worse counts. */
export function stringCurrent(module: ModuleType, t: CurrentTest): Answer<CurrentVerdict> {
  const { irradianceStartWm2: from, irradianceEndWm2: to } = t;
  if (from < LEAST_WM2) return lacking(`light of at least ${LEAST_WM2} W/m²`);
  if (Math.abs(to - from) > STEADY * from) return lacking('light that keeps within 5 % from start to end');
  const expectedA = shortCircuitA(module, t.cellC, from);
  const offPercent = 100 * (t.currentA / expectedA - 1);
  const byLight = band(offPercent, BANDS.light);
  const dim: Judged = byLight === 'holds' && from < GOOD_WM2 ? 'tight' : byLight;
  if (t.sistersA.length < SISTERS_MIN)
    return known({ verdict: dim, expectedA, offPercent, text: `no sisters: against the light alone` });
  const reference = median(t.sistersA);
  const bySisters = band(100 * (t.currentA / reference - 1), BANDS.sisters);
  const worse = [dim, bySisters].includes('stop') ? 'stop' : [dim, bySisters].includes('tight') ? 'tight' : 'holds';
  return known({
    verdict: worse,
    expectedA,
    offPercent,
    text: `median of ${t.sistersA.length} sisters ${reference.toFixed(2)} A`,
  });
}
