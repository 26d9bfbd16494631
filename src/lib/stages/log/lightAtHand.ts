import type { Entry } from '$core/proving/entry';
import { STRING_TEST } from '$core/proving/kinds/stringTest';
import { lightStands } from '$core/proving/light';

/** A light that was read for another string and stands for the next one. */
export interface LightAtHand {
  /** When it was read, by this device. */
  readonly at: string;
  readonly cellC: number;
  readonly irradianceWm2: number;
  readonly ageMin: number;
}

/**
 * The newest light that this device read, where it was within minutes: two clocks cannot say how old it is. Null where none stands.
 * `entries` in the order in which they came; `nowMs` by this device's clock.
 */
export function lightAtHand(entries: readonly Entry[], device: string, nowMs: number): LightAtHand | null {
  const last = entries.filter(STRING_TEST.is).findLast((e) => e.device?.id === device && e.values.lightAt === null);
  if (!last) return null;
  const ageMs = Math.max(0, nowMs - Date.parse(last.doneAt));
  if (!lightStands(ageMs)) return null;
  const { cellC, irradianceWm2 } = last.values;
  return { at: last.doneAt, cellC, irradianceWm2, ageMin: Math.floor(ageMs / 60_000) };
}
