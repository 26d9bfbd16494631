import { edges } from '../../../testing/edges';
import { MICRO_OHMS } from './microOhms';

const joint = (microOhm: number, lowestMicroOhm: number | null = 20, testA = 10) => ({
  at: 'unit L2',
  microOhm,
  lowestMicroOhm,
  testA,
});

// 50 % over the lowest of like joints: ANSI/NETA ATS (recalled); three times: common practice.
edges(MICRO_OHMS, () => ({
  holds: [joint(20), joint(30), joint(18, 18, 200)],
  tight: [joint(30.01), joint(60)],
  stops: [joint(60.01), joint(900)],
  without: {
    'three like joints read': joint(20, null),
    'a test current of at least 10 A': joint(20, 20, 9.99),
  },
  numbers: [[joint(45), { value: 2.25, limit: 3, margin: 25 }]],
  says: [[joint(45), /^unit L2: 45\.0 µΩ of 20\.0 µΩ at the lowest like joint, 2\.25 times/]],
}));
