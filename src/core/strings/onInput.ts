import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import type { Answer } from '../kernel/answer';
import type { Subject } from '../kernel/check';
import { lineOf } from '../site/line';
import type { UnitOnLine } from '../site/line';
import type { Place, Plane, PvString, SiteInverter } from '../site/parts';
import type { Survey } from '../site/survey';
import type { TrackerCurrents } from './currents';
import { trackerCurrents } from './currents';
import type { DcCable, StringsDesign } from './part';
import type { StringWindow } from './window';
import { windowOnSite } from './window';

/** A string on its input: everything its rules look at. */
export interface StringOnInput {
  readonly string: PvString;
  readonly place: Place;
  readonly plane: Plane;
  readonly module: ModuleType;
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly survey: Survey;
  readonly window: Answer<StringWindow>;
  readonly lengthM: number | null;
  /** Strings on its tracker, itself among them. */
  readonly parallel: number;
  readonly cable: DcCable;
}

/** The strings of an inverter on their inputs, with plane, sheet and window looked up once. */
export function stringsOnInputs(
  design: StringsDesign,
  { unit, type, strings }: UnitOnLine,
  lengths: ReadonlyMap<string, number | null>,
): StringOnInput[] {
  const line = lineOf(design);
  const { survey, dcCable: cable } = design;
  const windows = new Map<string, Answer<StringWindow>>();
  const onTracker = new Map<number, number>();
  for (const { place } of strings) if (place) onTracker.set(place.tracker, (onTracker.get(place.tracker) ?? 0) + 1);
  return strings.flatMap((string): StringOnInput[] => {
    const on = line.plane(string.planeId);
    const { place } = string;
    if (!place || !on) return [];
    const { plane, module } = on;
    const window = windows.get(plane.id) ?? windowOnSite(survey, plane, module, type);
    windows.set(plane.id, window);
    const lengthM = lengths.get(string.id) ?? null;
    const parallel = onTracker.get(place.tracker) ?? 1;
    return [{ string, place, plane, module, unit, type, survey, window, lengthM, parallel, cable }];
  });
}

/** Where a string hangs, as people say it. */
export const pathOf = (unit: SiteInverter, place: Place, number: number): string =>
  `${unit.tag} / tracker ${place.tracker} / input ${place.input} / string ${number}`;

export const stringSubject = ({ unit, place, string }: StringOnInput): Subject => ({
  element: 'string',
  path: pathOf(unit, place, string.number),
  id: string.id,
});

/** What hangs together on one tracker, with the currents of each string alone. */
export interface LoadedTracker {
  readonly first: StringOnInput;
  readonly strings: readonly StringOnInput[];
  readonly currents: readonly TrackerCurrents[];
}

/** The trackers of one inverter's strings, in the order of their first string. */
export function loadedTrackers(strings: readonly StringOnInput[]): LoadedTracker[] {
  const groups = new Map<number, [StringOnInput, ...StringOnInput[]]>();
  for (const s of strings) {
    const group = groups.get(s.place.tracker);
    if (group) group.push(s);
    else groups.set(s.place.tracker, [s]);
  }
  return [...groups.values()].map((group) => ({
    first: group[0],
    strings: group,
    currents: group.map((s) => trackerCurrents(s.module, s.type, s.plane.mounting, 1)),
  }));
}

export const trackerSubject = ({ first: { unit, place } }: LoadedTracker): Subject => ({
  element: 'tracker',
  path: `${unit.tag} / tracker ${place.tracker}`,
  id: `${unit.id}/${place.tracker}`,
});

/** Sum of one current over the strings of a tracker, A. */
export const summedA = ({ currents }: LoadedTracker, of: (c: TrackerCurrents) => number): number =>
  currents.reduce((sum, c) => sum + of(c), 0);

/** The input of a tracker that carries most, with its current and how many strings join there. */
export function fullestInput({ strings, currents }: LoadedTracker): {
  input: number;
  currentA: number;
  joined: number;
} {
  const onInput = new Map<number, number>();
  strings.forEach((s, i) => onInput.set(s.place.input, (onInput.get(s.place.input) ?? 0) + (currents[i]?.inputA ?? 0)));
  const [input, currentA] = [...onInput].reduce((a, b) => (b[1] > a[1] ? b : a));
  return { input, currentA, joined: strings.filter((s) => s.place.input === input).length };
}

/** What the other strings of a tracker push into the one that is shorted, A: all but the weakest (IEC 62548-1, recalled). 0 for one string. */
export function reverseCurrentA(t: LoadedTracker): number {
  if (t.strings.length < 2) return 0;
  return summedA(t, (c) => c.inputA) - Math.min(...t.currents.map((c) => c.inputA));
}

/** One inverter with what hangs on it. */
export interface LoadedInverter {
  readonly unit: SiteInverter;
  readonly type: InverterType;
  /** DC power at standard conditions, W; null while nothing hangs there. */
  readonly dcW: number | null;
}
