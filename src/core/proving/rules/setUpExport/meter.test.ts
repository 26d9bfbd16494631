import { setUpReading } from '../../../testing/busReadings';
import { edges } from '../../../testing/edges';
import type { SetUpReading } from '../../readings/setUpReading';
import { SET_UP_METER } from './meter';

const by = (meter: SetUpReading['meter']) => setUpReading({ exportLimitKw: 60, meter });

edges(SET_UP_METER, () => ({
  holds: [by('bus meter'), by('current transformers')],
  stops: [by('none')],
  without: { 'meter that the export limit goes by': by(null) },
  says: [
    [by('bus meter'), /^bus meter$/],
    [by('none'), /holds nothing back/],
  ],
}));
