import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { JointOhms } from '../../measure/jointOhms';

/** A joint as it was read, and with what current, A. */
export interface JointRead extends JointOhms {
  readonly testA: number;
}

/** Of the lowest like joint: over the first a second look (ANSI/NETA ATS, recalled), over the other made anew (common practice). */
const LOOK = 1.5;
const MOST = 3;
/** Under it a reading says nothing of a joint that carries hundreds of amperes, A (common practice). */
const LEAST_A = 10;

/** A power joint against those like it, as a multiple of the lowest. */
export const MICRO_OHMS = rule<JointRead>()({
  id: 'proving.joint-ohms',
  title: 'Joint reads like those beside it',
  unit: '× lowest',
  basis: published('ANSI/NETA ATS, low-resistance test of bolted connections: 50 % over the lowest of like joints'),
  needs: {
    lowestMicroOhm: { as: 'three like joints read', of: (j) => j.lowestMicroOhm || null },
    testA: { as: `a test current of at least ${LEAST_A} A`, of: (j) => (j.testA >= LEAST_A ? j.testA : null) },
  },
  judge: ({ lowestMicroOhm }, { at, microOhm }) => {
    const ratio = microOhm / lowestMicroOhm;
    return found(
      ratio <= LOOK ? 'holds' : ratio <= MOST ? 'tight' : 'stop',
      () => [
        `${at}: ${fixed(microOhm, 1)} µΩ of ${fixed(lowestMicroOhm, 1)} µΩ at the lowest like joint, ${fixed(ratio, 2)} times; up to ${LOOK} holds, over ${MOST} it is made anew`,
      ],
      { value: ratio, limit: MOST, margin: (100 * (MOST - ratio)) / MOST },
    );
  },
});
