import { edges } from '../../../testing/edges';
import { wayReading } from '../../../testing/busReadings';
import { WAY_HOUR } from './hour';

const carrier = (when: 'at full power' | 'at night' | 'at another hour') => wayReading({ way: 'carriers', when });

edges(WAY_HOUR, () => ({
  holds: [
    carrier('at full power'),
    carrier('at night'),
    wayReading({ way: 'ethernet', when: 'at another hour' }),
    wayReading({ way: 'radio', when: 'at another hour' }),
  ],
  stops: [],
  without: { 'a trial of the carrier at full power or at night': carrier('at another hour') },
  says: [
    [carrier('at night'), /^tried at night$/],
    [wayReading({ when: 'at another hour' }), /no hour is asked for$/],
  ],
}));
