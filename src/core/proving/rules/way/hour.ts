import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { WayReading } from '../../readings/wayReading';

/** A carrier shares its wires with the power: tried at an easy hour it proves nothing of full power, and nothing of the night. */
export const WAY_HOUR = rule<WayReading>()({
  id: 'proving.way-hour',
  title: 'Tried at the hour that is worst',
  unit: '',
  basis: practice('a carrier is tried at full power and at night'),
  needs: {
    hour: {
      as: 'a trial of the carrier at full power or at night',
      of: (r) => (r.way === 'carriers' && r.when === 'at another hour' ? null : r.when),
    },
  },
  judge: ({ hour }, { way }) =>
    found('holds', () => [way === 'carriers' ? `tried ${hour}` : `tried ${hour}: no hour is asked for`]),
});
