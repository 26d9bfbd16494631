import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { ALUMINIUM } from './aluminium';

type Metal = 'Cu' | 'Al' | null;
const metal = (lines: Metal, aluminiumAllowed: boolean | null, pe: Metal = 'Cu', earth: Metal = 'Cu') =>
  acRun({ run: { metal: lines, peMetal: pe, externalEarthMetal: earth }, bay: { aluminiumAllowed } });

edges(ALUMINIUM, () => ({
  holds: [metal('Cu', null), metal('Cu', false), metal('Al', true), metal('Cu', true, 'Al', 'Al')],
  // A PE or an earth of aluminium ends at the same unit.
  stops: [metal('Al', false), metal('Cu', false, 'Al'), metal('Cu', false, 'Cu', 'Al')],
  without: {
    'metals of lines, PE and external earth': metal('Cu', true, null),
    'whether the inverter allows aluminium': metal('Cu', null, 'Al'),
  },
  says: [
    [metal('Al', null), /^Missing: whether T100 allows aluminium$/],
    [metal('Cu', null), /^Copper throughout$/],
    [metal('Cu', false, 'Al'), /^Aluminium: PE\. The data sheet does not allow it$/],
    [metal(null, true, 'Cu', null), /^Missing: metal of the lines, metal of the external earth$/],
  ],
}));
