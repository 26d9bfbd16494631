import { computed } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { given, known, lacking } from '../../../kernel/answer';
import { atMost, found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { footLoads, footPressureKpa } from '../../fixing/ballast';
import type { FrameLoads } from '../../fixing/frameLoads';
import { frameLoads } from '../../fixing/frameLoads';
import type { LoadedFrame } from '../../results';

interface OnFeet extends FrameLoads {
  readonly betweenM: number;
  readonly footWidthMm: number;
  readonly footDepthMm: number;
  readonly spreadMm: number;
  readonly ballastKg: number;
}

function feetOf(frame: LoadedFrame): Answer<OnFeet> {
  const { betweenM, footWidthMm, footDepthMm, spreadMm, ballastKg } = frame.wall.stand;
  const loads = frameLoads(frame);
  const of = given(
    {
      'distance between the feet': betweenM,
      'size of a foot': footWidthMm !== null && footDepthMm !== null ? ([footWidthMm, footDepthMm] as const) : null,
      'slab under the feet': spreadMm,
      'ballast laid': ballastKg,
    },
    (k) => ({
      betweenM: k['distance between the feet'],
      footWidthMm: k['size of a foot'][0],
      footDepthMm: k['size of a foot'][1],
      spreadMm: k['slab under the feet'],
      ballastKg: k['ballast laid'],
    }),
  );
  return loads.value === null || of.value === null
    ? lacking(...loads.missing, ...of.missing)
    : known({ ...loads.value, ...of.value });
}

/** Pressure under the most loaded of four feet, kPa, in the wind, against what the roof may take; a foot that lifts off stops a frame that only stands. */
export const ROOF_LOAD = rule<LoadedFrame>()({
  id: 'mounting.roof-load',
  title: 'Roof carries the feet',
  unit: 'kPa',
  basis: computed('statics of four feet, load spread at 45°; the roof’s limit is typed'),
  needs: {
    held: { as: 'how the frame is held', of: ({ wall }) => wall.stand.held },
    feet: { as: 'feet of the frame', answer: feetOf },
    roofKpa: { as: 'pressure the roof may take', of: ({ wall }) => wall.stand.roofKpa },
  },
  judge: ({ held, feet, roofKpa }) => {
    const { mostN, leastN } = footLoads(feet);
    const value = footPressureKpa(mostN, feet.footWidthMm, feet.footDepthMm, feet.spreadMm);
    const how = () => [
      `R = W/4 ± F_w · h_w/(2b): ${fixed(mostN, 0)} N and ${fixed(leastN, 0)} N`,
      `${fixed(mostN, 0)} N under ${feet.footWidthMm} × ${feet.footDepthMm} mm${feet.spreadMm ? `, spread through ${feet.spreadMm} mm` : ''}: ${fixed(value, 1)} kPa, roof ${roofKpa} kPa`,
    ];
    if (leastN < 0 && held === 'by ballast')
      return found('stop', () => [...how(), 'a foot lifts off in the wind: more ballast, or feet farther apart'], {
        value,
        limit: roofKpa,
      });
    return atMost({ value, limit: roofKpa, working: how });
  },
});
