import { published } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { FAST_EDGE_NS, quietStubM } from '../../line/budget';
import type { ChainResult } from '../../results';

/** Longest branch (Modbus over Serial Line V1.02, 3.4; recalled). */
const LONGEST_M = 20;
/** Length of a branch between chain and device, against what reflects. */
export const STUBS = rule<ChainResult>()({
  id: 'links.stubs',
  title: 'Stubs off the chain',
  unit: 'm',
  basis: published('Modbus over Serial Line V1.02, 3.4'),
  needs: {
    delayNsPerM: { as: 'delay of the pair', of: (c) => c.chain.line.delayNsPerM },
    longest: {
      as: 'length of the stub at every device',
      of: ({ chain: { devices } }) =>
        devices.length === 0 || devices.some((d) => d.stubM === null)
          ? null
          : devices.reduce((a, b) => ((b.stubM ?? 0) > (a.stubM ?? 0) ? b : a)),
      missing: ({ chain: { devices } }) =>
        devices.filter((d) => d.stubM === null).map((d) => `length of the stub at ${d.label}`),
    },
  },
  judge: ({ delayNsPerM, longest }) => {
    const value = longest.stubM ?? NaN;
    const quietM = quietStubM(FAST_EDGE_NS, delayNsPerM);
    const working = () => [
      value > 0 ? `longest at ${longest.label}: ${fixed(value, 2)} m` : 'every device in–out, no branches',
      `a tenth of an edge of ${FAST_EDGE_NS} ns at ${fixed(delayNsPerM, 1)} ns/m is ${fixed(quietM, 3)} m; at most ${LONGEST_M} m, several from one box 40 m by their number`,
    ];
    return value <= quietM
      ? atMost({ value, limit: quietM, working })
      : value <= LONGEST_M
        ? withVerdict(atMost({ value, limit: LONGEST_M, working }), 'tight', () => [
            'rings at every edge: bring the chain to the device',
          ])
        : atMost({ value, limit: LONGEST_M, working });
  },
});
