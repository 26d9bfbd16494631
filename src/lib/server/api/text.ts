import type { Flaw } from '../problem';
import { FLAWS_MOST, pointerOf } from '../problem';

/** Why a text cannot be kept: databases and files take no NUL, and half a character is none. Null where it can. */
const flawOf = (text: string): string | null =>
  text.includes('\u0000')
    ? 'holds a NUL character: take it out'
    : text.isWellFormed()
      ? null
      : 'holds half a character (a lone surrogate): type it again';

/** Deeper than any document of ours; what looks through it would run out of stack. */
const DEEPEST = 64;

/** Texts and names of fields anywhere in a document that cannot be kept, with their place; also what lies too deep to be looked at. */
export function textFlaws(document: unknown): Flaw[] {
  const flaws: Flaw[] = [];
  const path: PropertyKey[] = [];
  const flaw = (detail: string | null) => detail && flaws.push({ pointer: pointerOf(path), detail });
  const look = (value: unknown): void => {
    if (flaws.length > FLAWS_MOST) return;
    if (typeof value === 'string') flaw(flawOf(value));
    else if (typeof value !== 'object' || value === null) return;
    else if (path.length >= DEEPEST) flaw(`lies deeper than ${DEEPEST} levels`);
    else if (Array.isArray(value)) value.forEach((v, i) => inside(i, v));
    else
      for (const [key, v] of Object.entries(value)) {
        const detail = flawOf(key);
        if (detail) flaw(`a field name ${detail}`);
        inside(key, v);
      }
  };
  const inside = (at: PropertyKey, value: unknown): void => {
    if (typeof value === 'number') return;
    path.push(at);
    look(value);
    path.pop();
  };
  look(document);
  return flaws;
}
