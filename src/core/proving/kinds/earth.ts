import { z } from 'zod';
import type { Answer } from '../../kernel/answer';
import { lacking } from '../../kernel/answer';
import { fixed } from '../../kernel/quantity';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, notThere, onSite, onUnit } from '../judging';
import { kind } from '../kind';
import type { EarthLeg, EarthVerdict } from '../measure/earthContinuity';
import { earthContinuity } from '../measure/earthContinuity';
import { PROVING_RULES as RULES } from '../rules';

const ohm = (what: string) => quantity(0, 1000, 'Ω', what);
const values = z.object({
  firstOhm: ohm('First earth'),
  secondOhm: ohm('Second earth'),
  nullOhm: ohm('Test leads alone'),
  conductorC: quantity(-40, 110, '°C', 'Temperature of the conductors'),
  joints: quantity(0, 40, 'joints', 'Joints in each').int(),
  testA: quantity(0.001, 50, 'A', 'Test current'),
  firstLengthM: quantity(0.1, 5000, 'm', 'Length of the first').nullable(),
  firstMm2: quantity(1, 630, 'mm²', 'Section of the first').nullable(),
  firstMetal: enumOf(['Cu', 'Al'] as const)
    .nullable()
    .meta({ description: 'Metal of the first' }),
  secondLengthM: quantity(0.1, 5000, 'm', 'Length of the second').nullable(),
  secondMm2: quantity(1, 630, 'mm²', 'Section of the second').nullable(),
  secondMetal: enumOf(['Cu', 'Al'] as const)
    .nullable()
    .meta({ description: 'Metal of the second' }),
});
type Values = z.output<typeof values>;
type Drawn = Partial<Pick<EarthLeg, 'lengthM' | 'sectionMm2' | 'metal'>>;

/** One conductor: what the design draws of it counts, what it does not draw is as it was found. */
function leg(
  v: Values,
  readOhm: number,
  drawn: { [K in keyof Drawn]: Drawn[K] | null },
  name: string,
): Answer<EarthVerdict> {
  const { lengthM, sectionMm2, metal } = drawn;
  const missing = [
    ...(lengthM == null ? [`length of the ${name}`] : []),
    ...(sectionMm2 == null ? [`section of the ${name}`] : []),
    ...(metal == null ? [`metal of the ${name}`] : []),
  ];
  if (lengthM == null || sectionMm2 == null || metal == null) return lacking(...missing);
  const { nullOhm, conductorC, joints, testA } = v;
  return earthContinuity({ readOhm, nullOhm, lengthM, sectionMm2, metal, conductorC, joints, testA });
}

/** Both earths of a unit, or of the site: earth bar to the transformer's earth, and to the frame group furthest away. */
export const EARTH = kind({
  kind: 'earth',
  title: 'Earth continuity',
  scopes: ['site', 'inverter'],
  values,
  instrument: ['earth tester', 'insulation tester'],
  measured: (v) => [
    { of: 'resistance', value: v.firstOhm, path: 'firstOhm' },
    { of: 'resistance', value: v.secondOhm, path: 'secondOhm' },
  ],
  gates: ['S-EARTH', 'I-PE'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const found = {
      first: { lengthM: v.firstLengthM, sectionMm2: v.firstMm2, metal: v.firstMetal },
      second: { lengthM: v.secondLengthM, sectionMm2: v.secondMm2, metal: v.secondMetal },
    };
    if (subject.scope === 'site') {
      const where = onSite('board', `${design.board.label} / earth`);
      const legs = [
        { name: 'bar to transformer earth', proof: leg(v, v.firstOhm, found.first, 'bar to transformer earth') },
        { name: 'bar to the furthest frames', proof: leg(v, v.secondOhm, found.second, 'bar to the furthest frames') },
      ];
      return measured(
        entry,
        day,
        ['S-EARTH'],
        where,
        legs.flatMap((l) => ask(RULES.earth, l, where)),
      );
    }
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-PE']);
    const run = design.runs.find((r) => r.inverterId === subject.id);
    const where = onUnit(on, 'run', 'earths');
    const legs = [
      {
        name: 'PE bar',
        proof: leg(
          v,
          v.firstOhm,
          {
            lengthM: run?.lengthM ?? found.first.lengthM,
            sectionMm2: run?.peMm2 ?? found.first.sectionMm2,
            metal: run?.peMetal ?? found.first.metal,
          },
          'PE bar',
        ),
      },
      {
        name: 'chassis stud',
        proof: leg(
          v,
          v.secondOhm,
          {
            lengthM: found.second.lengthM,
            sectionMm2: run?.externalEarthMm2 ?? found.second.sectionMm2,
            metal: run?.externalEarthMetal ?? found.second.metal,
          },
          'chassis earth',
        ),
      },
    ];
    return measured(
      entry,
      day,
      ['I-PE'],
      where,
      legs.flatMap((l) => ask(RULES.earth, l, where)),
    );
  },
  form: (design, subject) => {
    const run = design.runs.find((r) => r.inverterId === subject.id);
    const atUnit = subject.scope === 'inverter';
    const drawn = (path: string, known: unknown) => (known == null ? [path] : []);
    return {
      schema: values,
      blank: Object.fromEntries(Object.keys(values.shape).map((k) => [k, null])),
      groups: [
        {
          title: atUnit
            ? 'First: PE bar. Second: chassis stud'
            : 'First: bar to transformer earth. Second: bar to the furthest frames',
          paths: ['firstOhm', 'secondOhm', 'nullOhm', 'testA', 'conductorC', 'joints'],
        },
        {
          title: atUnit ? 'Conductors, where the design does not draw them' : 'The two conductors',
          paths: [
            ...drawn('firstLengthM', run?.lengthM),
            ...drawn('firstMm2', run?.peMm2),
            ...drawn('firstMetal', run?.peMetal),
            'secondLengthM',
            ...drawn('secondMm2', run?.externalEarthMm2),
            ...drawn('secondMetal', run?.externalEarthMetal),
          ],
        },
      ],
      caution: 'Dead metal only. Null the leads, measure both polarities and enter the larger.',
    };
  },
  line: (v) => `${fixed(v.firstOhm - v.nullOhm, 3)} Ω and ${fixed(v.secondOhm - v.nullOhm, 3)} Ω at ${v.testA} A`,
  printed: {
    title: 'Earth continuity',
    columns: [
      { title: 'First', share: 1, right: true },
      { title: 'Second', share: 1, right: true },
      { title: 'Test current', share: 1, right: true },
    ],
    row: (v) => [`${fixed(v.firstOhm - v.nullOhm, 3)} Ω`, `${fixed(v.secondOhm - v.nullOhm, 3)} Ω`, `${v.testA} A`],
  },
});
