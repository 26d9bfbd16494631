import type { Role } from '$core/proving/gates/machine';
import type { Instrument } from '$core/proving/record';

/** Who signs on this device, with which instrument: typed once, kept on the device. */
export interface SignOn {
  by: string;
  role: Role;
  instrument: Instrument;
}

const STORED_AS = 'bolt-yard.sign-on';
const empty = (): SignOn => ({
  by: '',
  role: 'electrician',
  instrument: { name: '', serial: '', calibratedUntil: '' },
});

export const signOn = $state<SignOn>(empty());

export function loadSignOn(): void {
  try {
    const kept = JSON.parse(localStorage.getItem(STORED_AS) ?? 'null') as Partial<SignOn> | null;
    if (kept) Object.assign(signOn, { ...empty(), ...kept, instrument: { ...empty().instrument, ...kept.instrument } });
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

/** The instrument when it is wholly given; null otherwise. */
export function instrumentInHand(): Instrument | null {
  const { name, serial, calibratedUntil } = signOn.instrument;
  return name && serial && calibratedUntil ? { name, serial, calibratedUntil } : null;
}

/** Now with the device's own offset, as records want it. */
export function nowWithOffset(now = new Date()): string {
  const minutes = -now.getTimezoneOffset();
  const sign = minutes < 0 ? '-' : '+';
  const two = (n: number) => String(Math.floor(Math.abs(n))).padStart(2, '0');
  const local = new Date(now.getTime() + minutes * 60_000).toISOString().slice(0, 19);
  return `${local}${sign}${two(minutes / 60)}:${two(Math.abs(minutes) % 60)}`;
}
