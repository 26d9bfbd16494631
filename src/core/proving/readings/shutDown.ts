/** Conductors after rapid shutdown was worked. */
export interface ShutDown {
  /** From when it was worked to the reading. */
  readonly seconds: number;
  readonly outsideV: number;
  /** Null where nobody could read there. */
  readonly insideV: number | null;
  /** A listed hazard control system inside the array, by name; empty where the voltage alone has to be low. */
  readonly listedSystem: string;
}

/** Within this the conductors are at their controlled voltage, s (NFPA 70, 690.12(B); recalled). */
const SHUT_DOWN_WITHIN_S = 30;
/** What a later reading is asked for again. */
export const IN_TIME = `reading within ${SHUT_DOWN_WITHIN_S} s`;

/** A reading that says something: taken in time, or one that is too high even later, since it only falls. */
export const inTime = (volts: number, limitV: number, seconds: number): number | null =>
  seconds <= SHUT_DOWN_WITHIN_S || volts > limitV ? volts : null;
