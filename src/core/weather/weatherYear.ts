import { z } from 'zod';

/** One interval of weather. Light is null where the file does not measure it: split from global then. */
const weatherHourSchema = z.object({
  midMs: z.number().meta({ description: 'Middle of the interval, ms since 1970 UTC' }),
  globalWm2: z.number().min(0).max(1600),
  beamWm2: z.number().min(0).max(1400).nullable(),
  diffuseWm2: z.number().min(0).max(1000).nullable(),
  ambientC: z.number().min(-60).max(60),
});
export type WeatherHour = Readonly<z.infer<typeof weatherHourSchema>>;

export const weatherYearSchema = z
  .object({
    label: z.string().trim().min(1).max(120),
    latitudeDeg: z.number().min(-90).max(90).nullable(),
    longitudeDeg: z.number().min(-180).max(180).nullable(),
    utcOffsetH: z.number().min(-12).max(14).meta({ description: 'Standard time of the file against UTC, h' }),
    hours: z.array(weatherHourSchema.readonly()).min(8760).max(8784).readonly(),
    coldestC: z.number().meta({ description: 'Coldest hour of the file: of a typical year, not a design temperature' }),
    notes: z
      .array(z.string().max(400))
      .max(20)
      .readonly()
      .meta({ description: 'Things a person should know: hours filled in, columns not there' }),
  })
  .meta({ id: 'WeatherYear' });
export type WeatherYear = Readonly<z.infer<typeof weatherYearSchema>>;

/** A line of a weather file that cannot be read: its number as an editor shows it, and what is wrong. */
export interface LineError {
  readonly line: number;
  readonly text: string;
}

export type WeatherAnswer =
  /** `lines`: the line of each hour in the file. */
  | { readonly year: WeatherYear; readonly errors: readonly []; readonly lines: readonly number[] }
  | { readonly year: null; readonly errors: readonly LineError[] };

/** More errors than this say nothing new. */
export const MOST_ERRORS = 20;
/** Longest gap that is bridged by a straight line, h. */
const LONGEST_GAP_H = 6;

/** Values with gaps, filled in a straight line where a gap is short enough; the place of the first that is not. */
export function filled(values: readonly (number | null)[]): {
  readonly values: number[];
  readonly count: number;
  readonly longest: number;
  readonly tooLongAt: number | null;
} {
  const out = [...values];
  let count = 0;
  let longest = 0;
  for (let i = 0; i < out.length; i++) {
    if (out[i] !== null) continue;
    let end = i;
    while (end < out.length && out[end] === null) end++;
    const gap = end - i;
    longest = Math.max(longest, gap);
    count += gap;
    const [before, after] = [out[i - 1] ?? out[end] ?? null, out[end] ?? out[i - 1] ?? null];
    if (gap > LONGEST_GAP_H || before === null || after === null)
      return { values: out.map((v) => v ?? 0), count, longest, tooLongAt: i };
    for (let k = i; k < end; k++) out[k] = before + ((after - before) * (k - i + 1)) / (gap + 1);
    i = end;
  }
  return { values: out.map((v) => v ?? 0), count, longest, tooLongAt: null };
}

const HOUR_MS = 3_600_000;
const DAY_H = 24;
const LEAP_H = 8784;

/** The first hour that does not follow the one before it; a 29 February may be left out. −1 where all do. */
export const jumpIn = (midsMs: readonly number[]): number =>
  midsMs.findIndex((ms, i) => {
    if (i === 0) return false;
    const before = midsMs[i - 1] ?? 0;
    const stepH = (ms - before) / HOUR_MS;
    return Math.abs(stepH - 1) > 1e-3 && !(Math.abs(stepH - 1 - DAY_H) < 1e-3 && overLeapDay(before, ms));
  });

/** Whether only a 29 February lies between two moments, whatever the zone they are meant in. */
const overLeapDay = (fromMs: number, toMs: number): boolean => {
  const middle = new Date((fromMs + toMs) / 2);
  const day = Date.UTC(middle.getUTCFullYear(), 1, 29, 12);
  return new Date(day).getUTCMonth() === 1 && Math.abs(middle.getTime() - day) <= 14 * HOUR_MS;
};

/** Why so many hours are no year; null where they are one. */
export const noYear = (hours: number): string | null =>
  hours < 8760
    ? `the file covers ${hours} hours; a year has 8760.`
    : hours > LEAP_H
      ? `the file covers ${hours} hours, more than a year: give one year.`
      : null;
