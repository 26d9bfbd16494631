import type { InverterType } from '../../equipment/inverterType';
import { fixed } from '../../kernel/quantity';
import { withInverterType } from '../../site/edits';
import { lineOf } from '../../site/line';
import { suitsGrid } from '../../site/nominalVoltage';
import type { SiteInverter } from '../../site/parts';
import { RATIO_LEAST_PERCENT, RATIO_MOST_PERCENT } from '../dcAcRatio';
import type { StringsDesign } from '../part';
import { objectiveOf } from './objective';
import { layoutProblem } from './problem';
import { LAYOUT_MOST_UNITS } from './size';
import { startLayout } from './start';

/** How many units of each type. */
export interface Fleet {
  readonly units: readonly { readonly type: InverterType; readonly count: number }[];
}

export interface FleetAnswer extends Fleet {
  readonly ratedW: number;
  readonly dcW: number;
  readonly ratio: number;
  readonly unusedModules: number;
  readonly freeInputs: number;
  readonly distinctLengths: number;
  /** Why it stands where it stands, in words. */
  readonly why: readonly string[];
}

/** DC/AC ratio aimed at when nobody says otherwise (common practice: 1.1 to 1.3 on flat roofs). */
const RATIO_WANTED = 1.2;

/**
 * What to hang here: fleets of one type, and of a large one with a smaller one for the rest, that suit the grid voltage and lie between
 * 90 and 150 % DC/AC, each laid out by the constructive start. Ranked: fewest modules left over, fewest units, ratio nearest the
 * wanted one. The three best; empty where no type on the shelf suits.
 */
export function fleetsFor(
  design: StringsDesign,
  shelf: readonly InverterType[],
  ratioWanted = RATIO_WANTED,
): FleetAnswer[] {
  const watts = lineOf(design).drawnW;
  const { lineV } = design.survey;
  const suited = shelf.filter((t) => lineV !== null && suitsGrid(lineV, t) === true);
  if (watts === 0 || suited.length === 0) return [];
  const seen = new Set<string>();
  const candidates = suited.flatMap((large) => {
    const alone = Math.max(1, Math.round(watts / (ratioWanted * large.ratedW)));
    const single = [alone - 1, alone, alone + 1].map((count): Fleet => ({ units: [{ type: large, count }] }));
    const mixed = suited
      .filter((small) => small.ratedW < large.ratedW)
      .flatMap((small): Fleet[] => {
        const count = Math.floor(watts / (ratioWanted * large.ratedW));
        const rest = watts - count * ratioWanted * large.ratedW;
        const few = Math.round(rest / (ratioWanted * small.ratedW));
        return count > 0 && few > 0
          ? [
              {
                units: [
                  { type: large, count },
                  { type: small, count: few },
                ],
              },
            ]
          : [];
      });
    return [...single, ...mixed];
  });
  return candidates
    .filter((f) => {
      const total = f.units.reduce((s, u) => s + u.count, 0);
      const ratio = watts / f.units.reduce((s, u) => s + u.count * u.type.ratedW, 0);
      const key = f.units.map((u) => `${u.type.id}×${u.count}`).join('+');
      const fresh = !seen.has(key);
      seen.add(key);
      return (
        fresh &&
        total > 0 &&
        total <= LAYOUT_MOST_UNITS &&
        f.units.every((u) => u.count > 0) &&
        100 * ratio >= RATIO_LEAST_PERCENT &&
        100 * ratio <= RATIO_MOST_PERCENT
      );
    })
    .flatMap((f) => worthOf(design, f, ratioWanted))
    .sort(
      (a, b) =>
        a.unusedModules - b.unusedModules ||
        unitsOf(a) - unitsOf(b) ||
        Math.abs(a.ratio - ratioWanted) - Math.abs(b.ratio - ratioWanted),
    )
    .slice(0, 3);
}

const unitsOf = (f: Fleet) => f.units.reduce((s, u) => s + u.count, 0);

/** The design with this fleet in the place of its inverters; new units stand nowhere yet, under ids that nothing had before. Locks stay: those on what went are named as broken until a hand takes them off. */
export function withFleet<D extends StringsDesign>(design: D, fleet: Fleet): D {
  const taken = new Set(design.inverters.map((u) => u.id));
  const inverters: SiteInverter[] = [];
  let number = 0;
  for (const { type, count } of fleet.units)
    for (let i = 0; i < count; i++) {
      do number++;
      while (taken.has(`unit-${number}`));
      const tag = `INV-${String(inverters.length + 1).padStart(2, '0')}`;
      inverters.push({ id: `unit-${number}`, tag, typeId: type.id, position: null });
    }
  return {
    ...fleet.units.reduce((d, { type }) => withInverterType(d, type), design),
    inverters,
    strings: design.strings.map((s) => ({ ...s, place: null })),
  };
}

/** Wishes that speak of no inverter and no string. */
const locksOfPlanes = ({ locks }: StringsDesign) => locks.filter((l) => !('inverterId' in l) && l.kind !== 'string');

function worthOf(design: StringsDesign, fleet: Fleet, ratioWanted: number): FleetAnswer[] {
  // What a fleet is worth does not hang on locks of the units it would replace.
  const hung = withFleet({ ...design, locks: locksOfPlanes(design) }, fleet);
  const { problem } = layoutProblem(hung, 'preferred');
  if (!problem) return [];
  const { counts } = startLayout(problem);
  const objective = objectiveOf(problem, counts);
  const dcW = counts.reduce((s, c) => s + c.strings * c.modules * (problem.planes[c.plane]?.moduleW ?? 0), 0);
  const ratedW = fleet.units.reduce((s, u) => s + u.count * u.type.ratedW, 0);
  const inputs = fleet.units.reduce((s, u) => s + u.count * u.type.trackers * u.type.inputsPerTracker, 0);
  const freeInputs = inputs - counts.reduce((s, c) => s + c.strings, 0);
  const ratio = dcW / ratedW;
  return [
    {
      ...fleet,
      ratedW,
      dcW,
      ratio,
      unusedModules: objective.unused,
      freeInputs,
      distinctLengths: objective.distinctLengths,
      why: [
        objective.unused === 0 ? 'uses every module' : `leaves ${objective.unused} modules over`,
        `${unitsOf(fleet)} units to lift, bond and terminate`,
        `DC/AC ${fixed(100 * ratio, 0)} %, ${fixed(Math.abs(100 * (ratio - ratioWanted)), 0)} points ${ratio > ratioWanted ? 'above' : 'below'} the wanted ${fixed(100 * ratioWanted, 0)} %`,
        `${freeInputs} inputs stay free, ${objective.distinctLengths} different lengths to cable`,
      ],
    },
  ];
}
