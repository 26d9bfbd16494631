import { published } from '../../../kernel/check';
import { atLeast, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { RECEIVER_V } from '../../line/budget';
import { idleEnough } from '../../line/busBudget';
import type { ChainResult } from '../../results';

/** What is wanted over the receivers' 200 mV: 250 mV (common practice). */
const RESERVE_PERCENT = 25;

/** Voltage between D1 and D0 while nobody drives the pair, against what receivers read as silence. */
export const IDLE_BIAS = rule<ChainResult>()({
  id: 'links.idle-bias',
  title: 'Idle voltage at every unit',
  unit: 'mV',
  basis: published('TIA/EIA-485-A; Modbus over Serial Line V1.02, 3.4.6'),
  needs: {
    idle: { as: 'bias of the pair', answer: (c) => c.budget.idle },
    failSafe: {
      as: 'whether all receivers read an idle pair as mark',
      // Where the bias is enough, nobody needs to know.
      of: (c) => c.chain.line.failSafe ?? (idleEnough(c.budget) ? false : null),
    },
  },
  judge: ({ idle, failSafe }, { budget }) => {
    const biased = budget.bias.value !== 'none';
    const j = atLeast(
      {
        value: 1000 * Math.min(idle.nearV, idle.farV),
        limit: 1000 * RECEIVER_V,
        working: () => [
          biased
            ? `near ${fixed(1000 * idle.nearV, 0)} mV, far ${fixed(1000 * idle.farV, 0)} mV; all receivers counted at the far end`
            : 'nothing biases the pair',
        ],
      },
      RESERVE_PERCENT,
    );
    if (failSafe && !biased) return withVerdict(j, 'holds', () => ['all receivers read an idle pair as mark']);
    if (failSafe && j.verdict === 'stop')
      return withVerdict(j, 'tight', () => ['under 200 mV: only because all receivers read an idle pair as mark']);
    return j.verdict === 'stop'
      ? withVerdict(j, 'stop', () => [
          'in order: receivers that read an idle pair as mark; 450 Ω with 0.75 mm²; terminators with a capacitor',
        ])
      : j;
  },
});
