import { conductorKg } from '../candidates/cableCost';
import { cableWords } from '../cableWords';
import { cablesThroughWall } from '../gland';
import type { RunResult } from '../results';
import { CONDUCTORS } from '../wiring';
import type { AskedCable } from './cableStore';
import type { Cut } from './drums';

/** One kind of cable of a site: every piece of it, and what it comes to. */
export interface CableKindList {
  readonly name: string;
  /** As the store knows it. */
  readonly cable: AskedCable;
  readonly cuts: readonly Cut[];
  readonly metres: number;
  readonly conductorKg: number;
}

export interface CableTotals {
  readonly kinds: readonly CableKindList[];
  readonly copperKg: number;
  readonly aluminiumKg: number;
  /** At both ends, of lines, neutral and PE. */
  readonly lugs: number;
  /** Entries of cables at the units. */
  readonly glands: number;
  /** Runs that are not in it, with what they lack. */
  readonly without: readonly { readonly tag: string; readonly missing: readonly string[] }[];
}

const missingOf = ({ run, lengthM }: RunResult): string[] => [
  ...(run.sectionMm2 === null ? ['section'] : []),
  ...(run.metal === null ? ['metal of the lines'] : []),
  ...(run.parallel === null ? ['cables in parallel'] : []),
  ...(run.cores === null ? ['cores'] : []),
  ...(lengthM === null ? ['length of the run'] : []),
];

/** Pieces of one run: a cable a set, or every single conductor of every set. */
function cutsOf({ run, inverter, lengthM, type }: RunResult): Cut[] {
  const conductors = CONDUCTORS[type.wiring];
  const sets = run.parallel ?? 1;
  const singles = run.cores === '1-core';
  return Array.from({ length: singles ? sets * conductors : sets }, (_, i) => ({
    tag: singles
      ? `${inverter.tag} ${i + 1} of ${sets * conductors}`
      : sets > 1
        ? `${inverter.tag} cable ${i + 1}`
        : inverter.tag,
    lengthM: lengthM ?? 0,
  }));
}

const coresOf = ({ run, type }: RunResult) =>
  run.cores === '5-core' ? 5 : run.cores === '4-core' ? 4 : CONDUCTORS[type.wiring];

function kgOf(r: RunResult): number {
  const { metal, sectionMm2, parallel } = r.run;
  if (metal === null || sectionMm2 === null || parallel === null || r.lengthM === null) return 0;
  return conductorKg({ metal, sectionMm2, parallel, lengthM: r.lengthM, cores: coresOf(r) });
}

/** What the AC runs of a site take: cuts by kind of cable, metal, lugs and glands. Lengths as entered, else by the plan with slack and ends. */
export function cableTotals(runs: readonly RunResult[]): CableTotals {
  const whole = runs.filter((r) => missingOf(r).length === 0);
  const byKind = new Map<string, RunResult[]>();
  for (const r of whole) {
    const name = cableWords({ ...r, run: { ...r.run, parallel: 1 } });
    byKind.set(name, [...(byKind.get(name) ?? []), r]);
  }
  const of = (metal: 'Cu' | 'Al') => whole.filter((r) => r.run.metal === metal).reduce((kg, r) => kg + kgOf(r), 0);
  return {
    kinds: [...byKind].map(([name, alike]) => {
      const cuts = alike.flatMap(cutsOf);
      const { metal, insulation, cores, sectionMm2 } = (alike[0] as RunResult).run;
      return {
        name,
        cable: { metal, insulation, cores, sectionMm2 },
        cuts,
        metres: cuts.reduce((m, c) => m + c.lengthM, 0),
        conductorKg: alike.reduce((kg, r) => kg + kgOf(r), 0),
      };
    }),
    copperKg: of('Cu'),
    aluminiumKg: of('Al'),
    lugs: whole.reduce((n, r) => n + 2 * (r.run.parallel ?? 0) * CONDUCTORS[r.type.wiring], 0),
    glands: whole.reduce((n, r) => n + (cablesThroughWall(r.run, r.type.wiring) ?? 0), 0),
    without: runs.flatMap((r) => {
      const missing = missingOf(r);
      return missing.length ? [{ tag: r.inverter.tag, missing }] : [];
    }),
  };
}
