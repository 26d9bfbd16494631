import type { InverterBody } from '../equipment/inverterBody';
import type { MountedReading } from '../proving/readings/mountedReading';
import { T100 } from './examples';

/** A unit that hangs as it should, with what a test wants otherwise. */
export const mountedReading = (
  over: Partial<Omit<MountedReading, 'type'>> & { readonly body?: Partial<InverterBody> } = {},
): MountedReading => {
  const { body, ...found } = over;
  return {
    type: { ...T100, body: { ...T100.body, safetyHoles: [], bracketHoles: [], ...body } },
    safetyScrews: 2,
    fixings: 4,
    rollDeg: 0,
    backDeg: 0,
    hooksEngaged: true,
    clearancesKept: true,
    ...found,
  };
};
