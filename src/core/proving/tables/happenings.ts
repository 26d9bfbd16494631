import type { Scope } from '../entry';
import type { GATE_TABLE } from '../gates/table';

type StaleOn = (typeof GATE_TABLE)[number]['staleOn'][number];

/** Something that happened to a part of the site, and what it makes stale: the words of `staleOn` in the gate table. */
export interface Happening {
  readonly what: string;
  readonly scope: Scope;
  /** Anybody on site may report it, and it withdraws at once. */
  readonly danger: boolean;
  readonly staleOn: readonly StaleOn[];
  /** Gates withdrawn beyond those that name it. */
  readonly withdraws?: readonly string[];
  /** The part is another one from now on: everything that rests on these gates goes with them. */
  readonly allThatRests?: true;
  /** What it says of the weather: wet, whoever says it, and dry by whoever may sign the safe start. */
  readonly weather?: 'wet' | 'dry';
}

/** What can happen to proofs. Opening a power joint opens the cover and touches the AC side too. Common practice. */
export const HAPPENINGS = [
  {
    what: 'joint opened',
    scope: 'inverter',
    danger: true,
    staleOn: ['joint opened', 'AC side touched', 'cover opened'],
  },
  { what: 'AC cable damaged', scope: 'inverter', danger: true, staleOn: ['AC cable touched', 'AC side touched'] },
  { what: 'earth fault on the DC side', scope: 'inverter', danger: true, staleOn: [], withdraws: ['D-IR'] },
  { what: 'earth opened', scope: 'inverter', danger: true, staleOn: ['earth opened'] },
  { what: 'cover opened', scope: 'inverter', danger: true, staleOn: ['cover opened'] },
  { what: 'plug moved', scope: 'inverter', danger: true, staleOn: ['plug moved'] },
  { what: 'unit unsafe', scope: 'inverter', danger: true, staleOn: [], withdraws: ['I-PERMIT'] },
  { what: 'string cable damaged', scope: 'string', danger: true, staleOn: [], withdraws: ['D-POL', 'D-VOC', 'D-IR'] },
  { what: 'earth fault on the string', scope: 'string', danger: true, staleOn: [], withdraws: ['D-IR'] },
  { what: 'earth bar opened', scope: 'site', danger: true, staleOn: ['earth bar opened'] },
  { what: 'storm', scope: 'site', danger: true, staleOn: ['storm'] },
  { what: 'site unsafe', scope: 'site', danger: true, staleOn: [], withdraws: ['S-SAFE'] },
  { what: 'rain or wet fog', scope: 'site', danger: true, staleOn: [], weather: 'wet' },
  { what: 'dry again', scope: 'site', danger: false, staleOn: [], weather: 'dry' },
  {
    what: 'unit replaced',
    scope: 'inverter',
    danger: false,
    staleOn: ['unit replaced', 'unit moved or replaced'],
    allThatRests: true,
  },
  { what: 'unit moved', scope: 'inverter', danger: false, staleOn: ['unit moved or replaced'] },
  { what: 'AC cable touched', scope: 'inverter', danger: false, staleOn: ['AC cable touched'] },
  { what: 'AC side touched', scope: 'inverter', danger: false, staleOn: ['AC side touched'] },
  { what: 'residual-current device replaced', scope: 'inverter', danger: false, staleOn: ['device replaced'] },
  { what: 'parameter changed', scope: 'inverter', danger: false, staleOn: ['parameter change'] },
  { what: 'contact wiring touched', scope: 'inverter', danger: false, staleOn: ['wiring touched'] },
  { what: 'string re-made', scope: 'string', danger: false, staleOn: ['string re-made'] },
  { what: 'supply or transformer changed', scope: 'site', danger: false, staleOn: ['supply or transformer changed'] },
  { what: 'CT or meter touched', scope: 'site', danger: false, staleOn: ['CT or meter touched'] },
  { what: 'stop loop touched', scope: 'site', danger: false, staleOn: ['loop touched'] },
  { what: 'array changed', scope: 'site', danger: false, staleOn: ['array changed'] },
  { what: 'new crew member', scope: 'site', danger: false, staleOn: ['new crew member'] },
  { what: 'drawing revised', scope: 'site', danger: false, staleOn: ['drawing revision'] },
] as const satisfies readonly Happening[];

/** How long a proof lasts, calendar months: where the gate table says so. */
export const LASTS_MONTHS: Readonly<Record<string, number>> = { 'D-IR': 60, 'I-THERM': 12, 'S-ESTOP': 12, 'I-RAPID': 12 };

/** What is on record by its words. Throws RangeError where the table has no such thing. */
export function happeningNamed(what: string): Happening {
  const found = HAPPENINGS.find((h) => h.what === what);
  if (!found) throw new RangeError(`what happened must be one of the table (got ${what})`);
  return found;
}

/** Whether something that happens makes a gate stale by its own name. */
export const makesStale = (h: Happening, { id, staleOn }: Pick<(typeof GATE_TABLE)[number], 'id' | 'staleOn'>): boolean =>
  staleOn.some((s) => (h.staleOn as readonly string[]).includes(s)) || (h.withdraws?.includes(id) ?? false);
