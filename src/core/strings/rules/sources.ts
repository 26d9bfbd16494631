/** Sources that more than one rule of the string side rests on. */
export const IEC_STRINGS = 'IEC 62548-1, string voltage and current';
