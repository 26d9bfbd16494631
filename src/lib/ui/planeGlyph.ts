/** A plane's letter on tags and plan, by its place in the list: A, B … Z, AA. Shape and letter, no colour. */
export function planeLetter(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : planeLetter(Math.floor(index / 26) - 1) + letter;
}
