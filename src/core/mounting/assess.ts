import type { Check } from '../kernel/check';
import type { Memo } from '../kernel/memo';
import { ask } from '../kernel/rule';
import type { MountingDesign } from './part';
import type { HungUnit, LoadedFrame, MountingResult } from './results';
import { MOUNTING_RULES as RULES } from './rules';

/** Every check of the units that hang on walls. Empty while none does. */
export function assessMounting(
  design: MountingDesign,
  { hung, frames }: MountingResult,
  memo: Memo,
): readonly (readonly Check[])[] {
  const on = [design.walls, design.hung, design.inverters, design.equipment.inverters, design.survey, design.plan];
  return [memo.keep('mounting/checks', on, () => [...hung.flatMap(hungChecks), ...frames.flatMap(frameChecks)])];
}

/** The checks of one frame with all that hangs on it. */
const frameChecks = (f: LoadedFrame): Check[] =>
  ask(RULES.stand, f, { element: 'wall', path: f.wall.label, id: f.wall.id });

/** The checks of one unit on its wall. */
function hungChecks(h: HungUnit): Check[] {
  const subject = { element: 'wall', path: `${h.unit.tag} on ${h.wall.label}`, id: h.unit.id } as const;
  return [
    ...ask(RULES.place, h, subject),
    ...ask(RULES.air, h, subject),
    ...ask(RULES.lift, h, subject),
    ...ask(RULES.fix, h, subject),
  ];
}
