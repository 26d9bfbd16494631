import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { atMost, found, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { whereHoisted } from '../../lift/hoisted';
import type { Rope } from '../../lift/rigging';
import { LEAN_GOOD_DEG, LEAN_MOST_DEG, ROPE_FACTOR, breakingLoadKn } from '../../lift/rigging';
import { rigOf } from '../../lift/rigOf';
import type { HungUnit } from '../../results';

const legOf = (h: HungUnit): Answer<{ rope: Rope; breakingKn: number } | 'no hoist'> =>
  whereHoisted(
    h,
    ({ rope, breakingKn }) => ({ 'what the legs are made of': rope, 'breaking load of a leg': breakingKn }),
    (k) => ({ rope: k['what the legs are made of'], breakingKn: k['breaking load of a leg'] }),
  );

/** Breaking load that each leg has to have, kN, against what its tag says; legs that lean far are said, and refused over 60°. */
export const SLINGS = rule<HungUnit>()({
  id: 'mounting.slings',
  title: 'Legs on the hook',
  unit: 'kN',
  basis: published('Directive 2006/42/EC, annex I 4.1.2.5; lean after EN 1492-1'),
  needs: {
    rig: { as: 'how the unit hangs on the hook', answer: rigOf },
    leg: { as: 'breaking load of a leg', answer: legOf },
  },
  judge: ({ rig, leg }) => {
    if (rig === 'no hoist' || leg === 'no hoist') return found('holds', () => ['no hoist']);
    const { rope, breakingKn } = leg;
    const askedKn = breakingLoadKn(rig.legKg, rope);
    const judged = atMost({
      value: askedKn,
      limit: breakingKn,
      working: () => [
        `${rig.legs} legs at ${fixed(rig.leanDeg, 1)}° from plumb: T = ${fixed(rig.legKg, 1)} kg each`,
        `T · g · ${ROPE_FACTOR[rope]} for ${rope} = ${fixed(askedKn, 2)} kN, breaking load ${breakingKn} kN`,
      ],
    });
    if (rig.leanDeg > LEAN_MOST_DEG) return withVerdict(judged, 'stop', () => [`no leg leans over ${LEAN_MOST_DEG}°`]);
    return judged.verdict === 'holds' && rig.leanDeg > LEAN_GOOD_DEG
      ? withVerdict(judged, 'tight', () => [`over ${LEAN_GOOD_DEG}° from plumb: a higher hook spares the legs`])
      : judged;
  },
});
