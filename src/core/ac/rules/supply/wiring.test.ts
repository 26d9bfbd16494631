import type { Survey } from '../../../site/survey';
import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { WIRING } from './wiring';

const supply = (wiring: '5-wire' | '3-wire plus PE', service: Survey['service']) =>
  acRun({ type: { wiring }, survey: { service } });

edges(WIRING, () => ({
  holds: [
    supply('5-wire', 'earthed wye with neutral (TN-S, TN-C-S)'),
    supply('3-wire plus PE', 'IT wye, dedicated transformer'),
  ],
  tight: [supply('5-wire', 'earthed wye, TT')],
  stops: [supply('5-wire', 'earthed wye, neutral not brought out'), supply('3-wire plus PE', 'high-leg delta')],
  without: { 'supply and its earthing': supply('5-wire', null) },
}));
