import type { InverterType } from '../equipment/inverterType';

/** Conductors that end at the AC terminals, the PE among them: lines and PE, with a neutral where the unit wants it brought in. */
export const CONDUCTORS: Readonly<Record<InverterType['wiring'], number>> = {
  '5-wire': 5,
  '4-wire with neutral jumper': 4,
  '3-wire plus PE': 4,
};
