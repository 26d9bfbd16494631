import { v7 as uuidv7 } from 'uuid';
import { ApiProblem, read } from './api';

/** This device in the record: its name, its own count of entries, and how its clock stands to the server's. */

export interface Clock {
  /** Server clock less device clock, ms. */
  readonly offsetMs: number;
  readonly roundTripMs: number;
  /** When they last spoke, by the device's clock. */
  readonly atMs: number;
}

/** Who records something does not wait longer for the time: the clock as it stood last will do, ms. */
const CLOCK_PATIENCE_MS = 3000;

const NAME = 'bolt-yard.device';
const COUNT = 'bolt-yard.device-count';
const CLOCK = 'bolt-yard.clock';

const kept = (key: string): string | null => {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
};
const keep = (key: string, value: string) => {
  try {
    localStorage.setItem(key, value);
  } catch {
    // A device that keeps nothing is a new device after a reload.
  }
};

let own: string | null = null;
export function deviceId(): string {
  own ??= kept(NAME) ?? `dev-${uuidv7()}`;
  keep(NAME, own);
  return own;
}

let counted = 0;
/** The next place in this device's own sequence; tabs of one browser share it. */
export function nextSeq(): number {
  counted = Math.max(counted, Number(kept(COUNT) ?? 0)) + 1;
  keep(COUNT, String(counted));
  return counted;
}

/** How the clocks stood at the last contact; a device that never spoke to the server takes its own clock, uncertain by a minute. */
export function lastClock(): Clock {
  try {
    const clock = JSON.parse(kept(CLOCK) ?? 'null') as Clock | null;
    if (clock && Number.isFinite(clock.offsetMs) && Number.isFinite(clock.roundTripMs)) return clock;
  } catch {
    // As if it had never spoken.
  }
  return { offsetMs: 0, roundTripMs: 120_000, atMs: 0 };
}

/** Asks the server for its clock; half the round trip is what the answer is uncertain by. Keeps the last one where nobody answers. */
export async function measureClock(): Promise<Clock> {
  const sentMs = Date.now();
  const started = performance.now();
  try {
    const { nowMs } = await read<{ nowMs: number }>('/api/v1/clock', fetch, CLOCK_PATIENCE_MS);
    const roundTripMs = Math.ceil(performance.now() - started);
    const clock = { offsetMs: Math.round(nowMs - (sentMs + roundTripMs / 2)), roundTripMs, atMs: Date.now() };
    keep(CLOCK, JSON.stringify(clock));
    return clock;
  } catch (cause) {
    if (!(cause instanceof ApiProblem)) throw cause;
    return lastClock();
  }
}
