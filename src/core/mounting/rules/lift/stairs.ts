import { practice } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { HANDLE_GOOD_KG, HANDLE_MOST_KG } from '../../lift/handles';
import type { StairCarry } from '../../lift/stairsOf';
import { stairsOf } from '../../lift/stairsOf';
import type { HungUnit } from '../../results';

function carryOf({ type, wall }: HungUnit): Answer<StairCarry | 'none'> {
  const { stairsDeg } = wall.lift;
  if (stairsDeg === null) return lacking('slope of stairs on the way');
  return stairsDeg === 0 ? known('none') : stairsOf(type, stairsDeg);
}

/** What the worse of two carriers holds on stairs, kg: one handle, one person, as on the flat. */
export const STAIRS = rule<HungUnit>()({
  id: 'mounting.stairs',
  title: 'Carried on stairs',
  unit: 'kg',
  basis: practice('25 kg holds, 50 kg at most; statics of two carriers'),
  needs: { carry: { as: 'slope of stairs on the way', answer: carryOf } },
  judge: ({ carry }, { wall }) => {
    if (carry === 'none') return found('holds', () => ['no stairs on the way']);
    const { upperKg, lowerKg, worstKg, ahead } = carry;
    const verdict = upperKg < 0 || worstKg > HANDLE_MOST_KG ? 'stop' : worstKg > HANDLE_GOOD_KG ? 'tight' : 'holds';
    return found(
      verdict,
      () => [
        `${wall.lift.stairsDeg}° of stairs, its ${ahead} end ahead: upper ${fixed(upperKg, 1)} kg, lower ${fixed(lowerKg, 1)} kg`,
        ...(verdict === 'holds' ? [] : ['a stair climber, or another way']),
      ],
      { value: worstKg, limit: HANDLE_MOST_KG, margin: (100 * (HANDLE_MOST_KG - worstKg)) / HANDLE_MOST_KG },
    );
  },
});
