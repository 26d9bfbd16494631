/** Colours of conductors by school and voltage (IEC 60445; NFPA 70, 200.6 and 250.119, phases common practice; recalled). Never proof: measure. */
export const WIRE_COLOURS = {
  IEC: { lines: ['L1 brown', 'L2 black', 'L3 grey'], neutral: 'N blue', earth: 'PE green-yellow' },
  'NEC 208Y/120': { lines: ['A black', 'B red', 'C blue'], neutral: 'N white', earth: 'EGC green or bare' },
  'NEC 480Y/277': { lines: ['A brown', 'B orange', 'C yellow'], neutral: 'N grey', earth: 'EGC green or bare' },
  'AU/NZ': { lines: ['L1 red', 'L2 white', 'L3 dark blue'], neutral: 'N black', earth: 'PE green-yellow' },
} as const;

/** Colours that mean another conductor elsewhere (common practice). */
export const COLOUR_TRAPS = [
  'Blue is neutral by IEC, phase C at 208 V in the US, and L3 in Australia.',
  'Grey is L3 by IEC, and neutral at 480 V in the US.',
  'Black is L2 by IEC, phase A at 208 V in the US, and neutral in Australia.',
] as const;
