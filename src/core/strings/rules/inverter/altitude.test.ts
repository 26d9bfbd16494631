import { edges } from '../../../testing/edges';
import { loadedInverter } from '../../../testing/subjects';
import { ALTITUDE } from './altitude';

const at = (altitudeM: number | null, altitudeMaxM: number | null = 4000) =>
  loadedInverter(100_000, { survey: { altitudeM }, type: { altitudeMaxM } });

edges(ALTITUDE, () => ({
  holds: [at(0), at(2000), at(1500, 1500)],
  stops: [at(1500.1, 1500), at(4000.1)],
  // Between 2000 m and the unit's own limit its voltages shrink, and no sheet field says by how much: unknown, not holding.
  without: {
    altitude: at(null),
    'highest altitude of the inverter': at(100, null),
    'DC and AC voltages of the inverter above 2000 m': at(2000.1),
  },
  numbers: [[at(1000), { value: 1000, limit: 4000, margin: 75 }]],
  says: [
    [at(100, null), /^Missing: highest altitude of T100$/],
    [at(2500), /^Missing: DC and AC voltages of T100 above 2000 m/],
  ],
}));
