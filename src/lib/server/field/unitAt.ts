import { registerOf, valueOf } from '$core/links/modbus/registerMap';
import { Problem } from '../problem';
import type { Asked, FieldBus } from './fieldBus';

/** What is asked of one unit before and after anything is written to it. */

export const refused = (title: string, detail: string) => new Problem(409, title, detail, [{ pointer: '', detail }]);

export interface Spoken {
  readonly asked: Asked;
  readonly serial: string | null;
}

/** Who answers at an address, by its serial. Frames are lost: one question without an answer is no silence, and the second has twice the time. */
export async function serialAt(bus: Pick<FieldBus, 'read' | 'timeoutMs'>, address: number): Promise<Spoken> {
  const { at, words } = registerOf('serial');
  const first = await bus.read(address, at, words);
  const asked = first.kind === 'silent' ? await bus.read(address, at, words, 2 * bus.timeoutMs) : first;
  return { asked, serial: asked.kind === 'answer' ? String(valueOf('serial', asked.words)) : null };
}

/** Why somebody who was expected does not say the serial. */
export const nobodySays = (address: number, { asked }: Spoken): string =>
  `Nobody says a serial at ${address} (${asked.kind}): two may answer at once, or none.`;

/** One value of a unit; null where it has none or does not say it. */
export async function valueAt(bus: FieldBus, address: number, name: string): Promise<number | string | null> {
  const { at, words } = registerOf(name);
  const asked = await bus.read(address, at, words);
  return asked.kind === 'answer' ? valueOf(name, asked.words) : null;
}
