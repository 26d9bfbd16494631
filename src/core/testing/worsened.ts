import type { SiteDesign } from '../design';
import type { Worse } from './neverFlatters';

/** Ways to say which quantity of a design gets worse: of one part of a list, or of a single part. */

type Random = () => number;
const pick = <T>(items: readonly T[], random: Random): T | undefined => items[Math.floor(random() * items.length)];

/** A number or nothing, changed; null where it cannot be made worse. */
type Change<P> = (part: P, random: Random) => Partial<P> | null;

/** A list of the design with one of its parts changed. */
const worseIn =
  <P extends object>(list: (d: SiteDesign) => readonly P[], put: (d: SiteDesign, parts: P[]) => SiteDesign) =>
  (what: string, rules: readonly string[], change: Change<P>): Worse => ({
    what,
    rules,
    worsen: (d, random) => {
      // One of those that have the quantity at all.
      const part = pick(
        list(d).filter((p) => change(p, () => 0.5) !== null),
        random,
      );
      const changed = part && change(part, random);
      return part && changed
        ? put(
            d,
            list(d).map((p) => (p === part ? { ...p, ...changed } : p)),
          )
        : null;
    },
  });

export const worseRun = worseIn(
  (d) => d.runs,
  (d, runs) => ({ ...d, runs }),
);
export const worseString = worseIn(
  (d) => d.strings,
  (d, strings) => ({ ...d, strings }),
);
export const worsePlane = worseIn(
  (d) => d.planes,
  (d, planes) => ({ ...d, planes }),
);
export const worseModule = worseIn(
  (d) => d.equipment.modules,
  (d, modules) => ({ ...d, equipment: { ...d.equipment, modules } }),
);
export const worseType = worseIn(
  (d) => d.equipment.inverters,
  (d, inverters) => ({ ...d, equipment: { ...d.equipment, inverters } }),
);
export const worseDevice = worseIn(
  (d) => d.chain.devices,
  (d, devices) => ({ ...d, chain: { ...d.chain, devices } }),
);
export const worseBus = worseIn(
  (d) => [d.chain.line],
  (d, [line = d.chain.line]) => ({ ...d, chain: { ...d.chain, line } }),
);
export const worsePoll = worseIn(
  (d) => [d.chain.poll],
  (d, [poll = d.chain.poll]) => ({ ...d, chain: { ...d.chain, poll } }),
);
export const worseEthernet = worseIn(
  (d) => d.chain.otherWays.ethernet,
  (d, ethernet) => ({ ...d, chain: { ...d.chain, otherWays: { ...d.chain.otherWays, ethernet } } }),
);
export const worseRadio = worseIn(
  (d) => d.chain.otherWays.radio,
  (d, radio) => ({ ...d, chain: { ...d.chain, otherWays: { ...d.chain.otherWays, radio } } }),
);
export const worseWall = worseIn(
  (d) => d.walls,
  (d, walls) => ({ ...d, walls }),
);
export const worseRoom = worseIn(
  (d) => d.plan.rooms,
  (d, rooms) => ({ ...d, plan: { ...d.plan, rooms } }),
);
export const worseHung = worseIn(
  (d) => d.hung,
  (d, hung) => ({ ...d, hung }),
);
export const worseSurvey = worseIn(
  (d) => [d.survey],
  (d, [survey = d.survey]) => ({ ...d, survey }),
);
export const worseBoard = worseIn(
  (d) => [d.board],
  (d, [board = d.board]) => ({ ...d, board }),
);
export const worseCable = worseIn(
  (d) => [d.dcCable],
  (d, [dcCable = d.dcCable]) => ({ ...d, dcCable }),
);

/** A number raised by up to so much, or scaled up by up to so many times itself; null stays null. */
export const raised = (x: number | null, by: number, random: Random): number | null =>
  x === null ? null : x + by * random();
export const grown = (x: number | null, most: number, random: Random): number | null =>
  x === null ? null : x * (1 + (most - 1) * random());
export const shrunk = (x: number | null, least: number, random: Random): number | null =>
  x === null ? null : x * (1 - (1 - least) * random());
/** The next lower of a series; null at its end or off it. */
export const nextBelow = (x: number | null, series: readonly number[]): number | null => {
  const at = x === null ? -1 : series.indexOf(x);
  return at > 0 ? (series[at - 1] ?? null) : null;
};
/** A change of one field, unless there is nothing to change. */
export const only = <K extends string, V>(field: K, value: V | null): { [key in K]: V } | null =>
  value === null ? null : ({ [field]: value } as { [key in K]: V });
