/** Colours of conductors as they are drawn, by the words the schools give them: colours only where a conductor is meant. */
const DRAWN: Readonly<Record<string, string>> = {
  brown: '#7a4a21',
  black: '#1c1c1c',
  grey: '#8b8b8b',
  blue: '#2a5fb0',
  red: '#b3261e',
  white: '#f4f2ea',
  orange: '#d9731a',
  yellow: '#e0b400',
  'dark blue': '#1c2f6b',
  'green-yellow': '#3c7a2a',
  'green or bare': '#3c7a2a',
};

export const drawnAs = (colour: string): string => DRAWN[colour] ?? '#1c1c1c';
/** Green with a stripe of yellow. */
export const isStriped = (colour: string): boolean => colour === 'green-yellow';
