import { setUpReading } from '../../../testing/busReadings';
import { edges } from '../../../testing/edges';
import { SET_UP_FIRMWARE } from './firmware';

const beside = (...firmware: string[]) =>
  setUpReading({ firmware: '4.2', sisters: firmware.map((f, i) => ({ tag: `INV-0${i + 1}`, firmware: f })) });

edges(SET_UP_FIRMWARE, () => ({
  holds: [beside(), beside('4.2', '4.2')],
  tight: [beside('4.1'), beside('4.2', '4.10')],
  without: {},
  says: [
    [beside('4.2'), /^4\.2$/],
    [beside('4.2', '4.10'), /^4\.2$/, /^INV-02 of the same type was set up with 4\.10$/],
  ],
}));
