/** Where what was read came from: seen at the unit, asked over the bus, or said by a simulated device. */
export const SAID_BY = ['at the unit', 'over the bus', 'stand-in'] as const;
export type SaidBy = (typeof SAID_BY)[number];
/** Whether a simulated device said it. */
export const isSimulated = (values: { readonly from: SaidBy }): boolean => values.from === 'stand-in';
