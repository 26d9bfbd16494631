/** JSON with the keys of every object in order: the same facts, the same text, whoever wrote them down. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map((x) => canonical(x ?? null)).join(',')}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const of = value as Readonly<Record<string, unknown>>;
  const keys = Object.keys(of).filter((k) => of[k] !== undefined);
  return `{${keys
    .sort()
    .map((k) => `${JSON.stringify(k)}:${canonical(of[k])}`)
    .join(',')}}`;
}
