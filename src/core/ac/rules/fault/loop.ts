import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { atLeast, found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { VOLTAGE_FACTOR, inSeries, magnitudeOhm } from '../../fault/network';
import { tripCurrent } from '../../fault/tripCurrent';
import type { RunResult } from '../../results';
import { CONDUCTORS } from '../../wiring';

/** What a fault to earth meets, by the earthing of the supply (IEC 60364-4-41, 411.4 to 411.6; recalled). */
const EARTHING: Readonly<Partial<Record<string, 'TN' | 'TT' | 'IT'>>> = {
  'earthed wye with neutral (TN-S, TN-C-S)': 'TN',
  'earthed wye, neutral not brought out': 'TN',
  'earthed wye, TT': 'TT',
  'IT wye, shared': 'IT',
  'IT wye, dedicated transformer': 'IT',
  'delta ungrounded, shared': 'IT',
  'delta ungrounded, dedicated transformer': 'IT',
};

/** Touch voltage that may stand for good, V (IEC 60364-4-41, 411.5.3; recalled). */
const TOUCH_V = 50;

/** A current, A, with how it comes about. */
interface Current {
  readonly currentA: number;
  readonly words: () => readonly string[];
}
/** The same of what clears a fault; null where nothing is there that could. */
type Cleared = Omit<Current, 'currentA'> & { readonly currentA: number | null };

const earthingOf = ({ survey: { service } }: RunResult): Answer<'TN' | 'TT' | 'IT'> => {
  if (service === null) return lacking('supply and its earthing');
  const kind = EARTHING[service];
  return kind ? known(kind) : lacking(`the loop of a supply “${service}” (not judged by the program yet)`);
};

/** Impedance of the way of a fault at the unit, Ω: source, main, line and PE of the run, hot. */
function loopOhm({ run, lengthM, survey, school, impedance, supply }: RunResult): Answer<number> {
  const { peMm2, peMetal, peInCable, insulation, parallel } = run;
  const { frequencyHz } = survey;
  const missing = [
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
    frequencyHz === null
  )
    return lacking(...new Set(missing));
  const perM = school.conductorOhmPerM({ metal: peMetal, insulation, raceway: run.raceway }, peMm2, frequencyHz);
  if (perM.value === null) return perM;
  // Each cable of several brings its own PE; one beside them is one.
  const pes = peInCable ? (parallel ?? 1) : 1;
  const pe = { ohm: (perM.value.ohmPerM * lengthM) / pes, reactanceOhm: (perM.value.reactanceOhmPerM * lengthM) / pes };
  return known(magnitudeOhm(inSeries(supply.loop.value, impedance.value, pe)));
}

/** Current that flows in the fault that has to be cleared, at its least. */
function faultOf(r: RunResult): Answer<Current> {
  const kind = earthingOf(r);
  // Without the kind of supply everything a loop may want is asked for as well.
  if (kind.value === null) return lacking(...kind.missing, ...(r.survey.service === null ? loopOhm(r).missing : []));
  const { lineV, electrodeOhm } = r.survey;
  if (kind.value === 'TT')
    return electrodeOhm === null
      ? lacking('resistance of the earth electrode')
      : known({
          currentA: TOUCH_V / electrodeOhm,
          words: () => [`TT: ${TOUCH_V} V over ${electrodeOhm} Ω of electrode = ${fixed(TOUCH_V / electrodeOhm, 3)} A`],
        });
  const loop = loopOhm(r);
  const missing = [...loop.missing, ...(lineV === null ? ['nominal line voltage'] : [])];
  if (loop.value === null || lineV === null) return lacking(...missing);
  const ohm = loop.value;
  const zs = () => `Z_s = ${ohm.toFixed(4)} Ω, hot, there and back`;
  const cold = 'measured cold, Z_s is to be two thirds of U_0/I_a at most';
  const u0 = (VOLTAGE_FACTOR.least * lineV) / Math.sqrt(3);
  if (kind.value === 'TN') {
    const currentA = u0 / ohm;
    return known({ currentA, words: () => [`${zs()}: 0.95 · U_0/Z_s = ${fixed(currentA, 0)} A`, cold] });
  }
  // The second fault lies between two lines; where the neutral is led to the units it may lie on that.
  const neutral = CONDUCTORS[r.type.wiring] > 4;
  const currentA = (u0 * (neutral ? 1 : Math.sqrt(3))) / (2 * ohm);
  return known({
    currentA,
    words: () => [
      `${zs()}; second fault of an IT system: 0.95 · ${neutral ? 'U_0' : '√3 · U_0'}/(2 · Z_s) = ${fixed(currentA, 0)} A`,
    ],
  });
}

/** Current that surely clears it: the breaker's trip, or the residual-current device of a TT system. */
function clearedBy(r: RunResult): Answer<Cleared> {
  if (EARTHING[r.survey.service ?? ''] === 'TT') {
    const fitted = r.run.residualFitted ?? r.survey.rcdFitted;
    if (fitted === null) return lacking('whether residual-current devices are fitted');
    if (!fitted)
      return known({ currentA: null, words: () => ['no residual-current device: no breaker trips over an electrode'] });
    const { residualMa } = r.run;
    return residualMa === null
      ? lacking('rating of the residual-current device')
      : known({
          currentA: residualMa / 1000,
          words: () => [`cleared by the residual-current device at ${residualMa} mA`],
        });
  }
  const trip = tripCurrent(r.run);
  if (trip.value === null) return trip;
  const { currentA, words } = trip.value;
  return known({ currentA, words: () => [`trips at once at ${words} = ${fixed(currentA, 0)} A`] });
}

/** Least current of a fault to earth at the unit, A, against what clears it at once: in TN the loop, in TT the electrode, in IT the second fault. */
export const LOOP = rule<RunResult>()({
  id: 'ac.loop',
  title: 'A fault to earth is cleared in time',
  unit: 'A',
  basis: published('IEC 60364-4-41, 411'),
  needs: {
    fault: { as: 'impedance of the fault loop', answer: faultOf },
    trip: { as: 'trip of the breaker', answer: clearedBy },
  },
  judge: ({ fault, trip }) =>
    trip.currentA === null
      ? found('stop', () => [...fault.words(), ...trip.words()])
      : atLeast({
          value: fault.currentA,
          limit: trip.currentA,
          working: () => {
            const [first = '', ...others] = fault.words();
            return [first, ...trip.words(), ...others];
          },
        }),
});
