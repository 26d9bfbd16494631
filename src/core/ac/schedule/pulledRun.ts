import type { Metal } from '../../conductor/metal';
import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import type { Check } from '../../kernel/check';
import { exactly } from '../../kernel/publishedTable';
import { ask } from '../../kernel/rule';
import type { Position } from '../../site/position';
import type { AcRun } from '../part';
import type { RunResult } from '../results';
import { AC_RULES } from '../rules';
import { CABLE_MASS } from '../tables/cableMass';
import { CONDUCTORS } from '../wiring';
import type { ChosenPull, PulledRun } from './pull';
import { easierEnd } from './pull';

/** What a conductor may be pulled by, N/mm² (IEC 60364-5-52 and cable makers; recalled). The lines alone count: a PE may be thinner. */
const MOST_N_PER_MM2: Readonly<Record<Metal, number>> = { Cu: 50, Al: 30 };
const LINES = 3;
/** Most tension on the conductors of a run pulled together, N. */
export function pullMostN({ metal, sectionMm2, parallel }: AcRun): Answer<number> {
  return given(
    { 'metal of the lines': metal, section: sectionMm2, 'cables in parallel': parallel },
    (k) => MOST_N_PER_MM2[k['metal of the lines']] * k.section * LINES * k['cables in parallel'],
  );
}

/** Mass of everything that is pulled for a run, kg/m: its cables in parallel, all at once. Five cores as four and a quarter of them more. */
export function pulledKgPerM(run: AcRun, conductors: number): Answer<number> {
  const { metal, cores, sectionMm2, parallel } = run;
  if (metal === null || cores === null || sectionMm2 === null || parallel === null)
    return lacking(
      ...(sectionMm2 === null ? ['section'] : []),
      ...(metal === null ? ['metal of the lines'] : []),
      ...(cores === null ? ['cores'] : []),
      ...(parallel === null ? ['cables in parallel'] : []),
    );
  const one = exactly(CABLE_MASS, sectionMm2, `${cores === '1-core' ? '1-core' : '4-core'} ${metal}`);
  if (one === undefined) return lacking(`mass of a ${cores} cable of ${sectionMm2} mm² ${metal}`);
  const cables = cores === '1-core' ? conductors * parallel : parallel;
  return known(one * cables * (cores === '5-core' ? 5 / 4 : 1));
}

/** How a run would be pulled over the plan. friction 0.05…1 · radiusM of its bends, m, above 0 (RangeError). */
export function pulledRun(
  { run, inverter: { tag, id }, type }: RunResult,
  points: readonly Position[] | null,
  friction: number,
  radiusM: number,
): PulledRun {
  const kgPerM = pulledKgPerM(run, CONDUCTORS[type.wiring]);
  const missing = [...kgPerM.missing, ...(points ? [] : [`where ${tag} and the board stand`])];
  const chosen =
    points && kgPerM.value !== null
      ? known(easierEnd(points, kgPerM.value, friction, radiusM))
      : lacking<ChosenPull>(...missing);
  return { tag, id, kgPerM, chosen, mostN: pullMostN(run) };
}

/** Tension and sidewall pressure of a pull against what cable and bends take. */
export const pullChecks = (p: PulledRun): Check[] =>
  ask(AC_RULES.pull, p, { element: 'run', path: `${p.tag} / pull`, id: p.id });
