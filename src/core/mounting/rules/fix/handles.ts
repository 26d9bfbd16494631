import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { HANDLE_MOST_KG, handleShares } from '../../lift/handles';
import type { HungUnit } from '../../results';

/** The most that one handle may come to carry, kg, from where the centre of gravity is, against what one pair of hands should. */
export const HANDLES = rule<HungUnit>()({
  id: 'mounting.handles',
  title: 'Load on the worst handle',
  unit: 'kg',
  basis: practice('25 kg holds, 50 kg at most; statics of a stiff body'),
  needs: {
    massKg: { as: 'mass of the unit', of: (h) => h.type.massKg, missing: (h) => [`mass of ${h.type.name}`] },
    handles: {
      as: 'handles of the unit',
      of: (h) => (h.type.body.handles.length ? h.type.body.handles : null),
      missing: (h) => [`handles of ${h.type.name}`],
    },
    centreXMm: {
      as: 'centre of gravity from the left',
      of: (h) => h.type.body.centreXMm,
      missing: (h) => [`centre of gravity of ${h.type.name}`],
    },
    centreYMm: {
      as: 'centre of gravity from below',
      of: (h) => h.type.body.centreYMm,
      missing: (h) => [`centre of gravity of ${h.type.name}`],
    },
  },
  judge: ({ massKg, handles, centreXMm, centreYMm }) => {
    const m = (p: { xMm: number; yMm: number }) => ({ xM: p.xMm / 1000, yM: p.yMm / 1000 });
    const { sharesKg, worstKg, verdict } = handleShares(massKg, handles.map(m), m({ xMm: centreXMm, yMm: centreYMm }));
    return found(
      verdict,
      () => [
        `${massKg} kg on ${handles.length} handles: ${sharesKg.map((kg) => kg.toFixed(1)).join(', ')} kg`,
        `worst ${worstKg.toFixed(1)} kg, at most ${HANDLE_MOST_KG} kg${verdict === 'stop' ? ': more hands, a lift table or a hoist' : ''}`,
      ],
      { value: worstKg, limit: HANDLE_MOST_KG, margin: (100 * (HANDLE_MOST_KG - worstKg)) / HANDLE_MOST_KG },
    );
  },
});
