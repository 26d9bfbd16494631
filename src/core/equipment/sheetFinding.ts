/** One thing that a data sheet gets wrong or that is unusual, with the field it belongs to. */
export interface SheetFinding<F extends string = string> {
  readonly code: string;
  readonly severity: 'error' | 'caution';
  readonly field: F;
  readonly text: string;
}

/** One look at a sheet: what it finds, or undefined. */
export type SheetRule<S, F extends string> = (sheet: S) => Omit<SheetFinding<F>, 'code'> | undefined;

export const error = <F extends string>(field: F, text: string) => ({ severity: 'error', field, text }) as const;
export const caution = <F extends string>(field: F, text: string) => ({ severity: 'caution', field, text }) as const;

/** What the rules find on a sheet, by their codes. */
export const findingsBy = <S, F extends string>(
  rules: Readonly<Record<string, SheetRule<S, F>>>,
  sheet: S,
): SheetFinding<F>[] =>
  Object.entries(rules).flatMap(([code, look]) => {
    const found = look(sheet);
    return found ? [{ code, ...found }] : [];
  });

/** What is asked for where a sheet has errors: nothing that rests on it can be judged. Empty for a sound sheet. */
export function soundSheetWanted(name: string, findings: readonly SheetFinding[]): string[] {
  const codes = findings.filter((f) => f.severity === 'error').map((f) => f.code);
  return codes.length ? [`a data sheet of ${name} without errors (${codes.join(', ')})`] : [];
}
