import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { CREW } from './crew';

const of = (massKg: number | null, body = {}, yMm = 700) => hungUnit({ type: { massKg }, body, at: { yMm } });

edges(CREW, () => ({
  holds: [of(25), of(55)],
  tight: [of(56), of(95), of(120), of(121), of(20, { gearOnly: true })],
  without: { 'mass, handles and centre of gravity of the unit': of(null) },
  says: [
    [of(25), /^25 kg, hands at 1\.26 m: 1 people at least, gear none$/, /./],
    [of(84), /: 2 people at least, gear advised$/, /lifting equation/],
    [of(84, { centreXMm: 640 }), /: 3 people at least, gear advised$/, /./],
    // Highest handle 560 mm up the unit: 1.4 m over the floor at a lower edge of 840 mm.
    [of(84, {}, 840), /: 2 people at least, gear advised$/, /./],
    [of(84, {}, 841), /gear required$/, /^hoist or lift table: not by hand$/],
    [of(84, { handles: [], gearOnly: null }), /^Missing: handles of T100, whether T100 is lifted by gear only$/],
  ],
}));
