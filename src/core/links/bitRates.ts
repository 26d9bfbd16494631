/** Bit rates that the ports of units have, bit/s. */
export const BIT_RATES = [1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200] as const;
export type BitRate = (typeof BIT_RATES)[number];
