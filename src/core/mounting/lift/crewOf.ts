import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { HungUnit } from '../results';
import type { CrewFloor } from './team';
import { crewFloor } from './team';

/** The floor of the trade for a unit on its wall, with the height of the hands when it is hooked on: its highest handles. */
export function crewOf({ type, at }: HungUnit): Answer<CrewFloor & { readonly handsM: number }> {
  const { massKg, body } = type;
  const { handles, centreXMm, widthMm, gearOnly } = body;
  const missing = [
    ...(massKg === null ? [`mass of ${type.name}`] : []),
    ...(handles.length === 0 ? [`handles of ${type.name}`] : []),
    ...(centreXMm === null ? [`centre of gravity of ${type.name}`] : []),
    ...(widthMm === null ? [`width of ${type.name}`] : []),
    ...(gearOnly === null ? [`whether ${type.name} is lifted by gear only`] : []),
  ];
  if (massKg === null || centreXMm === null || widthMm === null || gearOnly === null || missing.length)
    return lacking(...missing);
  const handsM = (at.yMm + Math.max(...handles.map((h) => h.yMm))) / 1000;
  const offMiddlePercent = (100 * Math.abs(centreXMm - widthMm / 2)) / widthMm;
  return known({
    ...crewFloor({ massKg, fourHandles: handles.length === 4, offMiddlePercent, handsM, gearOnly }),
    handsM,
  });
}
