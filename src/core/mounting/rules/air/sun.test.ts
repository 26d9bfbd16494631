import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { SUN } from './sun';

const wall = (facesDeg: number | null, over = {}, latitudeDeg: number | null = 40) =>
  hungUnit({ wall: { facesDeg, ...over }, survey: { latitudeDeg }, body: { depthMm: 370 }, at: { yMm: 600 } });
const awning = (awningDepthM: number, facesDeg = 180) => wall(facesDeg, { awningDepthM, awningYMm: 2000 });

edges(SUN, () => ({
  // 40° north, midsummer, 1.40 m from awning to lower edge, unit 370 mm deep: a south wall asks for 0.786 m, a south-west one for
  // 1.649 m, a west one for 2.2 m. No sun comes on a north-east wall after 11 h.
  holds: [wall(45), awning(0.787), awning(1.65, 225), awning(3, 270), wall(135, {}, -40)],
  tight: [awning(0.785), awning(1.64, 225), awning(2.1, 270), wall(180)],
  without: {
    'the wall and its awning': wall(180, {}, null),
    'depth of an awning': wall(180, { awningDepthM: null }),
  },
  numbers: [[awning(1), { value: 0.78603394, limit: 1 }]],
  says: [
    [wall(45), /^no summer sun on the wall from 11 to 16 h solar$/],
    [
      awning(0.5),
      /^at 12 h solar an awning 1\.40 m over the lower edge has to be 0\.79 m deep; there is 0\.5 m$/,
      /^an awning, or count/,
    ],
    [wall(180, {}, null), /^Missing: latitude$/],
    [wall(null, { awningDepthM: null }), /^Missing: the way the wall faces, depth of an awning$/],
    [hungUnit({ body: { depthMm: null } }), /^Missing: depth of T100$/],
    [wall(180, { awningDepthM: 1, awningYMm: null }), /^Missing: height of an awning$/],
    [awning(1, 270), /^at 16 h/, /^no awning saves this wall/],
  ],
}));
