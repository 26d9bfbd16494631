import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { ANCHORS } from './anchors';

const on = (
  tensionCapacityN: number | null,
  shearCapacityN: number | null = 4000,
  over: Parameters<typeof hungUnit>[0] = {},
) =>
  hungUnit({
    ...over,
    type: { massKg: 95, ...over.type },
    // Rows 50 and 350 mm over the lower edge of the bracket, two anchors each; centre 190 mm and front 370 mm from the wall.
    body: { bracketBottomMm: 210, centreZMm: 190, depthMm: 370, ...over.body },
    wall: { tensionCapacityN, shearCapacityN, ...over.wall },
  });
const hollow = (pullTested: boolean | null) =>
  on(3000, 4000, { wall: { material: 'hollow or unknown masonry', pullTested } });
const beside = (mm: number) => on(3000, 4000, { body: { centreXMm: 525 + mm } });
const twoOnly = {
  body: {
    bracketHoles: [
      { xMm: 125, yMm: 560 },
      { xMm: 925, yMm: 560 },
    ],
  },
};

/** The bracket so many mm from the left end of the wall; its columns stand 125 mm inside the unit. */
const edge = (mm: number, wall: Parameters<typeof on>[2] & object = {}) =>
  on(3000, 4000, { ...wall, at: { xMm: mm - 125 } });

edges(ANCHORS, () => ({
  holds: [on(3000), on(1140), hollow(true)],
  tight: [edge(60), on(1120), on(975), on(3000, 4000, twoOnly)],
  stops: [edge(0), edge(-20), on(950), on(3000, 500), on(900, 4000, twoOnly)],
  without: {
    'mass of the unit': on(3000, 4000, { type: { massKg: null } }),
    'holes of the bracket': on(3000, 4000, { body: { bracketHoles: [] } }),
    'centre of gravity from the wall': on(3000, 4000, { body: { centreZMm: null } }),
    'depth of the unit': on(3000, 4000, { body: { depthMm: null } }),
    'what the wall is made of': on(3000, 4000, { wall: { material: null } }),
    'embedment of the anchor': on(3000, 4000, { wall: { embedmentMm: null } }),
    'approved pull on one anchor': on(0),
    'approved shear on one anchor': on(3000, null),
  },
  // Worked case: N 943.549 N, V 501.926 N on 3000 and 4000 N.
  // With the weight 75 mm beside the middle of 800 mm: N 1120.464, V 596.037.
  numbers: [
    [on(3000), { value: 22.083601, limit: 100 }],
    [beside(75), { value: 100 * ((1120.46439 / 3000) ** 1.5 + (596.0367905 / 4000) ** 1.5) }],
    [beside(-75), { value: 100 * ((1120.46439 / 3000) ** 1.5 + (596.0367905 / 4000) ** 1.5) }],
  ],
  says: [
    [on(3000), /^M = 674\.0 N·m; N = 944 N, V = 502 N/, /^β_N = 0\.315, β_V = 0\.125; .* = 0\.221 \(sum 0\.440\)$/],
    [on(1200), /./, /./, /^a bracket that bends/],
    [on(3000, 4000, twoOnly), /./, /./, /^two anchors only/],
    [edge(60), /./, /./, /^edges and neighbours leave 82\.5 % of the cones: N_Rd 2475 N$/, /^an edge is near/],
    [hollow(null), /^Missing: a pull test on this wall$/],
    [hollow(false), /^Missing: a pull test on this wall$/],
    [beside(75), /N = 1120 N, V = 596 N on the worst; weight 75 mm beside the middle$/, /./],
    [beside(400), /^Missing: holes of the bracket on both sides of the centre of gravity of T100$/],
    [on(3000, 4000, { body: { centreXMm: null } }), /^Missing: centre of gravity of T100$/],
    [on(3000, 4000, { body: { bracketBottomMm: null } }), /^Missing: lower edge of the bracket of T100$/],
  ],
}));
