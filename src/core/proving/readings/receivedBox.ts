import type { Packed } from '../../equipment/inverterBody';
import type { Counted } from '../../mounting/receiving/receiving';

/** The box of one unit as it was opened. */
export interface ReceivedBox {
  readonly typeName: string;
  readonly packing: readonly Packed[];
  readonly items: readonly Counted[];
  readonly packagingWhole: boolean;
  readonly carrierTold: boolean;
  /** Names of the photos that the site keeps. */
  readonly photos: readonly string[];
}
