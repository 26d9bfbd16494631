import type { AskedUnits } from './busReading';

/** A way beside the bus that was tried, beside what the plan says. */
export interface WayReading extends AskedUnits {
  readonly way: 'ethernet' | 'radio' | 'carriers';
  readonly when: 'at full power' | 'at night' | 'at another hour';
  readonly unitsOn: number;
  readonly unitsAnswered: number;
  /** Null where the release has no such way. Its units: null where nobody said, undefined where the plan of such a way names none. */
  readonly planned: { readonly label: string; readonly units: number | null | undefined } | null;
}
