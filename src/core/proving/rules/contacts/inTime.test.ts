import { edges } from '../../../testing/edges';
import { contactReading } from '../../../testing/busReadings';
import { CONTACT_IN_TIME } from './inTime';

edges(CONTACT_IN_TIME, () => ({
  holds: [contactReading({ seconds: 5 }), contactReading({ seconds: 0 })],
  stops: [contactReading({ seconds: 5.1 })],
  without: {},
  numbers: [[contactReading(), { value: 4, limit: 5, margin: 20 }]],
  says: [[contactReading(), /ripple control: 4 s of 5 s/]],
}));
