import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { BusReading } from '../../readings/busReading';

/** 7 V peak between the grounds of two devices, as an rms reading; over the first an earth fault is likely (the first is common practice). */
const MOST_V = 4.95;
const QUIET_V = 1;

/** D0 to local earth before the reference is landed, V rms: receivers stand −7 to +12 V. */
export const BUS_GROUND = rule<BusReading>()({
  id: 'proving.bus-ground',
  title: 'Earths of the devices alike',
  unit: 'V',
  basis: published('TIA/EIA-485-A, ±7 V between the grounds of driver and receiver'),
  needs: {},
  judge: (_, { groundV }) => {
    const verdict = groundV <= QUIET_V ? 'holds' : groundV <= MOST_V ? 'tight' : 'stop';
    return found(
      verdict,
      () => [
        `${fixed(groundV, 2)} V rms between D0 and local earth, at most ${MOST_V} V`,
        ...(verdict === 'holds' ? [] : ['find the earth fault before the reference is landed']),
      ],
      { value: groundV, limit: MOST_V, margin: (100 * (MOST_V - groundV)) / MOST_V },
    );
  },
});
