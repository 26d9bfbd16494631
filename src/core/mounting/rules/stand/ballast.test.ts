import { edges } from '../../../testing/edges';
import { frame } from '../../../testing/frames';
import { BALLAST } from './ballast';

edges(BALLAST, () => ({
  // Slide 305.9149, tip 187.3729: ballast 193.9149 kg; at 3° 252.7427; rubber on a membrane at 14° is no case for ballast.
  holds: [
    frame(),
    frame({ ballastKg: 193.915 }),
    frame({ slopeDeg: 3, ballastKg: 252.743 }),
    frame({ held: 'fixed mechanically', ballastKg: null }),
    frame({ massKg: 2000, ballastKg: 0 }),
  ],
  stops: [
    frame({ ballastKg: 193.9 }),
    frame({ ballastKg: 0 }),
    frame({ slopeDeg: 3, ballastKg: 252.7 }),
    frame({ surface: 'rubber on PVC or TPO membrane', slopeDeg: 14, ballastKg: 20_000 }),
  ],
  without: { 'how the frame is held': frame({ held: null }) },
  numbers: [[frame(), { value: 200, limit: 193.9148639 }]],
  says: [
    [
      frame(),
      /^wind 620 N, lift 250 N on 112\.0 kg, friction 0\.4, 0°$/,
      /^305\.9 kg do not slide, 187\.4 kg do not tip$/,
      /asked for 193\.9 kg, laid 200 kg$/,
    ],
    [frame({ surface: 'rubber on PVC or TPO membrane', slopeDeg: 14 }), /./, /^no mass do/, /fix it mechanically$/],
    [frame({ massKg: 2000, ballastKg: 0 }), /./, /./, /^its own mass is enough$/],
    [frame({ held: 'fixed mechanically' }), /^fixed mechanically/],
    [
      frame({ gustMs: null, areaM2: null, surface: null, ballastKg: null }, null),
      /^Missing: peak gust at the frame, area that the wind meets, mass of T100, what the feet stand on, ballast laid$/,
    ],
  ],
}));
