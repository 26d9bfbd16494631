import { edges } from '../../../testing/edges';
import { contactReading } from '../../../testing/busReadings';
import { CONTACT_ACTED } from './acted';

edges(CONTACT_ACTED, () => ({
  holds: [contactReading()],
  stops: [contactReading({ acted: false })],
  without: {},
  says: [
    [contactReading(), /ripple control: action seen/],
    [contactReading({ acted: false }), /did not act/],
  ],
}));
