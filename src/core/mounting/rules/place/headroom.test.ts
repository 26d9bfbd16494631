import type { Wall } from '../../part';
import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { HEADROOM } from './headroom';

/** The unit is 1050 × 660 mm, its lower edge at 700 mm unless said. */
const nec = (wall: Partial<Wall>, over: Parameters<typeof hungUnit>[0] = {}) =>
  hungUnit({ ...over, survey: { school: 'NEC' }, wall: { frontWidthMm: 1200, headroomMm: 2400, ...wall } });

edges(HEADROOM, () => ({
  holds: [
    nec({}),
    nec({ frontWidthMm: 1050 }),
    nec({ headroomMm: 1981 }),
    nec({ frontWidthMm: 762 }, { body: { widthMm: 600 } }),
    hungUnit({ wall: { frontWidthMm: null, headroomMm: null } }),
  ],
  stops: [
    nec({ frontWidthMm: 1049 }),
    nec({ headroomMm: 1980 }),
    nec({ frontWidthMm: 761 }, { body: { widthMm: 600 } }),
    // The unit's own top is higher than 1981 mm.
    nec({ headroomMm: 2159 }, { at: { yMm: 1500 } }),
  ],
  without: { 'working space before the unit': nec({ headroomMm: null }) },
  numbers: [
    [nec({}), { value: 1200, limit: 1050 }],
    [nec({ frontWidthMm: 9000 }), { value: 2400, limit: 1981 }],
    [nec({ headroomMm: 2159 }, { at: { yMm: 1500 } }), { value: 2159, limit: 2160 }],
  ],
  says: [
    [nec({}), /^1200 mm wide, 1050 mm asked for; 2400 mm high, 1981 mm asked for$/],
    [hungUnit(), /^not asked for by this school/],
    [
      nec({ frontWidthMm: null, headroomMm: null }, { body: { widthMm: null } }),
      /^Missing: width of T100, free width before the unit, headroom before the wall$/,
    ],
  ],
}));
