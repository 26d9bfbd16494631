import { rulesIn } from '../../kernel/rule';
import type { CarrierWay, EthernetWay, RadioWay, ServicePorts } from '../otherWays';
import type { ChainResult, DeviceOnChain } from '../results';

/** The rules of the chain by what they are asked about. A file added to a folder is a rule added. */
export const LINKS_RULES = {
  device: rulesIn<DeviceOnChain>(import.meta.glob(['./device/*.ts', '!**/*.test.ts'], { eager: true })),
  ends: rulesIn<ChainResult>(import.meta.glob(['./ends/*.ts', '!**/*.test.ts'], { eager: true })),
  line: rulesIn<ChainResult>(import.meta.glob(['./line/*.ts', '!**/*.test.ts'], { eager: true })),
  capacitor: rulesIn<ChainResult>(import.meta.glob(['./capacitor/*.ts', '!**/*.test.ts'], { eager: true })),
  bus: rulesIn<ChainResult>(import.meta.glob(['./bus/*.ts', '!**/*.test.ts'], { eager: true })),
  ethernet: rulesIn<EthernetWay>(import.meta.glob(['./ethernet/*.ts', '!**/*.test.ts'], { eager: true })),
  radio: rulesIn<RadioWay>(import.meta.glob(['./radio/*.ts', '!**/*.test.ts'], { eager: true })),
  carrier: rulesIn<CarrierWay>(import.meta.glob(['./carrier/*.ts', '!**/*.test.ts'], { eager: true })),
  service: rulesIn<ServicePorts>(import.meta.glob(['./service/*.ts', '!**/*.test.ts'], { eager: true })),
  chain: rulesIn<ChainResult>(import.meta.glob(['./chain/*.ts', '!**/*.test.ts'], { eager: true })),
};
