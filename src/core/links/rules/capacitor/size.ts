import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { leastTerminatorNf, mostTerminatorNf } from '../../line/budget';
import type { ChainResult } from '../../results';

/** A terminator with a capacitor: large enough to hold still while an edge runs there and back, small enough to be at rest within half a bit. */
export const TERMINATOR_CAPACITOR = rule<ChainResult>()({
  id: 'links.terminator-capacitor',
  title: 'Capacitor of the terminators',
  unit: 'nF',
  basis: practice('at least 2·delay / impedance; 5·(impedance + R)·C within half a bit'),
  needs: {
    nF: { as: 'capacitor of the terminators', of: (c) => c.chain.line.terminatorNf },
    ohm: { as: 'resistance of the terminators', of: (c) => c.chain.line.terminatorOhm },
    bitRate: { as: 'bit rate', of: (c) => c.chain.bitRate },
    lengthM: { as: 'routes or positions', answer: (c) => c.lengthM },
    delayNsPerM: { as: 'delay of the pair', of: (c) => c.chain.line.delayNsPerM },
    impedanceOhm: { as: 'wave impedance of the pair', of: (c) => c.chain.line.impedanceOhm },
  },
  judge: ({ nF, ohm, bitRate, lengthM, delayNsPerM, impedanceOhm }) => {
    const least = lengthM > 0 ? leastTerminatorNf(lengthM, delayNsPerM, impedanceOhm) : 0;
    const most = mostTerminatorNf(bitRate, impedanceOhm, ohm);
    return found(
      nF >= least && nF <= most ? 'holds' : 'stop',
      () => [
        `2 × ${fixed(lengthM * delayNsPerM, 0)} ns / ${fixed(impedanceOhm, 0)} Ω = ${fixed(least, 1)} nF at least`,
        `half a bit at ${bitRate} bit/s over 5 × (${fixed(impedanceOhm, 0)} + ${fixed(ohm, 0)} Ω) = ${fixed(most, 1)} nF at most`,
        ...(least > most ? ['no capacitor does it at this length and rate: a lower rate, or resistors alone'] : []),
      ],
      { value: nF, limit: nF < least ? least : most },
    );
  },
});
