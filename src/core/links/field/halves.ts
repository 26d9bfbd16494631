import { requireWithin } from '../../kernel/require';

/** Where a search by halves stands: which plug to pull next, or where the fault lies. */
export type Halves =
  | {
      /** Pull the plug behind this device, its place on the bus from 1, and ask those before it. */
      readonly pullBehind: number;
    }
  | {
      /** The device, or the piece of cable before it, by place from 1; null: none of them, every part answers. */
      readonly faultAt: number | null;
    };

/**
 * The next step of a search by halves over n devices, after so many answers: whether all before the plug that was pulled answered well. Of n places
 * and none at all, ⌈log₂(n + 1)⌉ answers single one out. Throws RangeError for no device, and for an answer more than are asked.
 */
export function halves(devices: number, answers: readonly boolean[]): Halves {
  requireWithin('devices', devices, 1, 600);
  let [from, to] = [1, devices + 1];
  for (const [i, well] of answers.entries()) {
    if (from === to) throw new RangeError(`answers must be at most ${i} (got ${answers.length})`);
    const at = middleOf(from, to);
    if (well) from = at + 1;
    else to = at;
  }
  if (from < to) return { pullBehind: middleOf(from, to) };
  return { faultAt: from > devices ? null : from };
}

const middleOf = (from: number, to: number): number => Math.floor((from + to - 1) / 2);
