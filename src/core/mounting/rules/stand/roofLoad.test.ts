import { edges } from '../../../testing/edges';
import { frame } from '../../../testing/frames';
import { ROOF_LOAD } from './roofLoad';

edges(ROOF_LOAD, () => ({
  // With 200 kg on it: 978.0437 and 489.2937 N less the lift; 97.80437 kPa under 100 × 100 mm, 30.18653 through a slab of 40 mm.
  holds: [
    frame(),
    frame({ roofKpa: 97.805 }),
    frame({ spreadMm: 40, roofKpa: 30.187 }),
    frame({ held: 'fixed mechanically', ballastKg: 0, massKg: 1 }),
  ],
  stops: [
    frame({ roofKpa: 97.8 }),
    frame({ spreadMm: 40, roofKpa: 30.18 }),
    frame({ ballastKg: 0, massKg: 1, roofKpa: 1000 }),
  ],
  without: {
    'how the frame is held': frame({ held: null }),
    'feet of the frame': frame({ betweenM: null }),
    'pressure the roof may take': frame({ roofKpa: null }),
  },
  numbers: [[frame(), { value: 97.80437, limit: 100 }]],
  says: [
    [frame(), /: 978 N and 489 N$/, /^978 N under 100 × 100 mm: 97\.8 kPa, roof 100 kPa$/],
    [frame({ spreadMm: 40 }), /./, /spread through 40 mm: 30\.2 kPa/],
    [frame({ ballastKg: 0, massKg: 1, roofKpa: 1000 }), /./, /./, /^a foot lifts off/],
    [frame({ footDepthMm: null, spreadMm: null }), /^Missing: size of a foot, slab under the feet$/],
  ],
}));
