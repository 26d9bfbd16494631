import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { ALUMINIUM } from './aluminium';

const metal = (m: 'Cu' | 'Al', aluminiumAllowed: boolean | null) =>
  acRun({ run: { metal: m }, bay: { aluminiumAllowed } });

edges(ALUMINIUM, {
  holds: [metal('Cu', null), metal('Cu', false), metal('Al', true)],
  stops: [metal('Al', false)],
  without: { 'whether the inverter allows aluminium': metal('Al', null) },
  says: [
    [metal('Al', null), /^Missing: whether T100 allows aluminium$/],
    [metal('Cu', null), /^Copper$/],
  ],
});
