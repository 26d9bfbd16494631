import { edges } from '../../../testing/edges';
import { necRun } from '../../../testing/subjects';
import { NEC_PROTECTION } from './necProtection';

/** Worked by hand from NFPA 70, 240.4 and 240.6(A) (recalled). */
const roof = (sectionMm2: number | null, breakerA: number | null = 200) =>
  necRun({ run: { sectionMm2, breakerA, roofGapMm: 15 } });
const bundled = (terminals75: boolean) =>
  necRun({
    type: { outputMaxA: 79.4 },
    run: {
      metal: 'Al',
      sectionMm2: 42.41,
      breakerA: 100,
      otherCircuits: 1,
      ambientC: 32,
      sunOnCable: false,
      terminals75,
    },
  });

edges(NEC_PROTECTION, () => ({
  // 185.6 A rounds up to 200 A.
  holds: [roof(152.01), necRun(), roof(126.68, 175)],
  stops: [roof(126.68), roof(85.03), bundled(true), bundled(false)],
  without: {
    'current the cable may carry': necRun({ run: { ambientC: null } }),
    'metal of the lines': necRun({ run: { metal: null } }),
    section: roof(null),
    breaker: roof(85.03, null),
  },
  numbers: [
    // 168.2 A: a 200 A breaker is two steps up.
    [roof(126.68), { value: 200, limit: 175 }],
    // 88.32 A: 90 A stands between, 100 A is above.
    [bundled(true), { value: 100, limit: 90 }],
    // Small copper: 10 AWG stops at 30 A whatever the table says.
    [necRun({ run: { sectionMm2: 5.26, breakerA: 30 } }), { value: 30, limit: 30 }],
  ],
  says: [
    [
      roof(152.01),
      /^the lesser of 285\.0 A at the terminals and 185\.6 A in use: 185\.6 A$/,
      /at most 200 A; the breaker is 200 A$/,
    ],
  ],
}));
