import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { LUGS_ON_STUD } from './lugsOnStud';

const cables = (parallel: number | null, lugsPerStud: number) => acRun({ run: { parallel }, bay: { lugsPerStud } });

edges(LUGS_ON_STUD, () => ({
  holds: [cables(1, 1), cables(2, 2)],
  stops: [cables(2, 1), cables(3, 2)],
  without: { 'cables in parallel': cables(null, 1) },
  numbers: [[cables(2, 1), { value: 2, limit: 1 }]],
  says: [[cables(2, 1), /^2 cables in parallel, 1 lugs allowed/]],
}));
