import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { rigOf } from '../../lift/rigOf';
import type { HungUnit } from '../../results';

/** Pull on each eye bolt, kg, against its rating at this lean: the lower figure counts from plumb on, against the leg's own tension. */
export const EYE_BOLT_LOAD = rule<HungUnit>()({
  id: 'mounting.eye-bolts',
  title: 'Eye bolts under the hook',
  unit: 'kg',
  basis: published('DIN 580'),
  needs: { rig: { as: 'how the unit hangs on the hook', answer: rigOf } },
  judge: ({ rig }) => {
    if (rig === 'no hoist' || rig.eyes === null) return found('holds', () => ['no eye bolts']);
    const { thread, leanDeg, legKg, limitKg, verdict } = rig.eyes;
    const lean = `M${thread} at ${fixed(leanDeg, 1)}°`;
    return found(
      verdict,
      () => [
        limitKg === null
          ? `${lean}: over 45° there is no rating; raise the hook or take a spreader`
          : `${lean}: ${fixed(legKg, 1)} kg on each, rated ${limitKg} kg`,
        'shoulder seated, pull in the plane of the ring; out again before the cover goes on',
      ],
      limitKg === null
        ? { value: legKg }
        : { value: legKg, limit: limitKg, margin: (100 * (limitKg - legKg)) / limitKg },
    );
  },
});
