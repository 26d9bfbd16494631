import { edges } from '../../../testing/edges';
import { necRun } from '../../../testing/subjects';
import { NEC_RACEWAY_FILL } from './necRacewayFill';

/** Four wires and a 6 AWG grounding one in EMT, worked by hand from NFPA 70, chapter 9 (recalled). */
const filled = (
  run: Parameters<typeof necRun>[0] extends infer O | undefined ? (O extends { run?: infer R } ? R : never) : never,
) => necRun({ run });

edges(NEC_RACEWAY_FILL, () => ({
  holds: [
    filled({}),
    filled({ sectionMm2: 152.01, racewaySize: '2-1/2' }),
    filled({ parallel: 2, racewayPerSet: true }),
  ],
  stops: [
    filled({ sectionMm2: 152.01 }),
    filled({ racewaySize: '1-1/2' }),
    filled({ parallel: 2, racewayPerSet: false }),
  ],
  without: { 'raceway and its trade size': filled({ racewaySize: null }) },
  numbers: [
    [filled({}), { value: (100 * 1.1223) / 3.356, limit: 40 }],
    [filled({ sectionMm2: 152.01, racewaySize: '2-1/2' }), { value: (100 * 1.8939) / 5.858, limit: 40 }],
  ],
}));
for (const run of [
  { raceway: null },
  { peMm2: null },
  { otherCircuits: 1 },
  { parallel: 2 },
  { insulation: null },
] as const)
  edges(NEC_RACEWAY_FILL, () => ({ holds: [], without: { 'raceway and its trade size': necRun({ run }) } }));
