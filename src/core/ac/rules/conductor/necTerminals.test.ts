import { edges } from '../../../testing/edges';
import { necRun } from '../../../testing/subjects';
import { NEC_TERMINALS } from './necTerminals';

/** Worked by hand from NFPA 70, Table 310.16 and 110.14(C) (recalled). */
const sized = (sectionMm2: number | null, run = {}) => necRun({ run: { sectionMm2, ...run } });
/** 66 kVA: 79.4 A, 99.25 A at 125 %, on 100 A. */
const small = (sectionMm2: number, terminals75: boolean | null) =>
  necRun({ type: { outputMaxA: 79.4 }, run: { metal: 'Al', sectionMm2, breakerA: 100, terminals75 } });

edges(NEC_TERMINALS, () => ({
  holds: [
    sized(85.03),
    // Above 100 A the 75 °C column counts, marked or not.
    sized(85.03, { terminals75: null }),
    small(53.48, null),
    small(53.48, false),
    small(42.41, true),
    // 175 A are enough for 152 A in an assembly listed for 100 %.
    sized(67.43, { fullRated: true }),
  ],
  stops: [sized(67.43), small(42.41, null), small(42.41, false), small(33.63, true)],
  without: { 'section and breaker': sized(null) },
  numbers: [
    [sized(85.03), { value: 200, limit: 190 }],
    [small(42.41, false), { value: 85, limit: 99.25 }],
    [small(53.48, false), { value: 100, limit: 99.25 }],
    // 250 kVA at 800 V, 185 A: 300 kcmil Al fails by 1.25 A, two of 1/0 pass.
    [
      necRun({ type: { outputMaxA: 185 }, run: { metal: 'Al', sectionMm2: 152.01, breakerA: 250 } }),
      { value: 230, limit: 231.25 },
    ],
    [
      necRun({
        type: { outputMaxA: 185 },
        run: { metal: 'Al', sectionMm2: 53.48, parallel: 2, racewayPerSet: true, breakerA: 250 },
      }),
      { value: 240, limit: 231.25 },
    ],
  ],
  says: [
    [sized(85.03), /^1 × 3\/0 AWG Cu, 75 °C column: 200\.0 A$/, /^125 % of 152\.0 A = 190\.00 A; lugs marked 75/],
    [small(53.48, false), /60 °C column/, /not marked 75 °C/],
  ],
}));
