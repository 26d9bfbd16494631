import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { withstandMm2 } from '../../fault/network';
import type { RunResult } from '../../results';

/** The adiabatic equation stands for clearing times in here, s; below, the breaker’s own let-through counts. */
const LEAST_S = 0.1;
const MOST_S = 5;
/** From so many cables in parallel a fault in one is fed from both ends (IEC 60364-4-43, 434.4; recalled). */
const FED_FROM_BOTH_ENDS = 3;

/** Energy let through until the breaker opens, A²s. */
function letThrough({ run, supply }: RunResult): Answer<number> {
  const { clearingS, letThroughA2s } = run;
  if (letThroughA2s !== null) return known(letThroughA2s);
  if (clearingS === null) return lacking('clearing time of the breaker');
  if (clearingS < LEAST_S) return lacking(`let-through of the breaker, for it opens in under ${LEAST_S} s`);
  if (clearingS > MOST_S) return lacking(`a clearing time up to ${MOST_S} s`);
  return supply.boardA.value === null ? lacking(...supply.boardA.missing) : known(supply.boardA.value ** 2 * clearingS);
}

interface Conductors {
  readonly lineMm2: number;
  readonly peMm2: number;
  readonly lineK: number;
  readonly peK: number;
}

function conductors({ run, school }: RunResult): Answer<Conductors> {
  const { metal, insulation, sectionMm2, peMm2, peMetal, peInCable } = run;
  if (
    metal === null ||
    insulation === null ||
    sectionMm2 === null ||
    peMm2 === null ||
    peMetal === null ||
    peInCable === null
  )
    return lacking(
      ...(metal === null ? ['metal of the lines'] : []),
      ...(insulation === null ? ['insulation'] : []),
      ...(sectionMm2 === null ? ['section'] : []),
      ...(peMm2 === null ? ['PE section'] : []),
      ...(peMetal === null ? ['metal of the PE'] : []),
      ...(peInCable === null ? ['whether the PE is a core of the cable'] : []),
    );
  const lineK = school.adiabaticK({ metal, insulation, sectionMm2, place: 'core' });
  const peK = school.adiabaticK({
    metal: peMetal,
    insulation,
    sectionMm2: peMm2,
    place: peInCable ? 'core' : 'separate',
  });
  return lineK.value === null || peK.value === null
    ? lacking(...new Set([...lineK.missing, ...peK.missing]))
    : known({ lineMm2: sectionMm2, peMm2, lineK: lineK.value, peK: peK.value });
}

/** Section of one line conductor that a short circuit at the board asks for, mm²: S ≥ √(I²t)/k, parallels or not; the PE beside it. */
export const WITHSTAND = rule<RunResult>()({
  id: 'ac.adiabatic',
  title: 'Conductors survive a short circuit',
  unit: 'mm²',
  basis: published('IEC 60364-4-43, 434.5; IEC 60364-5-54, 543.1'),
  needs: {
    a2s: { as: 'clearing time of the breaker', answer: letThrough },
    of: { as: 'section, metal and insulation of line and PE', answer: conductors },
  },
  judge: ({ a2s, of: { lineMm2, peMm2, lineK, peK } }, { run }) => {
    const asked = withstandMm2(a2s, lineK);
    const peAsked = withstandMm2(a2s, peK);
    const judged = atMost({
      value: asked,
      limit: lineMm2,
      working: () => [
        `√(I²t)/k = √(${a2s.toExponential(3)} A²s)/${fixed(lineK, 0)} = ${fixed(asked, 1)} mm², a line has ${lineMm2} mm²`,
        `PE: ${fixed(peAsked, 1)} mm², it has ${peMm2} mm²`,
      ],
    });
    if (judged.verdict === 'stop') return judged;
    if (peAsked > peMm2)
      return withVerdict(judged, 'tight', () => [
        'the PE is under what a fault close to the board asks for: one section up, or a faster breaker',
      ]);
    return (run.parallel ?? 1) >= FED_FROM_BOTH_ENDS
      ? withVerdict(judged, 'tight', () => ['three cables or more: a fault in one is fed from both ends'])
      : judged;
  },
});
