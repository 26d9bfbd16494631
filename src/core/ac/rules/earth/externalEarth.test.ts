import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { EXTERNAL_EARTH } from './externalEarth';

const earth = (peMm2: number | null, externalEarthMm2: number | null, over: object = {}) =>
  acRun({ run: { sectionMm2: 120, peMm2, externalEarthMm2, ...over } });
const small = (externalEarthMm2: number, externalEarthMetal: 'Cu' | 'Al') =>
  acRun({ run: { sectionMm2: 6, peMm2: 6, externalEarthMm2, externalEarthMetal } });

edges(EXTERNAL_EARTH, () => ({
  // IEC 60364-5-54, 543.7: never under 10 mm² copper or 16 mm² aluminium (recalled).
  holds: [earth(70, 70), earth(95, 95), small(10, 'Cu'), small(16, 'Al')],
  // A PE chosen too thin lowers nothing: the earth follows what the PE has to be.
  stops: [earth(70, 50), earth(95, 70), earth(16, 50), earth(16, 16), small(9.9, 'Cu'), small(15.9, 'Al')],
  without: { 'section and PE': acRun({ run: { peMm2: null } }), 'external chassis earth': earth(70, null) },
  numbers: [[earth(70, 120, { externalEarthMetal: 'Al' }), { limit: (70 * 143) / 94 }]],
}));
