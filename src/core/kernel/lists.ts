/** The list with this item in the place of the one of its id, or at the end. */
export function replaced<T extends { readonly id: string }>(items: readonly T[], item: T): T[] {
  return items.some((i) => i.id === item.id) ? items.map((i) => (i.id === item.id ? item : i)) : [...items, item];
}
