import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { classOf } from '../../../site/parts';
import type { LoadedTracker } from '../../onInput';

/** Whether everything on a tracker is alike: modules on one tracker share one voltage. */
export const TRACKER_MIX = rule<LoadedTracker>()({
  id: 'strings.tracker-mix',
  title: 'One type, tilt, azimuth and length',
  unit: '',
  basis: practice('modules on one tracker share one voltage: never mix; unequal lengths push current back'),
  sheetFree: true,
  needs: {},
  judge: (_, { first, strings }) => {
    const kinds = new Set(strings.map((s) => `${classOf(s.plane)}|${s.string.modules}`));
    return kinds.size > 1
      ? found('stop', () =>
          strings.map(
            (s) =>
              `string ${s.string.number}: ${s.plane.label}, ${s.module.name}, ${s.plane.tiltDeg}° / ${s.plane.azimuthDeg}°, ${s.string.modules} modules`,
          ),
        )
      : found('holds', () => [`${strings.length} × ${first.string.modules} modules of ${first.plane.label}`]);
  },
});
