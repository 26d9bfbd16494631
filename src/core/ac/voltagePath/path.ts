import type { School } from '../../conductor/school';
import type { InverterType } from '../../equipment/inverterType';
import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import { boardAtRestV } from '../../site/boardVoltage';
import { gridWindow, tripLevelV } from '../../site/gridCodes';
import type { Board, SiteInverter } from '../../site/parts';
import type { Survey } from '../../site/survey';
import { mainCable } from '../fault/mainCable';
import type { Impedance } from '../fault/network';
import { transformerOhm, upstreamOhm } from '../fault/network';

/** The way from the grid to every unit, with what each part of it lifts the voltage over. */

export const TRUNK = ['network', 'transformer', 'main cable'] as const;

/** A run worked through, as far as the path asks for it. */
interface PathRun {
  readonly inverter: Pick<SiteInverter, 'id' | 'tag'>;
  readonly type: Pick<InverterType, 'maxApparentVa'>;
  readonly impedance: Answer<Impedance>;
  readonly wanting: readonly string[];
}

export interface PathUnit {
  readonly id: string;
  readonly tag: string;
  readonly z: Impedance;
  readonly apparentVa: number;
}

export interface VoltagePath {
  /** At the board with nothing feeding, line to line, V. */
  readonly restV: number;
  readonly nominalV: number;
  /** Below this the grid code lets no unit feed, V. */
  readonly minV: number;
  /** Level at which the ten-minute mean trips a unit, V. */
  readonly tripV: number;
  /** X/R of the network is not known: it is taken as IEC 60909-0 has it. */
  readonly networkAssumed: boolean;
  /** Network, transformer, main cable, in this order. */
  readonly trunk: readonly Impedance[];
  readonly units: readonly PathUnit[];
}

/** The network and the transformer as the voltage sees them, Ω at the board's voltage. Losses that the impedance has no room for are asked again. */
function upstreamOf(survey: Survey): Answer<{ readonly network: Impedance; readonly transformer: Impedance }> {
  const asked = given(
    {
      'nominal line voltage': survey.lineV,
      'short-circuit power of the network': survey.upstreamMva,
      'transformer rating': survey.transformerKva,
      'transformer impedance': survey.transformerImpedancePercent,
      'load losses of the transformer': survey.transformerLossKw,
    },
    (k) => k,
  );
  if (asked.value === null) return asked;
  const k = asked.value;
  const t = {
    lineV: k['nominal line voltage'],
    ratingKva: k['transformer rating'],
    impedancePercent: k['transformer impedance'],
    lossKw: k['load losses of the transformer'],
  };
  if (t.lossKw > (t.impedancePercent / 100) * t.ratingKva)
    return lacking('load losses of the transformer that its impedance leaves room for');
  const network = upstreamOhm(k['short-circuit power of the network'], t.lineV, survey.upstreamXr);
  return known({ network, transformer: transformerOhm(t) });
}

/** The path of a site: everything in it has to be known, for whatever is left out flatters. Conductors as hot as full load makes them. */
export function voltagePath(
  survey: Survey,
  board: Board,
  school: School,
  runs: readonly PathRun[],
): Answer<VoltagePath> {
  const upstream = upstreamOf(survey);
  const main = mainCable(board, survey, school, null).line;
  const trip = tripLevelV(survey);
  const rest = boardAtRestV(survey);
  const window = gridWindow(survey);
  const missing = [
    ...(runs.length ? [] : ['inverters']),
    ...rest.missing,
    ...upstream.missing,
    ...main.missing,
    ...trip.missing,
    ...runs.flatMap((r) => [...r.impedance.missing, ...r.wanting]),
  ];
  const units = runs.flatMap(({ inverter: { id, tag }, impedance: { value: z }, type }) =>
    z ? [{ id, tag, z, apparentVa: type.maxApparentVa }] : [],
  );
  if (missing.length || !upstream.value || !main.value || !trip.value || !rest.value || !window.value)
    return lacking(...new Set(missing));
  const { network, transformer } = upstream.value;
  const { nominalV, minV } = window.value;
  return known({
    restV: rest.value,
    nominalV,
    minV,
    tripV: trip.value,
    networkAssumed: survey.upstreamXr === null,
    trunk: [network, transformer, main.value],
    units,
  });
}
