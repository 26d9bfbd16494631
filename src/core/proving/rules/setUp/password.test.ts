import { edges } from '../../../testing/edges';
import { setUpReading } from '../../../testing/busReadings';
import { SET_UP_PASSWORD } from './password';

edges(SET_UP_PASSWORD, () => ({
  holds: [setUpReading()],
  stops: [setUpReading({ passwordChanged: false })],
  without: {},
  says: [
    [setUpReading(), /^changed$/],
    [setUpReading({ passwordChanged: false }), /^not changed/],
  ],
}));
