import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { WITHSTAND } from './withstand';

/** I²t of 23 869.8 A over 0.1 s, as a let-through, so that the network plays no part. */
const A2S = 23_869.8 ** 2 * 0.1;
const lines = (run: NonNullable<Parameters<typeof acRun>[0]>['run']) =>
  acRun({ run: { metal: 'Al', sectionMm2: 150, peMm2: 95, letThroughA2s: A2S, ...run } });

edges(WITHSTAND, () => ({
  // Worked: aluminium in XLPE asks for 80.3011 mm², a copper PE in the cable for 52.7853.
  holds: [lines({}), lines({ sectionMm2: 95 }), lines({ parallel: 2 }), acRun()],
  tight: [lines({ peMm2: 50 }), lines({ parallel: 3 }), lines({ peMetal: 'Al', peMm2: 70 })],
  // Parallel cables or not, a fault sits in one: 3 · 70 mm² are 70.
  stops: [
    lines({ sectionMm2: 70 }),
    lines({ sectionMm2: 70, parallel: 3 }),
    lines({ insulation: 'PVC', sectionMm2: 95 }),
  ],
  without: {
    'clearing time of the breaker': acRun({ run: { clearingS: null } }),
    'section, metal and insulation of line and PE': lines({ sectionMm2: null }),
  },
  numbers: [
    [lines({}), { value: (23_869.8 * Math.sqrt(0.1)) / 94, limit: 150 }],
    [lines({ insulation: 'PVC' }), { value: (23_869.8 * Math.sqrt(0.1)) / 76 }],
  ],
  says: [
    [lines({ peMm2: 50 }), /= 80\.3 mm², a line has 150 mm²$/, /^PE: 52\.8 mm², it has 50 mm²$/, /^the PE is under/],
    // Laid by itself a PE starts colder and bears more: 176 for 143.
    [lines({ peMm2: 50, peInCable: false }), /./, /^PE: 42\.9 mm²/],
    [lines({ parallel: 3 }), /./, /./, /fed from both ends$/],
    [acRun({ run: { clearingS: 0.09 } }), /^Missing: let-through of the breaker, for it opens in under 0\.1 s$/],
    [acRun({ run: { clearingS: 0.2 }, survey: { transformerKva: null } }), /^Missing: transformer rating$/],
    [
      lines({ metal: null, insulation: null, peMm2: null, peMetal: null, peInCable: null }),
      /^Missing: metal of the lines, insulation, PE section, metal of the PE, whether the PE is a core of the cable$/,
    ],
    [lines({ insulation: 'PVC', sectionMm2: 400 }), /^Missing: k of PVC above 300 mm²/],
    [acRun({ survey: { school: 'AU/NZ' } }), /^Missing: AS\/NZS 3008/],
  ],
}));
