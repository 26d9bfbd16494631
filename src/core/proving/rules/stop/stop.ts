import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { PRODUCES_FROM } from '../../producing';

export interface StopReading {
  readonly secondsToZero: number;
  readonly statedS: number;
  readonly leftPercent: number;
  readonly restarted: boolean;
  readonly waitedAgainS: number;
  /** Delay of the grid code after a reset; null while the code is unknown. */
  readonly delayS: number | null;
}

/** Stop under power: down within the stated time, staying down until reset, and waiting the full delay after it. */
export const STOP_TEST = rule<StopReading>()({
  id: 'proving.stop',
  title: 'Stop takes the power away and keeps it away',
  unit: 's',
  basis: practice('under 1 % of the rating within the stated time; no restart before reset; full delay after it'),
  reads: 'time',
  needs: { delayS: { as: 'waiting time of the grid code', of: (r) => r.delayS } },
  judge: ({ delayS }, { secondsToZero, statedS, leftPercent, restarted, waitedAgainS }) => {
    const j = atMost({
      value: secondsToZero,
      limit: statedS,
      working: () => [`${fixed(leftPercent, 2)} % of the rating left after ${secondsToZero} s of ${statedS} s`],
    });
    const broken = [
      ...(leftPercent < 100 * PRODUCES_FROM ? [] : ['power is left: the stop does not stop']),
      ...(restarted ? ['it came back before the reset'] : []),
      ...(waitedAgainS >= delayS ? [] : [`it waited ${waitedAgainS} s after the reset, not ${delayS} s`]),
    ];
    return broken.length ? withVerdict(j, 'stop', () => broken) : j;
  },
});
