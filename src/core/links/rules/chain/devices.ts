import { published } from '../../../kernel/check';
import { counted } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ChainResult } from '../../results';

/** Most devices without a repeater (Modbus over Serial Line V1.02, 2.2; recalled). */
const MOST = 32;

/** Devices on one stretch of bus. */
export const DEVICES = rule<ChainResult>()({
  id: 'links.devices',
  title: 'Devices without a repeater',
  unit: 'devices',
  basis: published('Modbus over Serial Line V1.02, 2.2'),
  needs: {},
  judge: (_, { chain: { devices } }) =>
    counted(devices.length, MOST, () => `${devices.length} devices, ${MOST} without a repeater`),
});
