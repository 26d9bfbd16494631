import type { LineError, WeatherAnswer } from './weatherYear';
import { MOST_ERRORS, filled, jumpIn, noYear } from './weatherYear';

const HEADER_LINES = 8;
const FIELDS = 22;

/** Fields of an EPW data line, from 1, and the value that marks a missing one (EnergyPlus auxiliary programs manual; recalled). */
const COLUMN = {
  year: { at: 1 },
  month: { at: 2 },
  day: { at: 3 },
  hour: { at: 4 },
  dryBulbC: { at: 7, missing: 99.9, name: 'dry-bulb temperature', min: -60, max: 60 },
  globalWh: { at: 14, missing: 9999, name: 'global light', min: 0, max: 1600 },
  beamWh: { at: 15, missing: 9999, name: 'direct light', min: 0, max: 1400 },
  diffuseWh: { at: 16, missing: 9999, name: 'diffuse light', min: 0, max: 1000 },
} as const;

/**
 * A weather year from EPW text: eight header lines, then one line an hour; hour 1 is 00 to 01, so its middle is half past midnight.
 * Missing values are bridged up to six hours; a longer gap, a short line or a time out of order is an error with its line.
 * Months may come from different years: the first year of the file stands for all.
 */
export function readEpw(text: string, label: string): WeatherAnswer {
  const lines = text.split(/\r?\n/);
  const place = (lines[0] ?? '').split(',');
  const [latitudeDeg, longitudeDeg, zone] = [place[6], place[7], place[8]].map((x) =>
    x === undefined ? NaN : Number(x),
  );
  if (place[0] !== 'LOCATION' || ![latitudeDeg, longitudeDeg, zone].every((x) => Number.isFinite(x)))
    return refused(
      1,
      'not an EPW file: the first line must begin with LOCATION and give latitude, longitude and time zone.',
    );
  const errors: LineError[] = [];
  const rows: { line: number; midMs: number; values: (number | null)[] }[] = [];
  const offsetH = zone ?? 0;
  let year = 0;
  lines.slice(HEADER_LINES).forEach((raw, i) => {
    const line = HEADER_LINES + i + 1;
    if (raw.trim() === '' || errors.length >= MOST_ERRORS) return;
    const fields = raw.split(',');
    if (fields.length < FIELDS)
      return void errors.push({ line, text: `${fields.length} fields, EPW needs at least ${FIELDS}.` });
    const number = (at: number) => Number(fields[at - 1]);
    year ||= number(COLUMN.year.at);
    const [month, day, hour] = [number(COLUMN.month.at), number(COLUMN.day.at), number(COLUMN.hour.at)];
    if (!(month >= 1 && month <= 12 && day >= 1 && day <= 31 && hour >= 1 && hour <= 24))
      return void errors.push({
        line,
        text: `time ${fields.slice(1, 4).join('-')} is no month, day and hour 1 to 24.`,
      });
    const midMs = Date.UTC(year, month - 1, day, 0, 0) + (hour - 0.5 - offsetH) * 3_600_000;
    const last = rows.at(-1);
    if (last && midMs <= last.midMs)
      errors.push({ line, text: `time ${fields.slice(1, 4).join('-')} is repeated or out of order.` });
    const values = [COLUMN.dryBulbC, COLUMN.globalWh, COLUMN.beamWh, COLUMN.diffuseWh].map((column) => {
      const { at, missing, min, max, name } = column;
      const text = (fields[at - 1] ?? '').trim();
      // A blank is a value that is missing, and no zero.
      const v = text === '' ? NaN : Number(text);
      if (text !== '' && !Number.isFinite(v)) errors.push({ line, text: `${name} is no number (got ${text}).` });
      if (!Number.isFinite(v) || v >= missing) return null;
      if (v < min || v > max) errors.push({ line, text: `${name} must be ${min} to ${max} (got ${text}).` });
      return v;
    });
    rows.push({ line, midMs, values });
  });
  if (errors.length) return { year: null, errors: errors.slice(0, MOST_ERRORS) };
  const jump = jumpIn(rows.map((r) => r.midMs));
  if (jump > 0) return refused(rows[jump]?.line ?? 0, 'hours are missing before this line.');
  const short = noYear(rows.length);
  if (short) return refused(lines.length, short);
  const columns = [0, 1, 2, 3].map((c) => filled(rows.map((r) => r.values[c] ?? null)));
  for (const c of [0, 1] as const) {
    const at = columns[c]?.tooLongAt;
    if (at !== null && at !== undefined)
      return refused(
        rows[at]?.line ?? 0,
        `more than six hours of ${c === 0 ? 'dry-bulb temperature' : 'global irradiance'} are missing.`,
      );
  }
  const beamKnown = columns[2]?.tooLongAt === null && columns[3]?.tooLongAt === null;
  const [temp, global, beam, diffuse] = columns.map((c) => c.values) as [number[], number[], number[], number[]];
  const count = Math.max(...columns.map((c) => c.count));
  return {
    errors: [],
    lines: rows.map((r) => r.line),
    year: {
      label,
      latitudeDeg: latitudeDeg ?? null,
      longitudeDeg: longitudeDeg ?? null,
      utcOffsetH: offsetH,
      coldestC: Math.min(...temp),
      notes: [
        ...(count > 0
          ? [
              `${count} hours had missing values and were filled by interpolation (longest gap ${Math.max(...columns.map((c) => c.longest))} h).`,
            ]
          : []),
        ...(beamKnown
          ? []
          : [
              'Direct and diffuse light are not in the file: split from global light, which overstates clear-day diffuse.',
            ]),
      ],
      hours: rows.map((r, i) => ({
        midMs: r.midMs,
        globalWm2: global[i] ?? 0,
        beamWm2: beamKnown ? (beam[i] ?? 0) : null,
        diffuseWm2: beamKnown ? (diffuse[i] ?? 0) : null,
        ambientC: temp[i] ?? 0,
      })),
    },
  };
}

const refused = (line: number, text: string): WeatherAnswer => ({ year: null, errors: [{ line, text }] });
