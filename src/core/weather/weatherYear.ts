/** One interval of weather, at its middle. */
export interface WeatherHour {
  /** Middle of the interval, ms since 1970 UTC. */
  readonly midMs: number;
  readonly globalWm2: number;
  /** Null where the file does not measure it: split from global then. */
  readonly beamWm2: number | null;
  readonly diffuseWm2: number | null;
  readonly ambientC: number;
}

export interface WeatherYear {
  readonly label: string;
  readonly latitudeDeg: number | null;
  readonly longitudeDeg: number | null;
  /** Standard time of the file against UTC, h. */
  readonly utcOffsetH: number;
  readonly hours: readonly WeatherHour[];
  /** Coldest hour of the file: of a typical year, not a design temperature. */
  readonly coldestC: number;
  /** Things a person should know: hours filled in, columns not there. */
  readonly notes: readonly string[];
}

/** A line of a weather file that cannot be read: its number as an editor shows it, and what is wrong. */
export interface LineError {
  readonly line: number;
  readonly text: string;
}

export type WeatherAnswer =
  | { readonly year: WeatherYear; readonly errors: readonly [] }
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
