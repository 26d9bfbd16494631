/** Days are the site's: from midnight to midnight of its own clock, summer time included. */

const DAY_MS = 86_400_000;
/** Clocks of the world change on quarters of an hour. */
const BLOCK_MS = 900_000;

const FORMATS = new Map<string, Intl.DateTimeFormat>();
const OFFSETS = new Map<string, Map<number, number>>();

const formatOf = (zone: string): Intl.DateTimeFormat => {
  const known = FORMATS.get(zone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
    hourCycle: 'h23',
  });
  FORMATS.set(zone, made);
  return made;
};

/** Site clock less UTC at a moment, ms. */
function offsetMs(atMs: number, zone: string): number {
  const blocks = OFFSETS.get(zone) ?? new Map<number, number>();
  OFFSETS.set(zone, blocks);
  const block = Math.floor(atMs / BLOCK_MS);
  const known = blocks.get(block);
  if (known !== undefined) return known;
  const at = block * BLOCK_MS;
  const part = Object.fromEntries(
    formatOf(zone)
      .formatToParts(at)
      .map((p) => [p.type, Number(p.value)]),
  );
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = part;
  const offset = Date.UTC(year, month - 1, day, hour, minute, second) - at;
  blocks.set(block, offset);
  return offset;
}

/** Whether a name is one of a time zone, as Europe/Oslo. */
export function isTimeZone(zone: string): boolean {
  try {
    formatOf(zone);
    return true;
  } catch {
    return false;
  }
}

const NAMES = new Map<number, string>();
/** YYYY-MM-DD of a count of days since 1970. */
function dayName(day: number): string {
  const known = NAMES.get(day) ?? new Date(day * DAY_MS).toISOString().slice(0, 10);
  NAMES.set(day, known);
  return known;
}

/** The site's day at a moment, YYYY-MM-DD. */
export const siteDay = (atMs: number, zone: string): string =>
  dayName(Math.floor((atMs + offsetMs(atMs, zone)) / DAY_MS));

/** The midnight at which the site's day of a moment ends, ms since 1970. */
export function dayEndMs(atMs: number, zone: string): number {
  const localMs = atMs + offsetMs(atMs, zone);
  return startOfLocalDay(Math.floor(localMs / DAY_MS) * DAY_MS + DAY_MS, zone);
}

/** The midnight with which a day of the site begins, ms since 1970. */
export const dayStartMs = (day: string, zone: string): number => startOfLocalDay(Date.parse(`${day}T00:00:00Z`), zone);

function startOfLocalDay(localMidnightMs: number, zone: string): number {
  const guess = localMidnightMs - offsetMs(localMidnightMs, zone);
  return localMidnightMs - offsetMs(guess, zone);
}

/** A day so many calendar months later; a day that the month does not have is its last. */
export function monthsLater(day: string, months: number): string {
  const [y = 0, m = 1, d = 1] = day.split('-').map(Number);
  const last = new Date(Date.UTC(y, m - 1 + months + 1, 0)).getUTCDate();
  return new Date(Date.UTC(y, m - 1 + months, Math.min(d, last))).toISOString().slice(0, 10);
}

export const daysLater = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
