import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { given, known, lacking } from '../../../kernel/answer';
import { atLeast, found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RoofStand } from '../../fixing/ballast';
import { FEET_FRICTION, ballast } from '../../fixing/ballast';
import { frameLoads } from '../../fixing/frameLoads';
import type { LoadedFrame } from '../../results';

/** What the ballast has to hold; `fixed` where screws do. */
function standOf(frame: LoadedFrame): Answer<(RoofStand & { readonly laidKg: number }) | 'fixed'> {
  const { held, surface, slopeDeg, tipArmM, centreHeightM, ballastKg } = frame.wall.stand;
  if (held === null) return lacking('how the frame is held');
  if (held === 'fixed mechanically') return known('fixed');
  const loads = frameLoads(frame);
  const of = given(
    {
      'what the feet stand on': surface,
      'slope of the roof': slopeDeg,
      'tipping edge of the frame': tipArmM,
      'height of its centre of gravity': centreHeightM,
      'ballast laid': ballastKg,
    },
    (k) => ({
      friction: FEET_FRICTION[k['what the feet stand on']],
      slopeDeg: k['slope of the roof'],
      tipArmM: k['tipping edge of the frame'],
      centreHeightM: k['height of its centre of gravity'],
      laidKg: k['ballast laid'],
    }),
  );
  return loads.value === null || of.value === null
    ? lacking(...loads.missing, ...of.missing)
    : known({ ...loads.value, ...of.value });
}

/** Ballast laid on a frame, kg, against what neither slides nor tips; where no mass holds it, it is fixed mechanically or not at all. */
export const BALLAST = rule<LoadedFrame>()({
  id: 'mounting.ballast',
  title: 'Frame neither slides nor tips',
  unit: 'kg',
  basis: published('EN 1990, A1.2(A): 0.9 holding, 1.1 own weight down the slope, 1.5 wind'),
  needs: { stand: { as: 'how the frame is held', answer: standOf } },
  judge: ({ stand }) => {
    if (stand === 'fixed')
      return found('holds', () => [
        'fixed mechanically: by the roofer and the structural engineer, no screw without them',
      ]);
    const { againstSlidingKg, againstTippingKg, ballastKg } = ballast(stand);
    const kg = (x: number | null) => (x === null ? 'no mass' : `${fixed(x, 1)} kg`);
    const how = () => [
      `wind ${fixed(stand.windN, 0)} N, lift ${fixed(stand.upliftN, 0)} N on ${fixed(stand.massKg, 1)} kg, friction ${stand.friction}, ${stand.slopeDeg}°`,
      `${kg(againstSlidingKg)} do not slide, ${kg(againstTippingKg)} do not tip`,
    ];
    if (ballastKg === null) return found('stop', () => [...how(), 'no ballast holds it here: fix it mechanically']);
    if (ballastKg === 0)
      return found('holds', () => [...how(), 'its own mass is enough'], { value: stand.laidKg, limit: 0 });
    return atLeast({
      value: stand.laidKg,
      limit: ballastKg,
      working: () => [...how(), `ballast asked for ${fixed(ballastKg, 1)} kg, laid ${stand.laidKg} kg`],
    });
  },
});
