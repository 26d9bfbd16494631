import { practice, published } from '../../../kernel/check';
import { atLeast, found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { AMERICAN_MM, USUAL_MM, leastSeparationMm } from '../../line/separation';
import type { BusLine } from '../../line/busLine';
import type { ChainResult } from '../../results';

/** What the chosen school asks, mm, in its words; `from` names the inputs it still wants. */
function asked(line: BusLine): { readonly mm: number; readonly how: string } | readonly string[] {
  const { barrier, cableClass, powerCircuits } = line;
  if (line.separationBy === '200 mm') return { mm: USUAL_MM, how: 'in parallel; cross at a right angle' };
  const wanted = [
    ...(barrier === null ? ['barrier between bus and power'] : []),
    ...(line.separationBy === 'EN 50174-2' && cableClass === null ? ['separation class of the bus cable'] : []),
    ...(line.separationBy === 'EN 50174-2' && powerCircuits === null ? ['power circuits beside the bus cable'] : []),
  ];
  if (wanted.length || barrier === null) return wanted;
  if (line.separationBy === 'NFPA 70, 725.136')
    return barrier === 'none'
      ? { mm: AMERICAN_MM, how: '2 in without a barrier' }
      : { mm: 0, how: `${barrier} barrier in between` };
  if (cableClass === null || powerCircuits === null) return wanted;
  return {
    mm: leastSeparationMm(cableClass, barrier, powerCircuits),
    how: `class ${cableClass}, barrier ${barrier}, ${powerCircuits} circuits of 230 V and 20 A`,
  };
}

/** Distance of the bus cable from power cables that run beside it. */
export const SEPARATION = rule<ChainResult>()({
  id: 'links.separation',
  title: 'Distance from power cables',
  unit: 'mm',
  basis: practice('200 mm in parallel, crossings at a right angle; EN 50174-2 and NFPA 70, 725.136 as schools'),
  needs: {
    by: { as: 'what the distance from power cables is judged by', of: (c) => c.chain.line.separationBy },
    mm: { as: 'distance of the bus cable from power cables', of: (c) => c.chain.line.separationMm },
    least: {
      as: 'barrier, separation class and circuits beside the bus cable',
      of: ({ chain: { line } }) => {
        const least = asked(line);
        return 'mm' in least ? least : null;
      },
      missing: ({ chain: { line } }) => {
        const least = asked(line);
        return 'mm' in least ? [] : line.separationBy === null ? [] : least;
      },
    },
  },
  judge: ({ by, mm, least }) => {
    const basis = by === '200 mm' ? undefined : published(by === 'EN 50174-2' ? 'EN 50174-2:2009' : by);
    const working = () => [`${fixed(mm, 0)} mm, wanted ${fixed(least.mm, 0)} mm: ${least.how}`];
    return least.mm === 0
      ? found('holds', working, { value: mm, limit: 0, basis })
      : atLeast({ value: mm, limit: least.mm, working, basis });
  },
});
