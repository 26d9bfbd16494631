import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { AcRun } from '../../part';
import type { RunResult } from '../../results';
import { CONDUCTORS } from '../../wiring';

const CORES_IN = { '4-core': 4, '5-core': 5 } as const;

/** Cores of the cable against the conductors it has to bring, and one metal for all cores of a cable. */
function judged({ cores, peInCable, metal, peMetal }: Known, conductors: number) {
  if (cores === '1-core')
    return found('holds', () => [`singles: ${conductors} to every set, the PE among them`], { limit: conductors });
  const wanted = conductors - (peInCable ? 0 : 1);
  const enough = CORES_IN[cores] >= wanted;
  const alike = !peInCable || metal === peMetal;
  return found(
    enough && alike ? 'holds' : 'stop',
    () => [
      `${CORES_IN[cores]} cores for ${wanted} conductors, the PE ${peInCable ? 'among them' : 'beside the cable'}`,
      ...(alike ? [] : [`The lines are ${metal} and the PE ${peMetal}: the cores of one cable are of one metal.`]),
    ],
    { value: CORES_IN[cores], limit: wanted },
  );
}

type Known = { readonly [K in 'cores' | 'peInCable' | 'metal' | 'peMetal']: NonNullable<AcRun[K]> };

/** Whether the cable brings every conductor that the unit’s terminals want. */
export const CORES = rule<RunResult>()({
  id: 'ac.cores',
  title: 'The cable has a core for every terminal',
  unit: 'cores',
  basis: dataSheet('conductors at the AC terminals'),
  needs: {
    cores: { as: 'cores', of: (r) => r.run.cores },
    peInCable: {
      as: 'whether the PE is a core of the cable',
      of: (r) => (r.run.cores === '1-core' ? false : r.run.peInCable),
    },
    metal: { as: 'metal of the lines', of: (r) => r.run.metal },
    peMetal: { as: 'metal of the PE', of: (r) => r.run.peMetal },
  },
  judge: (known, { type }) => judged(known, CONDUCTORS[type.wiring]),
});
