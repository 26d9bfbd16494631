/** A joint with the moment at which its torque was typed, s after the first; undefined where nobody noted it. */
export interface TypedJoint {
  readonly at: string;
  readonly afterS?: number | undefined;
}

/** Nobody moves to the next joint, sets the tool and marks it in less, s (common practice). */
const LEAST_APART_S = 8;

/** Joints in the order in which they were typed; null where that is not known of all. */
function inTypedOrder(joints: readonly TypedJoint[]): (TypedJoint & { readonly afterS: number })[] | null {
  const timed = joints.flatMap(({ at, afterS }) => (afterS === undefined ? [] : [{ at, afterS }]));
  return timed.length === joints.length ? timed.sort((a, b) => a.afterS - b.afterS) : null;
}

/** How many joints were typed sooner after the one before than anybody tightens them: entered from paper. */
export function typedTooFast(joints: readonly TypedJoint[]): number {
  const order = inTypedOrder(joints) ?? [];
  return order.filter((j, i) => i > 0 && j.afterS - (order[i - 1]?.afterS ?? 0) < LEAST_APART_S).length;
}

/**
 * What is out of order in the tightening of each end, in words: the earth first, then from one side to the other, from L1 to N or back
 * (two schools, common practice). Null where nobody knows the order: not all noted, or typed from paper.
 */
export function outOfOrder(joints: readonly TypedJoint[]): string[] | null {
  const order = inTypedOrder(joints);
  if (!order || order.length < 2 || typedTooFast(joints) > 0) return null;
  const ends = [...new Set(order.map((j) => endOf(j.at)))];
  return ends.flatMap((end) => {
    const own = order.filter((j) => endOf(j.at) === end).map((j) => nameOf(j.at));
    const firstLine = own.findIndex((name) => LINES.includes(name));
    const late = own.filter((name, i) => !LINES.includes(name) && firstLine !== -1 && i > firstLine);
    const lines = own.filter((name) => LINES.includes(name)).map((name) => LINES.indexOf(name));
    const turns = lines.slice(1).map((x, i) => Math.sign(x - (lines[i] ?? 0)));
    return [
      ...late.map((name) => `${end} ${name} after the lines: the earth comes first`),
      ...(new Set(turns).size > 1 ? [`${end}: ${own.join(', ')} goes back and forth`] : []),
    ];
  });
}

const LINES = ['L1', 'L2', 'L3', 'N'];
const endOf = (at: string): string => at.slice(0, at.indexOf(' '));
const nameOf = (at: string): string => at.slice(at.indexOf(' ') + 1);
