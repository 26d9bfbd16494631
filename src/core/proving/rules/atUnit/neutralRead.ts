import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SupplyReading } from '../../readings/supplyReading';

/** Voltages at the unit with the conductors that its sheet wants brought in. */
export interface PhasesAtUnit {
  readonly wiring: string;
  readonly neutralRead: boolean;
  readonly signature: SupplyReading['signature'];
}

/** Where a unit has a neutral brought in, it is measured too; where it has none, there is none to read. */
export const NEUTRAL_READ = rule<PhasesAtUnit>()({
  id: 'proving.neutral-read',
  title: 'Neutral measured where the unit has one',
  unit: '',
  basis: practice('every terminal is measured'),
  needs: {
    read: {
      as: 'voltages to the neutral, which this unit has',
      of: ({ wiring, neutralRead }) => (wiring === '5-wire' && !neutralRead ? null : true),
    },
  },
  judge: (_, { wiring, neutralRead }) =>
    found('holds', () => [`${wiring}: ${neutralRead ? 'neutral measured' : 'no neutral brought in'}`]),
});
