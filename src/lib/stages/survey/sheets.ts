/** Data sheets that may be chosen on a site: its own copies, and what the shelf has beside them. */
export const sheetsAtHand = <T extends { readonly id: string }>(own: readonly T[], shelf: readonly T[]): T[] => [
  ...own,
  ...shelf.filter((s) => !own.some((o) => o.id === s.id)),
];

/** As the choices of a form. */
export const namedChoices = (items: readonly { readonly id: string; readonly name: string }[]) =>
  items.map((i) => ({ value: i.id, name: i.name }));

export const freshId = (kind: string): string => `${kind}-${crypto.randomUUID().slice(0, 8)}`;

/** Where something is, as three numbers in metres. */
export const placeWords = (p: { readonly xM: number; readonly yM: number; readonly zM: number } | null): string =>
  p ? `${p.xM} / ${p.yM} / ${p.zM}` : 'not known yet';
