/** Letters of releases in the order in which drawings are lettered: A…Z, AA…ZZ. Common practice. */

const LETTERS = 26;
/** So many releases can be told apart. */
export const RELEASES_MOST = LETTERS + LETTERS * LETTERS;

const letter = (place: number): string => String.fromCharCode(65 + place);

/** Letter of the nth release, n from 1 to 702. Throws RangeError outside. */
export function releaseLetter(n: number): string {
  if (!(Number.isInteger(n) && n >= 1 && n <= RELEASES_MOST))
    throw new RangeError(`n must be 1 to ${RELEASES_MOST} (got ${n})`);
  if (n <= LETTERS) return letter(n - 1);
  const beyond = n - LETTERS - 1;
  return letter(Math.floor(beyond / LETTERS)) + letter(beyond % LETTERS);
}

/** Which release a letter names, from 1. Throws RangeError on what is no letter of a release. */
export function releaseNumber(name: string): number {
  if (!/^[A-Z]{1,2}$/.test(name)) throw new RangeError(`name must be A to Z or AA to ZZ (got ${name})`);
  const [first = 0, second] = [...name].map((c) => c.charCodeAt(0) - 65);
  return second === undefined ? first + 1 : LETTERS + LETTERS * first + second + 1;
}
