import { edges } from '../../../testing/edges';
import { busReading as of, findingAt as at } from '../../../testing/busReadings';
import { BUS_EVERY_ONCE } from './everyOnce';

const found = (...findings: ReturnType<typeof at>[]) => of({ findings });

edges(BUS_EVERY_ONCE, () => ({
  holds: [of(), found(at(1))],
  stops: [
    found(at(1), at(2, { kind: 'missing', serials: [] })),
    found(at(1), at(2, { kind: 'duplicate' })),
    found(at(1, { kind: 'swapped', belongsAt: 2 }), at(2, { kind: 'swapped', belongsAt: 1 })),
    found(at(1), at(2), at(9, { kind: 'unexpected', label: '' })),
    found(at(1), at(2, { kind: 'foreign serial' })),
    // Who is wrong stays wrong beside one that nobody knows.
    found(at(1, { kind: 'serial new to the plan' }), at(2, { kind: 'missing' })),
  ],
  without: {
    'address of every device of the chain': found(),
    'serial numbers of plan and scan': found(at(1), at(2, { kind: 'serial new to the plan' })),
  },
  says: [
    [of(), /^2 addresses, each answered by its own unit$/],
    [found(at(1), at(9, { kind: 'unexpected', label: '' })), /^9: unexpected$/],
    [found(at(1, { kind: 'missing' })), /^1 \(INV-01\): missing$/],
    [of({ unaddressed: ['INV-07'] }), /address of INV-07/],
    [found(at(1, { kind: 'no serial read' })), /serial number of INV-01/],
  ],
}));
