import { z } from 'zod';
import { editOn } from '../kernel/discipline';
import { partId } from '../kernel/schema';
import { lineOf } from '../site/line';
import { MOST_INVERTERS } from '../site/parts';
import type { AcDesign, AcRun } from './part';
import { acRunSchema } from './part';
import { planSegments } from './planSegments';
import { reckonedRunM, runWay, supplyOf } from './results';
import { suggestRun } from './suggestRun';

/** The design with this run in the place of the inverter's run. */
export function withRun<D extends AcDesign>(d: D, run: AcRun): D {
  const known = d.runs.some((r) => r.inverterId === run.inverterId);
  return { ...d, runs: known ? d.runs.map((r) => (r.inverterId === run.inverterId ? run : r)) : [...d.runs, run] };
}

/** The same with several runs, each in the place of its inverter's. */
function withRuns<D extends AcDesign>(d: D, runs: readonly AcRun[]): D {
  const changed = new Map(runs.map((r) => [r.inverterId, r]));
  const kept = d.runs.map((r) => changed.get(r.inverterId) ?? r);
  const own = new Set(d.runs.map((r) => r.inverterId));
  return { ...d, runs: [...kept, ...runs.filter((r) => !own.has(r.inverterId))] };
}

/** The design with a run of the smallest breaker and sections that hold. Throws RangeError, naming what is missing or what no size meets. */
function withSuggestedRun(d: AcDesign, inverterId: string): AcDesign {
  const on = lineOf(d).unit(inverterId);
  const run = d.runs.find((r) => r.inverterId === inverterId);
  if (!on || !run) throw new RangeError(`inverterId must name an inverter with a run (got ${inverterId})`);
  const s = suggestRun(run, on.unit, on.type, d.survey, reckonedRunM(d.plan, on.unit, d.board), supplyOf(d));
  if ('missing' in s) throw new RangeError(`A suggestion for ${on.unit.tag} needs ${s.missing.join(', ')} first`);
  if ('unmet' in s) throw new RangeError(`No size of ${on.unit.tag} holds on every rule: ${s.unmet.join('; ')}`);
  return withRun(d, s.run);
}

/** The design with a run whose pieces are the trays of its way. Throws RangeError where the plan has none. */
function withPlanSegments(d: AcDesign, inverterId: string): AcDesign {
  const on = lineOf(d).unit(inverterId);
  const run = d.runs.find((r) => r.inverterId === inverterId);
  if (!on || !run) throw new RangeError(`inverterId must name an inverter with a run (got ${inverterId})`);
  const way = runWay(d.plan, on.unit, d.board);
  if (!way?.trays.length)
    throw new RangeError(
      `The plan has no tray from ${on.unit.tag} to ${d.board.label}: place both, and draw a tray for AC runs`,
    );
  return withRun(d, { ...run, segments: planSegments(d.plan, way, run.segments) });
}

const edit = editOn<AcDesign>();

/** What may be changed on the AC side. */
export const acEdits = [
  edit(
    'run',
    { run: acRunSchema },
    (d, { run }) => `the run of ${lineOf(d).tag(run.inverterId)}`,
    (d, { run }) => withRun(d, run),
  ),
  edit(
    'runs',
    { runs: z.array(acRunSchema).min(1).max(MOST_INVERTERS) },
    (d, { runs: [first, ...others] }) =>
      others.length ? `${others.length + 1} runs` : `the run of ${lineOf(d).tag(first?.inverterId ?? '')}`,
    (d, { runs }) => withRuns(d, runs),
  ),
  edit(
    'suggest-run',
    { inverterId: partId },
    (d, { inverterId }) => `the size of the run of ${lineOf(d).tag(inverterId)}`,
    (d, { inverterId }) => withSuggestedRun(d, inverterId),
  ),
  edit(
    'segments-of-plan',
    { inverterId: partId },
    (d, { inverterId }) => `the pieces of the way of ${lineOf(d).tag(inverterId)}`,
    (d, { inverterId }) => withPlanSegments(d, inverterId),
  ),
] as const;
