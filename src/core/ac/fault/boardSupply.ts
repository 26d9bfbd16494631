import type { School } from '../../conductor/school';
import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import { fixed } from '../../kernel/quantity';
import type { Board } from '../../site/parts';
import type { Survey } from '../../site/survey';
import { mainCable } from './mainCable';
import type { Impedance } from './network';
import { NO_IMPEDANCE, inSeries, scaled, shortCircuitA, transformerOhm, upstreamOhm } from './network';

/** What feeds the board, seen from a fault behind it. */
export interface BoardSupply {
  /** Largest current of the grid at the board, A, and with what all inverters add. */
  readonly gridA: Answer<number>;
  readonly boardA: Answer<number>;
  /** The way out and back to earth at its largest, for the least current: lines hot, network as it is. */
  readonly loop: Answer<Impedance>;
  readonly words: readonly string[];
}

/** What each inverter adds to a short circuit at the board, of its current (common practice). */
const INVERTER_SHARE = 1.2;
const COLD_C = 20;

/** Short-circuit currents and the loop at the board: transformer, network and main cable, with what the inverters add (A, their currents together). */
export function boardSupply(survey: Survey, board: Board, school: School, invertersA: Answer<number>): BoardSupply {
  const transformer = given(
    {
      'nominal line voltage': survey.lineV,
      'transformer rating': survey.transformerKva,
      'transformer impedance': survey.transformerImpedancePercent,
    },
    (k) => ({
      lineV: k['nominal line voltage'],
      ratingKva: k['transformer rating'],
      impedancePercent: k['transformer impedance'],
    }),
  );
  if (transformer.value === null) {
    const nothing = lacking<never>(...transformer.missing);
    return { gridA: nothing, boardA: nothing, loop: nothing, words: [] };
  }
  const t = transformer.value;
  // The largest current: the network as if infinite, the cable cold, and no resistance of windings that nobody gave.
  const cold = mainCable(board, survey, school, COLD_C);
  const loss = lossOf(t, survey);
  const { voltageFactor, impedanceShare } = school.largestFault;
  const windings = scaled(transformerOhm({ ...t, lossKw: loss.value ?? 0 }), impedanceShare);
  const gridA = shortCircuitA(t.lineV, inSeries(windings, cold.line.value ?? NO_IMPEDANCE), voltageFactor);
  return {
    gridA: known(gridA),
    boardA:
      invertersA.value === null ? lacking(...invertersA.missing) : known(gridA + INVERTER_SHARE * invertersA.value),
    loop: loopAt(t, loss, survey, mainCable(board, survey, school, null)),
    words: [
      `transformer ${t.ratingKva} kVA, ${t.impedancePercent} %${cold.line.value ? ', main cable cold' : ', without the main cable, of which not all is known'}: ${fixed(gridA / 1000, 2)} kA from the grid`,
    ],
  };
}

/** Load losses, kW, that such a transformer can have at all: they are no more than its impedance makes. */
function lossOf(
  t: { readonly ratingKva: number; readonly impedancePercent: number },
  { transformerLossKw }: Survey,
): Answer<number> {
  if (transformerLossKw === null) return lacking('load losses of the transformer');
  return transformerLossKw <= (t.impedancePercent / 100) * t.ratingKva
    ? known(transformerLossKw)
    : lacking('load losses of the transformer that its impedance leaves room for');
}

/** The loop from the transformer to the board and back: everything in it has to be known, for here little impedance flatters. */
function loopAt(
  t: { readonly lineV: number; readonly ratingKva: number; readonly impedancePercent: number },
  loss: Answer<number>,
  { upstreamMva, upstreamXr }: Survey,
  hot: { readonly line: Answer<Impedance>; readonly pe: Answer<Impedance> },
): Answer<Impedance> {
  const missing = [
    ...loss.missing,
    ...(upstreamMva === null ? ['short-circuit power of the network'] : []),
    ...new Set([...hot.line.missing, ...hot.pe.missing]),
  ];
  if (loss.value === null || upstreamMva === null || hot.line.value === null || hot.pe.value === null)
    return lacking(...missing);
  return known(
    inSeries(
      upstreamOhm(upstreamMva, t.lineV, upstreamXr),
      transformerOhm({ ...t, lossKw: loss.value }),
      hot.line.value,
      hot.pe.value,
    ),
  );
}
