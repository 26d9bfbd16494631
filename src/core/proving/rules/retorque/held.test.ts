import { edges } from '../../../testing/edges';
import { HELD_TORQUE } from './held';

const tried = (turned: boolean, toolHolds: boolean | null = true) => ({ at: 'unit L2', turned, toolHolds });

edges(HELD_TORQUE, () => ({
  holds: [tried(false)],
  // What turned was loose, whatever turned it.
  stops: [tried(true), tried(true, false), tried(true, null)],
  without: { 'torque range of the tool': tried(false, null) },
  says: [
    [tried(false), /^unit L2 held$/],
    [tried(true), /found loose/],
  ],
}));
