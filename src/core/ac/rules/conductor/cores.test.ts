import type { AcRun } from '../../part';
import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { CORES } from './cores';

const cable = (
  cores: AcRun['cores'],
  wiring: '5-wire' | '4-wire with neutral jumper' | '3-wire plus PE',
  over: Partial<AcRun> = {},
) => acRun({ run: { cores, ...over }, type: { wiring } });
const beside = { peInCable: false } as const;

edges(CORES, () => ({
  holds: [
    cable('5-core', '5-wire'),
    cable('4-core', '5-wire', beside),
    cable('4-core', '4-wire with neutral jumper'),
    cable('4-core', '3-wire plus PE'),
    cable('5-core', '3-wire plus PE'),
    cable('1-core', '5-wire', { peInCable: null }),
    cable('4-core', '3-wire plus PE', { ...beside, peMetal: 'Al' }),
  ],
  // Three lines, neutral and PE are five conductors; and one cable is of one metal.
  stops: [cable('4-core', '5-wire'), cable('5-core', '5-wire', { peMetal: 'Al' })],
  without: {
    cores: cable(null, '5-wire'),
    'whether the PE is a core of the cable': cable('4-core', '5-wire', { peInCable: null }),
    'metal of the lines': cable('5-core', '5-wire', { metal: null }),
    'metal of the PE': cable('5-core', '5-wire', { peMetal: null }),
  },
  numbers: [
    [cable('4-core', '5-wire'), { value: 4, limit: 5 }],
    [cable('4-core', '5-wire', beside), { value: 4, limit: 4 }],
  ],
  says: [
    [cable('5-core', '5-wire', { peMetal: 'Al' }), /^5 cores for 5 conductors, the PE among them$/, /of one metal/],
    [cable('4-core', '5-wire', beside), /the PE beside the cable$/],
  ],
}));
