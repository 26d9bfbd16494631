import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { atLeast, found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';

/** Least width and height of a working space, mm: 30 in and 6 ft 6 in (recalled). */
const WIDTH_MM = 762;
const HEIGHT_MM = 1981;

interface Space {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly askedWidthMm: number;
  readonly askedHeightMm: number;
}

/** Width and height of the space in front as NEC asks for them; other schools ask for its depth alone. */
function spaceOf({ survey, wall, size, at }: HungUnit): Answer<Space | 'not asked'> {
  if (survey.school !== 'NEC') return known('not asked');
  const { frontWidthMm, headroomMm } = wall;
  if (frontWidthMm === null || headroomMm === null || size.value === null)
    return lacking(
      ...size.missing,
      ...(frontWidthMm === null ? ['free width before the unit'] : []),
      ...(headroomMm === null ? ['headroom before the wall'] : []),
    );
  return known({
    widthMm: frontWidthMm,
    heightMm: headroomMm,
    askedWidthMm: Math.max(WIDTH_MM, size.value.widthMm),
    askedHeightMm: Math.max(HEIGHT_MM, at.yMm + size.value.heightMm),
  });
}

/** Working space in front, mm: as wide as the unit and 762 mm at least, as high as its top and 1981 mm at least. The scarcer of both is shown. */
export const HEADROOM = rule<HungUnit>()({
  id: 'mounting.headroom',
  title: 'Width and height of the working space',
  unit: 'mm',
  basis: published('NFPA 70 110.26(A)(2) and (3)'),
  needs: { space: { as: 'working space before the unit', answer: spaceOf } },
  judge: ({ space }) => {
    if (space === 'not asked') return found('holds', () => ['not asked for by this school: the depth in front is']);
    const { widthMm, heightMm, askedWidthMm, askedHeightMm } = space;
    const working = () => [
      `${widthMm} mm wide, ${askedWidthMm} mm asked for; ${heightMm} mm high, ${askedHeightMm} mm asked for`,
    ];
    const narrow = widthMm / askedWidthMm < heightMm / askedHeightMm;
    return narrow
      ? atLeast({ value: widthMm, limit: askedWidthMm, working })
      : atLeast({ value: heightMm, limit: askedHeightMm, working });
  },
});
