import type { GateId } from '../gates/machine';

/** One step of an order of switching on or off. */
export interface OrderStep {
  readonly state: string;
  readonly actor: 'electrician' | 'unit';
  readonly guard: string;
  /** Gates asked beyond the safe start and the permit, which every step of switching on asks. */
  readonly gates: readonly GateId[];
  readonly action: string;
  readonly expect: string;
  /** Least wait before it is confirmed, s. `delay`: that of the grid code. */
  readonly minS: number | 'delay';
  /** After this it is held, s; with the grid code's delay or the ramp added where it says so. Null: no hurry. */
  readonly timeoutS: number | null;
  readonly timeoutAdds: 'delay' | 'ramp' | null;
  readonly onFailure: string;
}

/** Orders of switching on, and off, on a site without a battery. Common practice; the unit's data sheet outranks them. */
export const ORDERS = {
  '1': [
    { state: 'LOCKED_OFF', actor: 'electrician', guard: 'gate I-PERMIT closed; dry; nobody with hands inside', gates: [], action: 'remove locks, announce', expect: 'all switches off', minS: 0, timeoutS: null, timeoutAdds: null, onFailure: '' },
    { state: 'AC_CLOSED', actor: 'electrician', guard: 'AC voltages at line side pass', gates: ['I-ACV'], action: 'close the AC breaker', expect: 'display wakes on AC (some types only); L-L unchanged within 1 %', minS: 10, timeoutS: 60, timeoutAdds: null, onFailure: 'open AC, look for the fault' },
    { state: 'DC_CLOSED', actor: 'electrician', guard: 'every input positive, below Vmax', gates: ['I-DCLAND', 'D-VOC'], action: 'close DC switches one at a time', expect: 'each input shows its Voc within 3 % of the reading taken; no sound', minS: 5, timeoutS: 60, timeoutAdds: null, onFailure: 'open that DC switch if its current is under its rating; else AC off first' },
    { state: 'SELF_CHECK', actor: 'unit', guard: 'DC above start-up, AC in window', gates: [], action: 'wait', expect: 'relay clicks, no fault code; insulation check passes', minS: 0, timeoutS: 180, timeoutAdds: null, onFailure: 'FAULT: read code, fault finder with status' },
    { state: 'GRID_WAIT', actor: 'unit', guard: 'V and f in the code window without a break', gates: [], action: 'wait, countdown on screen', expect: 'slow blink; the timer restarts at every excursion', minS: 'delay', timeoutS: 60, timeoutAdds: 'delay', onFailure: 'HELD: fault finder with status=waiting' },
    { state: 'RAMP', actor: 'unit', guard: 'delay elapsed', gates: [], action: 'watch', expect: 'AC power rises; steady light', minS: 0, timeoutS: 120, timeoutAdds: 'ramp', onFailure: 'HELD' },
    { state: 'ON_GRID', actor: 'electrician', guard: 'P_ac > 1 % of rating for 300 s', gates: ['I-SETUP'], action: 'read the site meter before and after', expect: 'meter step equals unit power within max(3 % Prated, 5 % P)', minS: 300, timeoutS: 600, timeoutAdds: null, onFailure: 'HELD: CT signature' },
    { state: 'SETTLED', actor: 'electrician', guard: '60 min at 40 % load', gates: [], action: 'thermal scan, compare trackers', expect: 'no joint over limit', minS: 3600, timeoutS: null, timeoutAdds: null, onFailure: 'gate I-THERM stays open' },
  ],
  '2': [
    { state: 'LOCKED_OFF', actor: 'electrician', guard: 'gate I-PERMIT closed; dry; nobody with hands inside', gates: [], action: 'remove locks, announce', expect: 'all switches off', minS: 0, timeoutS: null, timeoutAdds: null, onFailure: '' },
    { state: 'DC_CLOSED', actor: 'electrician', guard: 'every input positive, below Vmax', gates: ['I-DCLAND', 'D-VOC'], action: 'close DC switches', expect: 'display wakes on DC, state waiting for grid', minS: 10, timeoutS: 120, timeoutAdds: null, onFailure: 'fault finder' },
    { state: 'AC_CLOSED', actor: 'electrician', guard: 'AC voltages pass', gates: ['I-ACV'], action: 'close the AC breaker', expect: 'three phases shown', minS: 10, timeoutS: 60, timeoutAdds: null, onFailure: 'open AC' },
    { state: 'SELF_CHECK', actor: 'unit', guard: 'DC above start-up, AC in window', gates: [], action: 'wait', expect: 'relay clicks, no fault code; insulation check passes', minS: 0, timeoutS: 180, timeoutAdds: null, onFailure: 'FAULT: read code, fault finder with status' },
    { state: 'GRID_WAIT', actor: 'unit', guard: 'V and f in the code window without a break', gates: [], action: 'wait, countdown on screen', expect: 'slow blink; the timer restarts at every excursion', minS: 'delay', timeoutS: 60, timeoutAdds: 'delay', onFailure: 'HELD: fault finder with status=waiting' },
    { state: 'RAMP', actor: 'unit', guard: 'delay elapsed', gates: [], action: 'watch', expect: 'AC power rises; steady light', minS: 0, timeoutS: 120, timeoutAdds: 'ramp', onFailure: 'HELD' },
    { state: 'ON_GRID', actor: 'electrician', guard: 'P_ac > 1 % of rating for 300 s', gates: ['I-SETUP'], action: 'read the site meter before and after', expect: 'meter step equals unit power within max(3 % Prated, 5 % P)', minS: 300, timeoutS: 600, timeoutAdds: null, onFailure: 'HELD: CT signature' },
    { state: 'SETTLED', actor: 'electrician', guard: '60 min at 40 % load', gates: [], action: 'thermal scan, compare trackers', expect: 'no joint over limit', minS: 3600, timeoutS: null, timeoutAdds: null, onFailure: 'gate I-THERM stays open' },
  ],
  '3': [
    { state: 'LOCKED_OFF', actor: 'electrician', guard: 'gate I-PERMIT closed; dry; nobody with hands inside', gates: [], action: 'remove locks, announce', expect: 'all switches off', minS: 0, timeoutS: null, timeoutAdds: null, onFailure: '' },
    { state: 'AC_CLOSED', actor: 'electrician', guard: 'AC voltages pass', gates: ['I-ACV'], action: 'close the AC breaker', expect: 'supply seen', minS: 10, timeoutS: 60, timeoutAdds: null, onFailure: 'open AC' },
    { state: 'AUX_DC_CLOSED', actor: 'electrician', guard: 'inputs on the service switch positive, below Vmax', gates: ['I-DCLAND', 'D-VOC'], action: 'close the auxiliary DC switch', expect: 'unit wakes, no fault', minS: 10, timeoutS: 120, timeoutAdds: null, onFailure: 'open the auxiliary switch' },
    { state: 'DC_CLOSED', actor: 'electrician', guard: 'no fault for 30 s', gates: ['I-DCLAND', 'D-VOC'], action: 'close the remaining DC switches one at a time', expect: 'each input shows its Voc within 3 %', minS: 30, timeoutS: 60, timeoutAdds: null, onFailure: 'open that DC switch if its current is under its rating; else AC off first' },
    { state: 'SELF_CHECK', actor: 'unit', guard: 'DC above start-up, AC in window', gates: [], action: 'wait', expect: 'relay clicks, no fault code; insulation check passes', minS: 0, timeoutS: 180, timeoutAdds: null, onFailure: 'FAULT: read code, fault finder with status' },
    { state: 'GRID_WAIT', actor: 'unit', guard: 'V and f in the code window without a break', gates: [], action: 'wait, countdown on screen', expect: 'slow blink; the timer restarts at every excursion', minS: 'delay', timeoutS: 60, timeoutAdds: 'delay', onFailure: 'HELD: fault finder with status=waiting' },
    { state: 'RAMP', actor: 'unit', guard: 'delay elapsed', gates: [], action: 'watch', expect: 'AC power rises; steady light', minS: 0, timeoutS: 120, timeoutAdds: 'ramp', onFailure: 'HELD' },
    { state: 'ON_GRID', actor: 'electrician', guard: 'P_ac > 1 % of rating for 300 s', gates: ['I-SETUP'], action: 'read the site meter before and after', expect: 'meter step equals unit power within max(3 % Prated, 5 % P)', minS: 300, timeoutS: 600, timeoutAdds: null, onFailure: 'HELD: CT signature' },
    { state: 'SETTLED', actor: 'electrician', guard: '60 min at 40 % load', gates: [], action: 'thermal scan, compare trackers', expect: 'no joint over limit', minS: 3600, timeoutS: null, timeoutAdds: null, onFailure: 'gate I-THERM stays open' },
  ],
  off: [
    { state: 'STOP', actor: 'electrician', guard: 'order known to all', gates: [], action: 'stop command', expect: 'AC power below 1 % of rating', minS: 0, timeoutS: 60, timeoutAdds: null, onFailure: 'go on: the next step removes the load' },
    { state: 'AC_OPEN', actor: 'electrician', guard: '', gates: [], action: 'open AC breaker, lock, tag', expect: 'DC current falls to zero on every input', minS: 5, timeoutS: 60, timeoutAdds: null, onFailure: 'do not touch DC switches under doubt; step back, night rule' },
    { state: 'DC_OPEN', actor: 'electrician', guard: 'DC clamp below 0.3 A on every string', gates: [], action: 'open DC switches, lock, tag', expect: '', minS: 0, timeoutS: null, timeoutAdds: null, onFailure: 'night rule' },
    { state: 'DISCHARGE', actor: 'unit', guard: '', gates: [], action: 'wait: the longest time on any label, at least 300 s; 900 s where no label is legible', expect: '', minS: 300, timeoutS: null, timeoutAdds: null, onFailure: '' },
    { state: 'PROVE_DEAD', actor: 'electrician', guard: 'meter proved on a known source', gates: [], action: 'L-L, L-N, L-PE, DC+ DC-, each pole to PE, battery; prove the meter again', expect: 'AC ≤ 25 V, DC ≤ 60 V, each reading written down', minS: 0, timeoutS: null, timeoutAdds: null, onFailure: 'not dead: close up, find the second source' },
    { state: 'SAFE', actor: 'electrician', guard: 'six or more dead readings and both meter proofs recorded', gates: [], action: 'hands may go in', expect: 'strings and the AC line side stay live', minS: 0, timeoutS: null, timeoutAdds: null, onFailure: '' },
  ],
} as const satisfies Readonly<Record<string, readonly OrderStep[]>>;

export type OrderName = keyof typeof ORDERS;
export const ORDER_NAMES = ['1', '2', '3', 'off'] as const satisfies readonly OrderName[];
/** What each order is called where somebody chooses one. */
export const ORDER_TITLES: Readonly<Record<OrderName, string>> = {
  '1': 'AC breaker, then DC switches',
  '2': 'DC switches, then AC breaker',
  '3': 'AC breaker, auxiliary DC switch, then the others',
  off: 'Switch off, isolate, prove dead',
};

export type StepState = (typeof ORDERS)[OrderName][number]['state'];
export const stepsOf = (order: OrderName): readonly (OrderStep & { readonly state: StepState })[] => ORDERS[order];
