import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Conductors of a run that end at the unit, by what they are called, with their metals; null where nobody said. */
const landed = ({ run }: RunResult) =>
  [
    ['lines', run.metal],
    ['PE', run.peMetal],
    ['external earth', run.externalEarthMetal],
  ] as const;

/** Whether the unit takes the metal of every conductor that ends there: copper always, aluminium where the sheet says so. */
export const ALUMINIUM = rule<RunResult>()({
  id: 'ac.aluminium',
  title: 'Conductor metals are allowed at the terminals',
  unit: '',
  basis: dataSheet('aluminium conductors'),
  needs: {
    metals: {
      as: 'metals of lines, PE and external earth',
      of: (r) => (landed(r).every(([, metal]) => metal !== null) ? landed(r) : null),
      missing: (r) => landed(r).flatMap(([name, metal]) => (metal === null ? [`metal of the ${name}`] : [])),
    },
    allowed: {
      as: 'whether the inverter allows aluminium',
      of: (r) => landed(r).every(([, metal]) => metal !== 'Al') || r.type.bay.aluminiumAllowed,
      missing: (r) => [`whether ${r.type.name} allows aluminium`],
    },
  },
  judge: ({ metals, allowed }) => {
    const ofAluminium = metals.filter(([, metal]) => metal === 'Al').map(([name]) => name);
    if (ofAluminium.length === 0) return found('holds', () => ['Copper throughout']);
    const words = ofAluminium.join(', ');
    return allowed
      ? found('holds', () => [`Aluminium: ${words}. The data sheet allows it on bimetal lugs`])
      : found('stop', () => [`Aluminium: ${words}. The data sheet does not allow it`]);
  },
});
