import type { GridCode } from '$core/links/modbus/gridCodes';

/** States by the register map. */
export const STATE = {
  notInitialised: 0,
  standby: 1,
  starting: 2,
  running: 3,
  limited: 4,
  fault: 5,
  stopped: 6,
} as const;
export type State = (typeof STATE)[keyof typeof STATE];

export interface UnitState {
  readonly state: State;
  /** Seconds to connection; null: not counting. */
  readonly countdownS: number | null;
  /** Allowed by the ramp, % of the rating. */
  readonly powerPercent: number;
}
export const AT_REST: UnitState = { state: STATE.notInitialised, countdownS: null, powerPercent: 0 };

/** What a unit meets in one second. */
export interface Conditions {
  /** Null: none was set. */
  readonly gridCode: GridCode | null;
  readonly stopped: boolean;
  readonly fault: boolean;
  readonly dcReady: boolean;
  readonly gridInWindow: boolean;
  readonly limitPercent: number;
}

const idle = (state: State): UnitState => ({ state, countdownS: null, powerPercent: 0 });

/** One second of a unit: the first that fits. Whatever is lost while it counts begins the count anew. */
export function nextState(was: UnitState, c: Conditions): UnitState {
  if (!c.gridCode) return idle(STATE.notInitialised);
  if (c.stopped) return idle(STATE.stopped);
  if (c.fault) return idle(STATE.fault);
  if (!c.dcReady || !c.gridInWindow) return idle(STATE.standby);
  switch (was.state) {
    case STATE.notInitialised:
    case STATE.fault:
    case STATE.stopped:
      return idle(STATE.standby);
    case STATE.standby:
      return { state: STATE.starting, countdownS: c.gridCode.reconnectS, powerPercent: 0 };
    case STATE.starting: {
      const countdownS = (was.countdownS ?? 0) - 1;
      return countdownS > 0
        ? { ...was, countdownS }
        : { state: c.limitPercent < 100 ? STATE.limited : STATE.running, countdownS: null, powerPercent: 0 };
    }
    default:
      return {
        state: c.limitPercent < 100 ? STATE.limited : STATE.running,
        countdownS: null,
        powerPercent: Math.min(was.powerPercent + c.gridCode.rampPercentPerS, c.limitPercent),
      };
  }
}
