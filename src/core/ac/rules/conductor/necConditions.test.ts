import { edges } from '../../../testing/edges';
import { necRun } from '../../../testing/subjects';
import { NEC_CONDITIONS } from './necConditions';

/** Worked by hand from NFPA 70, Tables 310.16 and 310.15(B)(1), (C)(1) (recalled). */
const roof = (sectionMm2: number, roofGapMm: number | null) => necRun({ run: { sectionMm2, roofGapMm } });
const bundled = (sectionMm2: number) =>
  necRun({
    type: { outputMaxA: 79.4 },
    run: { metal: 'Al', sectionMm2, breakerA: 100, otherCircuits: 1, ambientC: 32, sunOnCable: false },
  });

edges(NEC_CONDITIONS, () => ({
  holds: [roof(85.03, 23), roof(126.68, 15), roof(126.68, 22.9), bundled(42.41)],
  stops: [roof(85.03, 15), roof(107.22, 15), bundled(33.63)],
  without: { 'current the cable may carry': necRun({ run: { ambientC: null } }) },
  numbers: [
    [roof(85.03, 15), { value: 130.5, limit: 152 }],
    [roof(107.22, 15), { value: 150.8 }],
    [roof(126.68, 15), { value: 168.2 }],
    [roof(152.01, 15), { value: 185.6 }],
    [roof(67.43, 25), { value: 177.45 }],
    [roof(85.03, 25), { value: 204.75 }],
    [bundled(42.41), { value: 88.32, limit: 79.4 }],
    [bundled(53.48), { value: 103.68 }],
    [bundled(33.63), { value: 76.8 }],
    // Two sets, each in a raceway of its own: three current-carrying conductors; in one raceway six.
    [
      necRun({
        run: { metal: 'Al', sectionMm2: 53.48, parallel: 2, racewayPerSet: true, ambientC: 30, sunOnCable: false },
      }),
      { value: 270 },
    ],
    [
      necRun({
        run: { metal: 'Al', sectionMm2: 53.48, parallel: 2, racewayPerSet: false, ambientC: 30, sunOnCable: false },
      }),
      { value: 216 },
    ],
  ],
}));
for (const run of [
  { insulationC: null },
  { roofGapMm: null },
  { sunOnCable: null },
  { otherCircuits: null },
  { parallel: 2 },
  { sectionMm2: 95 },
  { ambientC: 80, sunOnCable: true, roofGapMm: 10 },
] as const)
  edges(NEC_CONDITIONS, () => ({ holds: [], without: { 'current the cable may carry': necRun({ run }) } }));
