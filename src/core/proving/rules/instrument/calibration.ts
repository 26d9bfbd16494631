import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { Instrument } from '../../../equipment/instrument';

/** An instrument on the day it was used, YYYY-MM-DD on site. */
export interface InstrumentInUse {
  readonly instrument: Pick<Instrument, 'name' | 'serial' | 'calibratedUntil'>;
  readonly day: string;
}

/** Whether the instrument was in calibration on the day of use; a lapsed one softens the verdict. */
export const CALIBRATION = rule<InstrumentInUse>()({
  id: 'proving.calibration',
  title: 'Instrument in calibration',
  unit: '',
  basis: practice('valid to the last day printed'),
  needs: {},
  judge: (_, { instrument: { name, serial, calibratedUntil }, day }) =>
    found(day <= calibratedUntil ? 'holds' : 'tight', () => [
      `${name} ${serial}, calibrated until ${calibratedUntil}, used ${day}`,
    ]),
});
