import { practice } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { given, known, lacking } from '../../../kernel/answer';
import { atMost, found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { pointLoad } from '../../lift/rigging';
import type { HungUnit } from '../../results';

interface Trolley {
  readonly trolleyKg: number;
  readonly wheels: number;
  readonly wheelMm2: number;
  readonly floorKpa: number;
}

function trolleyOf({ wall }: HungUnit): Answer<Trolley | 'not on wheels'> {
  const { onWheels, trolleyKg, wheels, wheelMm2, floorKpa } = wall.lift;
  if (onWheels === null) return lacking('whether it is moved on wheels');
  if (!onWheels) return known('not on wheels');
  return given(
    {
      'mass of the trolley': trolleyKg,
      'wheels that carry': wheels,
      'area under a wheel': wheelMm2,
      'pressure the floor may take': floorKpa,
    },
    (k) => ({
      trolleyKg: k['mass of the trolley'],
      wheels: k['wheels that carry'],
      wheelMm2: k['area under a wheel'],
      floorKpa: k['pressure the floor may take'],
    }),
  );
}

/** Pressure under a wheel of the loaded trolley or table, kPa, against what the floor on the way may take. */
export const FLOOR_LOAD = rule<HungUnit>()({
  id: 'mounting.floor-load',
  title: 'Wheels on the floor of the way',
  unit: 'kPa',
  basis: practice('load shared evenly by the wheels that carry; the floor’s limit is typed'),
  needs: {
    massKg: { as: 'mass of the unit', of: (h) => h.type.massKg, missing: (h) => [`mass of ${h.type.name}`] },
    trolley: { as: 'whether it is moved on wheels', answer: trolleyOf },
  },
  judge: ({ massKg, trolley }) => {
    if (trolley === 'not on wheels') return found('holds', () => [trolley]);
    const { trolleyKg, wheels, wheelMm2, floorKpa } = trolley;
    const { forceN, pressureKpa } = pointLoad(massKg + trolleyKg, wheels, wheelMm2);
    return atMost({
      value: pressureKpa,
      limit: floorKpa,
      working: () => [
        `(${massKg} + ${trolleyKg}) kg · g / ${wheels} = ${fixed(forceN, 0)} N a wheel on ${wheelMm2} mm²: ${fixed(pressureKpa, 0)} kPa, floor ${floorKpa} kPa`,
        'plates spread it where the floor is weak',
      ],
    });
  },
});
