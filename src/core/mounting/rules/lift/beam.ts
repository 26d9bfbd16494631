import { practice } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { atMost, found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { whereHoisted } from '../../lift/hoisted';
import { PULLEY_EFFICIENCY, hangsKn, pulleyBeamKn } from '../../lift/rigging';
import type { HungUnit } from '../../results';

interface HoistPoint {
  readonly riggingKg: number;
  readonly pulley: boolean;
  readonly beamKn: number;
}

const pointOf = (h: HungUnit): Answer<HoistPoint | 'no hoist'> =>
  whereHoisted(
    h,
    ({ riggingKg, pulley, beamKn }) => ({
      'mass of the rigging': riggingKg,
      'whether it runs over a fixed pulley': pulley,
      'load allowed where the hoist hangs': beamKn,
    }),
    (k) => ({
      riggingKg: k['mass of the rigging'],
      pulley: k['whether it runs over a fixed pulley'],
      beamKn: k['load allowed where the hoist hangs'],
    }),
  );

/** What the point over the wall carries, kN, against what whoever answers for the structure allows: a fixed pulley about doubles it. */
export const BEAM = rule<HungUnit>()({
  id: 'mounting.beam',
  title: 'Load where the hoist hangs',
  unit: 'kN',
  basis: practice('statics; the load allowed is the structural engineer’s word'),
  needs: {
    massKg: { as: 'mass of the unit', of: (h) => h.type.massKg, missing: (h) => [`mass of ${h.type.name}`] },
    point: { as: 'load allowed where the hoist hangs', answer: pointOf },
  },
  judge: ({ massKg, point }) => {
    if (point === 'no hoist') return found('holds', () => ['no hoist']);
    const loadKg = massKg + point.riggingKg;
    const value = point.pulley ? pulleyBeamKn(loadKg) : hangsKn(loadKg);
    const how = point.pulley ? `over a fixed pulley: m · g · (1 + 1/${PULLEY_EFFICIENCY})` : 'plumb: m · g';
    return atMost({
      value,
      limit: point.beamKn,
      working: () => [`${fixed(loadKg, 1)} kg ${how} = ${fixed(value, 2)} kN, allowed ${point.beamKn} kN`],
    });
  },
});
