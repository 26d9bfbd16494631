import type { Instrument } from '$core/equipment/instrument';
import { instrumentSchema } from '$core/equipment/instrument';
import type { Role } from '$core/proving/entry';

/** Who signs on this device, by which licence, and the instruments at hand: typed once, kept on the device. */
export interface SignOn {
  by: string;
  role: Role;
  licensedUntil: string;
  instruments: Instrument[];
}

const STORED_AS = 'bolt-yard.sign-on.2';
const empty = (): SignOn => ({ by: '', role: 'electrician', licensedUntil: '', instruments: [] });

export const signOn = $state<SignOn>(empty());

export function loadSignOn(): void {
  try {
    const kept = JSON.parse(localStorage.getItem(STORED_AS) ?? 'null') as Partial<SignOn> | null;
    if (!kept) return;
    const instruments = (kept.instruments ?? []).filter((i) => instrumentSchema.safeParse(i).success);
    Object.assign(signOn, { ...empty(), ...kept, instruments });
  } catch {
    // A device that keeps nothing asks again.
  }
}

export function keepSignOn(): void {
  try {
    localStorage.setItem(STORED_AS, JSON.stringify(signOn));
  } catch {
    // As above.
  }
}

/** Instruments at hand of these kinds, those of the first kind first: a kind of record names the one made for it before the others that do. */
export const instrumentsFor = (kinds: readonly Instrument['kind'][] | null): Instrument[] =>
  (kinds ?? []).flatMap((kind) => signOn.instruments.filter((i) => i.kind === kind));

/** A moment with the device's own offset, as records want it. */
export function withOffset(now = new Date()): string {
  const minutes = -now.getTimezoneOffset();
  const sign = minutes < 0 ? '-' : '+';
  const two = (n: number) => String(Math.floor(Math.abs(n))).padStart(2, '0');
  const local = new Date(now.getTime() + minutes * 60_000).toISOString().slice(0, 23);
  return `${local}${sign}${two(minutes / 60)}:${two(Math.abs(minutes) % 60)}`;
}
