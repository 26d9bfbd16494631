import type { LineError, WeatherAnswer } from './weatherYear';
import { MOST_ERRORS, filled, jumpIn, noYear } from './weatherYear';

/** Whether the time stamp of an interval is its start or its end. */
export type Stamp = 'starts' | 'ends';

const ISO = /^(\d{4})-(\d\d)-(\d\d)[T ](\d\d):(\d\d)(?::(\d\d)(?:\.\d+)?)?(Z|[+-]\d\d:?\d\d)$/;

/** A time with its offset from UTC, ms; undefined where it has none or is none. */
function instant(text: string): { ms: number; offsetH: number } | undefined {
  const m = ISO.exec(text.trim());
  if (!m) return undefined;
  const [, y, mo, d, h, mi, s, zone = 'Z'] = m;
  const offsetH = zone === 'Z' ? 0 : Number(`${zone[0]}1`) * (Number(zone.slice(1, 3)) + Number(zone.slice(-2)) / 60);
  return {
    ms: Date.UTC(Number(y), Number(mo) - 1, Number(d), Number(h), Number(mi), Number(s ?? 0)) - offsetH * 3_600_000,
    offsetH,
  };
}

/**
 * A weather year from rows of a table with a header: `time` (ISO 8601 with offset), `ghi` W/m², and where measured `dni`, `dhi`,
 * `temp_air` °C. `lineOf` gives the line of a row in the file. Errors carry their line; nothing is guessed.
 */
export function weatherFromRows(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  stamp: Stamp,
  label: string,
  lineOf: (row: number) => number = (row) => row + 2,
): WeatherAnswer {
  const at = (name: string) => header.findIndex((h) => h.trim().toLowerCase() === name);
  const [time, ghi, dni, dhi, temp] = ['time', 'ghi', 'dni', 'dhi', 'temp_air'].map(at) as [
    number,
    number,
    number,
    number,
    number,
  ];
  const absent = [...(time < 0 ? ['time'] : []), ...(ghi < 0 ? ['ghi'] : []), ...(temp < 0 ? ['temp_air'] : [])];
  if (absent.length)
    return { year: null, errors: [{ line: 1, text: `the header has no column ${absent.join(', ')}.` }] };
  const errors: LineError[] = [];
  const value = (row: readonly string[], column: number, line: number, name: string, min: number, max: number) => {
    const text = column < 0 ? '' : (row[column] ?? '').trim();
    if (text === '') return null;
    const v = Number(text.replace(',', '.'));
    if (!(v >= min && v <= max)) errors.push({ line, text: `${name} must be ${min} to ${max} (got ${text}).` });
    return v;
  };
  let offsetH = 0;
  const stamps: number[] = [];
  const read = rows.flatMap((row, i) => {
    if (errors.length >= MOST_ERRORS) return [];
    const line = lineOf(i);
    const when = instant(row[time] ?? '');
    if (!when) {
      errors.push({
        line,
        text: `time ${row[time] ?? ''} is no ISO 8601 time with its offset, like 2025-06-21T12:00+01:00.`,
      });
      return [];
    }
    const last = stamps.at(-1);
    if (last !== undefined && when.ms <= last)
      errors.push({ line, text: `time ${row[time]} is repeated or out of order.` });
    if (i === 0) offsetH = when.offsetH;
    stamps.push(when.ms);
    return [
      {
        line,
        ghi: value(row, ghi, line, 'ghi', 0, 1600),
        dni: value(row, dni, line, 'dni', 0, 1400),
        dhi: value(row, dhi, line, 'dhi', 0, 1000),
        temp: value(row, temp, line, 'temp_air', -60, 60),
      },
    ];
  });
  if (errors.length) return { year: null, errors: errors.slice(0, MOST_ERRORS) };
  const stepMs = (stamps[1] ?? 0) - (stamps[0] ?? 0);
  const spanH = ((stamps.at(-1) ?? 0) - (stamps[0] ?? 0) + stepMs) / 3_600_000;
  if (rows.length < 2 || spanH < 8760 - 1e-6)
    return {
      year: null,
      errors: [{ line: lineOf(Math.max(0, rows.length - 1)), text: noYear(Math.round(spanH)) ?? 'it has one hour.' }],
    };
  if (Math.abs(stepMs - 3_600_000) > 1)
    return {
      year: null,
      errors: [{ line: lineOf(1), text: `the step is ${stepMs / 60_000} minutes; give hourly values.` }],
    };
  const jump = jumpIn(stamps);
  if (jump > 0) return { year: null, errors: [{ line: lineOf(jump), text: 'hours are missing before this line.' }] };
  const wrongLength = noYear(rows.length);
  if (wrongLength)
    return { year: null, errors: [{ line: lineOf(Math.min(rows.length - 1, 8784)), text: wrongLength }] };
  const [g, b, d, t] = (['ghi', 'dni', 'dhi', 'temp'] as const).map((k) => filled(read.map((r) => r[k]))) as [
    ReturnType<typeof filled>,
    ReturnType<typeof filled>,
    ReturnType<typeof filled>,
    ReturnType<typeof filled>,
  ];
  for (const [column, name] of [
    [g, 'ghi'],
    [t, 'temp_air'],
  ] as const)
    if (column.tooLongAt !== null)
      return {
        year: null,
        errors: [{ line: lineOf(column.tooLongAt), text: `more than six hours of ${name} are missing.` }],
      };
  const measured = dni >= 0 && dhi >= 0 && b.tooLongAt === null && d.tooLongAt === null;
  const shift = ((stamp === 'starts' ? 1 : -1) * stepMs) / 2;
  return {
    errors: [],
    lines: rows.map((_, i) => lineOf(i)),
    year: {
      label,
      latitudeDeg: null,
      longitudeDeg: null,
      utcOffsetH: offsetH,
      coldestC: Math.min(...t.values),
      notes: [
        ...(g.count + t.count > 0
          ? [
              `${Math.max(g.count, t.count)} hours had missing values and were filled by interpolation (longest gap ${Math.max(g.longest, t.longest)} h).`,
            ]
          : []),
        ...(measured
          ? []
          : [
              'Direct and diffuse light are not in the file: split from global light, which overstates clear-day diffuse.',
            ]),
      ],
      hours: stamps.map((ms, i) => ({
        midMs: ms + shift,
        globalWm2: g.values[i] ?? 0,
        beamWm2: measured ? (b.values[i] ?? 0) : null,
        diffuseWm2: measured ? (d.values[i] ?? 0) : null,
        ambientC: t.values[i] ?? 0,
      })),
    },
  };
}
