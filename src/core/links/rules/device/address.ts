import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { FIRST_ADDRESS, LAST_ADDRESS } from '../../addresses';
import type { DeviceOnChain } from '../../results';

/** Whether a device has an address of its own: two on one address answer at once. */
export const ADDRESS = rule<DeviceOnChain>()({
  id: 'links.address',
  title: 'Address of its own, 1 to 247',
  unit: '',
  basis: published('Modbus over Serial Line V1.02, 2.2'),
  needs: {
    address: {
      as: 'an address',
      of: (d) => d.device.address,
      missing: (d) => [`an address for ${d.device.label} (every unit ships at 1)`],
    },
    others: {
      as: 'addresses of all others on the chain',
      of: ({ others }) => (others.every((o) => o.address !== null) ? others : null),
      missing: ({ others }) => [
        `an address for ${others
          .filter((o) => o.address === null)
          .map((o) => o.label)
          .join(', ')} (every unit ships at 1)`,
      ],
    },
  },
  judge: ({ address, others }) => {
    if (!(address >= FIRST_ADDRESS && address <= LAST_ADDRESS))
      return found('stop', () => [`Address ${address} is outside ${FIRST_ADDRESS} to ${LAST_ADDRESS}.`]);
    const twins = others.filter((o) => o.address === address);
    return twins.length
      ? found('stop', () => [
          `Address ${address} is shared with ${twins.map((t) => t.label).join(', ')}: both answer at once.`,
        ])
      : found('holds', () => [`address ${address}`]);
  },
});
