import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { AcReading } from '../../readings/acReading';

/** Voltages at a unit, with the window of its sheet. */
export interface AcAtUnit extends AcReading {
  readonly unitName: string;
  readonly unitMinV: number | null;
  readonly unitMaxV: number | null;
}

/** Line voltages at rest inside the window that the unit's own sheet prints, V. */
export const UNIT_WINDOW = rule<AcAtUnit>()({
  id: 'proving.unit-window',
  title: 'AC voltages inside the unit’s own window',
  unit: 'V',
  basis: dataSheet('grid voltage window'),
  reads: 'AC voltage',
  needs: {
    minV: { as: 'lower end of the unit’s grid window', of: (r) => r.unitMinV },
    maxV: { as: 'upper end of the unit’s grid window', of: (r) => r.unitMaxV },
  },
  judge: ({ minV, maxV }, { lineV, unitName }) => {
    const worst = lineV.reduce((a, b) => (Math.min(maxV - b, b - minV) < Math.min(maxV - a, a - minV) ? b : a));
    const inHand = Math.min(maxV - worst, worst - minV);
    return found(
      inHand >= 0 ? 'holds' : 'stop',
      () => [`${lineV.map((v) => fixed(v, 1)).join(' / ')} V; ${unitName} takes ${minV} to ${maxV} V`],
      { value: worst, limit: maxV - worst < worst - minV ? maxV : minV, margin: (100 * inHand) / maxV },
    );
  },
});
