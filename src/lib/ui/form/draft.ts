/** What was typed into a form and is not saved: kept in this tab, over a reload and a way back. */

type Values = Record<string, unknown>;

const nameOf = (form: string): string => `bolt-yard.draft.${location.pathname}.${form}`;

/** What was typed, where the form still asks for the same things; null where nothing was. */
export function readDraft(form: string, now: Values): Values | null {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(nameOf(form)) ?? 'null');
    if (typeof kept !== 'object' || kept === null) return null;
    const same = Object.keys(now).sort().join() === Object.keys(kept).sort().join();
    return same && JSON.stringify(kept) !== JSON.stringify(now) ? (kept as Values) : null;
  } catch {
    return null;
  }
}

/** Keeps what was typed; null forgets it. A tab that keeps nothing asks before it is left, and that is all it can do. */
export function writeDraft(form: string, typed: Values | null): void {
  try {
    if (typed) sessionStorage.setItem(nameOf(form), JSON.stringify(typed));
    else sessionStorage.removeItem(nameOf(form));
  } catch {
    // Nothing to keep it in.
  }
}
