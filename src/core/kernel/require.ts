/** Guards for callers' mistakes. The condition is tested negated, so that NaN fails too. */

/** Throws RangeError naming field, value and range unless min ≤ value ≤ max. */
export function requireWithin(field: string, value: number, min: number, max: number, unit = ''): void {
  if (!(value >= min && value <= max)) {
    throw new RangeError(`${field} must be ${min} to ${max}${unit && ` ${unit}`} (got ${value})`);
  }
}

/** Throws RangeError naming field and value unless each named property is above 0. */
export function requirePositive<K extends string>(of: Readonly<Record<K, number>>, ...fields: K[]): void {
  for (const field of fields) {
    if (!(of[field] > 0)) throw new RangeError(`${field} must be above 0 (got ${of[field]})`);
  }
}
