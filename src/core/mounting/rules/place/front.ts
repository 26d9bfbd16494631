import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { atLeast } from '../../../kernel/judgement';
import { atOrAbove } from '../../../kernel/publishedTable';
import { rule } from '../../../kernel/rule';
import { frontOf } from '../../clearances';
import type { HungUnit } from '../../results';
import { WORKING_SPACE } from '../../tables/workingSpace';

/** Free passage in front of what is worked on, mm (IEC 60364-7-729; recalled). */
const PASSAGE_MM = 700;

/**
 * Space in front of a unit, mm. IEC: what the sheet or its class asks for, never under 700 mm (IEC 60364-7-729). NEC: the working space of table
 * 110.26(A)(1) by voltage to ground and what is opposite, and the sheet's where it is larger. Voltage to ground: U_L/√3 of an earthed wye, else U_L.
 */
function askedInFront(h: HungUnit): Answer<number> {
  const sheet = frontOf(h.type);
  if (sheet.value === null) return sheet;
  if (h.survey.school !== 'NEC') return known(Math.max(sheet.value, PASSAGE_MM));
  const { lineV, service } = h.survey;
  if (lineV === null || service === null || h.wall.facing === null)
    return lacking(
      ...(lineV === null ? ['nominal line voltage'] : []),
      ...(service === null ? ['supply and its earthing'] : []),
      ...(h.wall.facing === null ? ['what is opposite the wall'] : []),
    );
  const toGroundV = service.startsWith('earthed wye') ? lineV / Math.sqrt(3) : lineV;
  const space = atOrAbove(WORKING_SPACE, toGroundV, h.wall.facing);
  return space === undefined ? lacking('a voltage of the table') : known(Math.max(sheet.value, space));
}

export const FRONT = rule<HungUnit>()({
  id: 'mounting.front',
  title: 'Space in front',
  unit: 'mm',
  basis: published('IEC 60364-7-729; NFPA 70 table 110.26(A)(1)'),
  needs: {
    asked: { as: 'space that is asked for in front', answer: askedInFront },
    freeMm: { as: 'free before the wall', of: (h) => h.wall.frontMm },
  },
  judge: ({ asked, freeMm }, { survey }) =>
    atLeast({
      value: freeMm,
      limit: asked,
      working: () => [`${freeMm} mm free, ${asked} mm asked for (${survey.school})`],
    }),
});
