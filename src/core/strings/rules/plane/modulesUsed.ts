import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { Plane } from '../../../site/parts';

/** A plane and the modules of it that hang on an input; null while the site has no string at all. */
export interface PlaneInUse {
  readonly plane: Plane;
  readonly hung: number | null;
}

/** Whether the modules drawn on a plane hang on strings. */
export const MODULES_USED = rule<PlaneInUse>()({
  id: 'strings.modules-used',
  title: 'Modules that hang on a string',
  unit: 'modules',
  basis: practice('every module drawn should be wired'),
  needs: { hung: { as: 'strings', of: (p) => p.hung } },
  judge: ({ hung }, { plane }) =>
    found(
      hung > plane.moduleCount ? 'stop' : hung < plane.moduleCount ? 'tight' : 'holds',
      () => [`${hung} of ${plane.moduleCount} modules hang on an input`],
      { value: hung, limit: plane.moduleCount },
    ),
});
