/** Numbers as people read them. Core computes in SI; nothing here changes a value. */

export const STC_C = 25;
export const STC_W_M2 = 1000;

/** Digits after the point that a crew can use, by unit; others get two. */
const DIGITS: Readonly<Record<string, number>> = {
  '%': 2,
  V: 1,
  A: 1,
  W: 0,
  kW: 1,
  kVA: 0,
  m: 1,
  mm: 1,
  'mm²': 1,
  '°C': 1,
  'N·m': 1,
  Ω: 3,
  MΩ: 2,
  s: 0,
  'W/m²': 0,
  'bit/s': 0,
  '': 0,
  kg: 1,
  kPa: 1,
  'dB(A)': 1,
  'm/s': 1,
  modules: 0,
  strings: 0,
  people: 0,
  cables: 0,
  cores: 0,
  devices: 0,
  fixings: 0,
  lugs: 0,
  screws: 0,
};

/** `1013.3 V`; a dash where there is no number. Digits follow the unit. */
export function formatQuantity(value: number | null | undefined, unit: string): string {
  if (value === null || value === undefined || !Number.isFinite(value)) return '–';
  return unit ? `${fixed(value, DIGITS[unit] ?? 2)} ${unit}` : fixed(value, DIGITS[unit] ?? 2);
}

/** Fixed digits with a true minus sign and no negative zero. */
export function fixed(value: number, digits: number): string {
  const text = value.toFixed(digits);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

/** As many digits as needed to tell the value apart, at most four decimals: for workings. */
export function short(value: number): string {
  return String(Number(value.toFixed(Math.abs(value) < 1 ? 6 : 4))).replace('-', '−');
}
