import type { TorqueJoint } from './torqueJoint';

/** A joint with its resistance, µΩ, and the lowest of the joints like it, itself among them; null where fewer than three were read. */
export interface JointOhms {
  readonly at: string;
  readonly microOhm: number;
  readonly lowestMicroOhm: number | null;
}

/** So many like joints tell which of them is bad. */
const LIKE_MIN = 3;

/** The joints that have others like them: lines and neutral of one end, on lugs of one kind. An earth stands alone, on a lug of its own. */
export const joinedAlike = (joints: readonly TorqueJoint[]): TorqueJoint[] =>
  joints.filter(({ at }) => /^\w+ (L\d|N)$/.test(at));

/** Joints as they were read, µΩ, each beside those of its end. What the unit does not have is left out. */
export function jointsBeside(
  joints: readonly TorqueJoint[],
  read: readonly Pick<JointOhms, 'at' | 'microOhm'>[],
): JointOhms[] {
  const known = joints.flatMap(({ at, end }) => {
    const own = read.find((r) => r.at === at);
    return own ? [{ ...own, end }] : [];
  });
  return known.map(({ at, microOhm, end }) => {
    const alike = known.filter((k) => k.end === end).map((k) => k.microOhm);
    return { at, microOhm, lowestMicroOhm: alike.length >= LIKE_MIN ? Math.min(...alike) : null };
  });
}
