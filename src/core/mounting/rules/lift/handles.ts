import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { HANDLE_MOST_KG } from '../../lift/handles';
import { sharesOf } from '../../lift/liftPlan';
import type { HungUnit } from '../../results';

/** The most that one handle may come to carry, kg, from where the centre of gravity is, against what one pair of hands should. */
export const HANDLES = rule<HungUnit>()({
  id: 'mounting.handles',
  title: 'Load on the worst handle',
  unit: 'kg',
  basis: practice('25 kg holds, 50 kg at most; statics of a stiff body'),
  needs: { shares: { as: 'mass, handles and centre of gravity of the unit', answer: (h) => sharesOf(h.type) } },
  judge: ({ shares }, { type }) => {
    const { sharesKg, worstKg, verdict } = shares;
    return found(
      verdict,
      () => [
        `${type.massKg} kg on ${sharesKg.length} handles: ${sharesKg.map((kg) => kg.toFixed(1)).join(', ')} kg`,
        `worst ${worstKg.toFixed(1)} kg, at most ${HANDLE_MOST_KG} kg${verdict === 'stop' ? ': more hands, a lift table or a hoist' : ''}`,
      ],
      { value: worstKg, limit: HANDLE_MOST_KG, margin: (100 * (HANDLE_MOST_KG - worstKg)) / HANDLE_MOST_KG },
    );
  },
});
