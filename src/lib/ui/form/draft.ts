/** What was typed into a form and is not saved: kept in this tab, over a reload and a way back. */

type Values = Record<string, unknown>;
interface Draft {
  /** What was stored when it was typed. */
  readonly over: string;
  readonly typed: Values;
}

const nameOf = (form: string): string => `bolt-yard.draft.${location.pathname}.${form}`;

/** What was typed over the values that are stored still; null where nothing was, or where they have changed: it would undo that change unseen. */
export function readDraft(form: string, stored: Values): Values | null {
  try {
    const kept = JSON.parse(sessionStorage.getItem(nameOf(form)) ?? 'null') as Draft | null;
    const now = JSON.stringify(stored);
    return kept?.over === now && JSON.stringify(kept.typed) !== now ? kept.typed : null;
  } catch {
    return null;
  }
}

/** Keeps what was typed over stored values; null forgets it. A tab that keeps nothing asks before it is left, and that is all it can do. */
export function writeDraft(form: string, stored: Values, typed: Values | null): void {
  try {
    if (typed) sessionStorage.setItem(nameOf(form), JSON.stringify({ over: JSON.stringify(stored), typed }));
    else sessionStorage.removeItem(nameOf(form));
  } catch {
    // Nothing to keep it in.
  }
}
