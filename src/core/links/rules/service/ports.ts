import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ServicePorts } from '../../otherWays';

/** Of two service ports that exclude one another one is plugged at most: with both the second is dead, and nobody sees why. */
export const SERVICE_PORTS = rule<ServicePorts>()({
  id: 'links.service-ports',
  title: 'One service port at a time',
  unit: '',
  basis: practice('ports that exclude one another: the second is dead while the first is plugged'),
  needs: {
    first: { as: 'whether the first service port is plugged', of: (s) => s.firstPlugged },
    second: { as: 'whether the second service port is plugged', of: (s) => s.secondPlugged },
  },
  judge: ({ first, second }) =>
    first && second
      ? found('tight', () => ['both plugged: the second port is dead', 'unplug one'])
      : found('holds', () => [
          first ? 'the first is plugged' : second ? 'the second is plugged' : 'neither is plugged',
        ]),
});
