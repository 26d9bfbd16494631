import { edges } from '../../../testing/edges';
import { contactReading } from '../../../testing/busReadings';
import { STOP_CIRCUIT } from './stopCircuit';

const stop = (logic: 'normally closed' | 'normally open', supervised: boolean) =>
  contactReading({ contact: 'stop', logic, supervised });

// A broken wire stops a normally closed circuit by itself; of a normally open one it takes the stop away (ISO 13850, recalled).
edges(STOP_CIRCUIT, () => ({
  holds: [stop('normally closed', false), stop('normally open', true), contactReading()],
  stops: [stop('normally open', false)],
  without: {},
  says: [[stop('normally open', false), /stop, normally open, not watched/, /wire it normally closed/]],
}));
