import { edges } from '../../../testing/edges';
import { servicePorts } from '../../../testing/otherWays';
import { SERVICE_PORTS } from './ports';

const ports = (firstPlugged: boolean | null, secondPlugged: boolean | null) =>
  servicePorts({ firstPlugged, secondPlugged });

edges(SERVICE_PORTS, () => ({
  holds: [ports(true, false), ports(false, true), ports(false, false)],
  tight: [ports(true, true)],
  without: {
    'whether the first service port is plugged': ports(null, true),
    'whether the second service port is plugged': ports(true, null),
  },
  says: [
    [ports(true, false), /^the first is plugged$/],
    [ports(false, true), /^the second is plugged$/],
    [ports(false, false), /^neither is plugged$/],
    [ports(true, true), /second port is dead$/, /^unplug one$/],
  ],
}));
