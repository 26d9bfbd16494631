import type { Flaw } from '../problem';
import { FLAWS_MOST, pointerOf } from '../problem';

/** Why a text cannot be kept: databases and files take no NUL, and half a character is none. Null where it can. */
const flawOf = (text: string): string | null =>
  text.includes('\u0000')
    ? 'holds a NUL character: take it out'
    : text.isWellFormed()
      ? null
      : 'holds half a character (a lone surrogate): type it again';

/** Texts and names of fields anywhere in a document that cannot be kept, with their place. */
export function textFlaws(document: unknown): Flaw[] {
  const flaws: Flaw[] = [];
  const look = (value: unknown, path: readonly PropertyKey[]): void => {
    if (flaws.length > FLAWS_MOST) return;
    if (typeof value === 'string') {
      const detail = flawOf(value);
      if (detail) flaws.push({ pointer: pointerOf(path), detail });
    } else if (Array.isArray(value)) value.forEach((v, i) => look(v, [...path, i]));
    else if (typeof value === 'object' && value !== null)
      for (const [key, v] of Object.entries(value)) {
        const detail = flawOf(key);
        if (detail) flaws.push({ pointer: pointerOf(path), detail: `a field name ${detail}` });
        look(v, [...path, key]);
      }
  };
  look(document, []);
  return flaws;
}
