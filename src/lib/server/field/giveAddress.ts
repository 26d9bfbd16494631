import { UNLOCK_KEY, registerOf } from '$core/links/modbus/registerMap';
import type { AddressAnswer } from '$lib/schemas/field';
import type { FieldBus } from './fieldBus';
import * as unitAt from './unitAt';
import { nobodySays, serialAt } from './unitAt';

const at = (name: string) => registerOf(name).at;
const refused = (detail: string) => unitAt.refused('Address not written', detail);

/**
 * Writes a new address to one unit and reads it back: the serial is read at the old address first, the new one has to be silent, and after the
 * write the serial is there and nobody at the old. Throws a Problem where any of it is not so; before the write nothing is changed.
 */
export async function addressGiven(
  bus: FieldBus,
  { serial, from, to }: { readonly serial: string; readonly from: number; readonly to: number },
): Promise<AddressAnswer> {
  const steps: string[] = [];
  const before = await serialAt(bus, from);
  if (before.serial !== serial)
    throw refused(before.serial === null ? nobodySays(from, before) : `At ${from} is ${before.serial}, not ${serial}.`);
  steps.push(`${serial} read at ${from}`);
  if (from !== to) {
    const there = await bus.read(to, at('map_id'), 1);
    if (there.kind !== 'silent') throw refused(`Somebody answers at ${to} already: move that one first.`);
    steps.push(`nobody at ${to}`);
    const unlocked = await bus.write(from, at('unlock'), UNLOCK_KEY);
    if (unlocked.kind !== 'answer') throw refused(`The unit at ${from} does not unlock (${unlocked.kind}).`);
    const written = await bus.write(from, at('address'), to);
    if (written.kind === 'exception')
      throw refused(`The unit at ${from} does not take ${to} (exception ${written.code}).`);
    steps.push(`${to} written`);
  }
  const after = await serialAt(bus, to);
  if (after.serial !== serial)
    throw refused(
      `Written, but at ${to} ${after.serial ?? `nobody says a serial (${after.asked.kind})`}: read it again.`,
    );
  steps.push(`${serial} read back at ${to}`);
  if (from !== to) {
    const old = await bus.read(from, at('map_id'), 1);
    if (old.kind !== 'silent') throw refused(`Written, but somebody still answers at ${from}: a second unit is there.`);
    steps.push(`nobody at ${from} any more`);
  }
  return { standIn: true, serial, from, to, steps };
}
