import type { Wall } from '$core/mounting/part';
import type { HungUnit } from '$core/mounting/results';
import type { SetOutSheet } from '$core/mounting/setOut/setOutSheet';

/** A wall with what hangs on it and where its holes are: what every printed or drawn sheet of it is made from. */
export interface WallOnPaper {
  readonly site: string;
  /** Letter or revision of the design it was made from. */
  readonly state: string;
  readonly wall: Wall;
  readonly hung: readonly HungUnit[];
  readonly sheet: SetOutSheet;
}
