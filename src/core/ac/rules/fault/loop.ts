import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { VOLTAGE_FACTOR, inSeries, magnitudeOhm } from '../../fault/network';
import { tripCurrent } from '../../fault/tripCurrent';
import type { RunResult } from '../../results';

/** Supplies whose PE goes back to an earthed star: a fault to earth is a short circuit. */
const TO_THE_STAR: ReadonlySet<string> = new Set([
  'earthed wye with neutral (TN-S, TN-C-S)',
  'earthed wye, neutral not brought out',
]);

interface Loop {
  readonly zsOhm: number;
  readonly faultA: number;
}

/** Way of a fault at the unit: source, main, line and PE of the run, hot, and its current: 0.95·U_0/Z_s. */
function loopOf({ run, lengthM, survey, school, impedance, supply }: RunResult): Answer<Loop> {
  const { lineV, service, frequencyHz } = survey;
  if (service !== null && !TO_THE_STAR.has(service))
    return lacking(`the loop of a supply “${service}” (not judged by the program yet)`);
  const { peMm2, peMetal, peInCable, insulation, parallel } = run;
  const missing = [
    ...(service === null ? ['supply and its earthing'] : []),
    ...supply.loop.missing,
    ...impedance.missing,
    ...(peMm2 === null ? ['PE section'] : []),
    ...(peMetal === null ? ['metal of the PE'] : []),
    ...(peInCable === null ? ['whether the PE is a core of the cable'] : []),
  ];
  if (
    missing.length ||
    supply.loop.value === null ||
    impedance.value === null ||
    peMm2 === null ||
    peMetal === null ||
    insulation === null ||
    lengthM === null ||
    lineV === null ||
    frequencyHz === null
  )
    return lacking(...new Set(missing));
  const perM = school.conductorOhmPerM({ metal: peMetal, insulation, raceway: run.raceway }, peMm2, frequencyHz);
  if (perM.value === null) return perM;
  // Each cable of several brings its own PE; one beside them is one.
  const pes = peInCable ? (parallel ?? 1) : 1;
  const pe = { ohm: (perM.value.ohmPerM * lengthM) / pes, reactanceOhm: (perM.value.reactanceOhmPerM * lengthM) / pes };
  const zsOhm = magnitudeOhm(inSeries(supply.loop.value, impedance.value, pe));
  return known({ zsOhm, faultA: (VOLTAGE_FACTOR.least * lineV) / Math.sqrt(3) / zsOhm });
}

/** Least current of a fault to earth at the unit, A, against what trips the breaker of the run at once. */
export const LOOP = rule<RunResult>()({
  id: 'ac.loop',
  title: 'A fault to earth is cleared in time',
  unit: 'A',
  basis: published('IEC 60364-4-41, 411'),
  needs: {
    loop: { as: 'impedance of the fault loop', answer: loopOf },
    trip: { as: 'trip of the breaker', answer: (r) => tripCurrent(r.run) },
  },
  judge: ({ loop: { zsOhm, faultA }, trip }) =>
    atLeast({
      value: faultA,
      limit: trip.currentA,
      working: () => [
        `Z_s = ${zsOhm.toFixed(4)} Ω, hot, there and back: 0.95 · U_0/Z_s = ${fixed(faultA, 0)} A`,
        `trips at once at ${trip.words} = ${fixed(trip.currentA, 0)} A`,
        'measured cold, Z_s is to be two thirds of U_0/I_a at most',
      ],
    }),
});
