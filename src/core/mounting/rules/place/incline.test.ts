import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { INCLINE } from './incline';

const lean = (backDeg: number | null, flatAllowed: boolean | null = false) =>
  hungUnit({ wall: { backDeg }, body: { flatAllowed } });

edges(INCLINE, () => ({
  holds: [lean(0), lean(-0.5), lean(15, null), lean(70, true), lean(90, true)],
  stops: [lean(-0.6), lean(15.1), lean(69.9, true), lean(70, false), lean(69.9, null)],
  without: { 'how far the wall leans': lean(null), 'whether the unit may hang flat on its back': lean(75, null) },
  says: [
    [lean(75, true), /^75° back from upright, flat allowed by the sheet$/],
    [lean(75, null), /^Missing: whether T100 may hang flat on its back$/],
  ],
}));
