import { UNLOCK_KEY, registerOf, wordsOf } from '$core/links/modbus/registerMap';
import type { SetUpAnswer } from '$lib/schemas/field';
import type { Asked, FieldBus } from './fieldBus';
import { refused, serialAt } from './unitAt';
import { unitRead } from './unitRead';

const TITLE = 'Unit not set up';
/** The unit's own clock ticks once a second, and the answer takes its time. */
const CLOCK_OFF_MOST_S = 2;

const how = (asked: Asked) => (asked.kind === 'exception' ? `exception ${asked.code}` : asked.kind);

/**
 * Sets clock and grid code of one unit and reads both back; a grid code of null is left as it is. Throws a Problem where another unit answers, it does
 * not unlock, or what is read back is not what was written.
 */
export async function setUpGiven(
  bus: FieldBus,
  {
    serial,
    address,
    gridCode,
  }: { readonly serial: string; readonly address: number; readonly gridCode: number | null },
  now: () => number,
): Promise<SetUpAnswer> {
  const spoken = await serialAt(bus, address);
  if (spoken.serial !== serial)
    throw refused(
      TITLE,
      `At ${address} ${spoken.serial ?? `nobody says a serial (${spoken.asked.kind})`}, not ${serial}.`,
    );
  const steps = [`${serial} read at ${address}`];
  const unlocked = await bus.write(address, registerOf('unlock').at, UNLOCK_KEY);
  if (unlocked.kind !== 'answer') throw refused(TITLE, `The unit at ${address} does not unlock (${how(unlocked)}).`);
  const clock = await bus.writeMany(address, registerOf('clock').at, wordsOf('clock', Math.round(now() / 1000)));
  if (clock.kind !== 'answer') throw refused(TITLE, `The unit at ${address} does not take the clock (${how(clock)}).`);
  steps.push('clock written');
  if (gridCode !== null) {
    const coded = await bus.write(address, registerOf('grid_code').at, gridCode);
    if (coded.kind !== 'answer')
      throw refused(
        TITLE,
        `The unit at ${address} does not take grid code ${gridCode} (${how(coded)}). Its clock is set.`,
      );
    steps.push(`grid code ${gridCode} written`);
  }
  const unit = await unitRead(bus, address, now());
  const { clockAheadS } = unit;
  if (clockAheadS === null || Math.abs(clockAheadS) > CLOCK_OFF_MOST_S)
    throw refused(TITLE, `Written, but its clock is read back ${clockAheadS ?? '?'} s ahead: it does not keep time.`);
  if (gridCode !== null && unit.gridCode !== gridCode)
    throw refused(TITLE, `Written, but grid code ${unit.gridCode ?? '?'} is read back: read it again.`);
  steps.push(`read back: clock ${clockAheadS} s ahead${gridCode === null ? '' : `, grid code ${gridCode}`}`);
  return { ...unit, steps };
}
