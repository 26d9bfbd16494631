import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import { inverterSheetWanted } from '../equipment/inverterSheet';
import { moduleSheetWanted } from '../equipment/moduleType';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import type { Subject } from '../kernel/check';
import { lineOf } from '../site/line';
import type { UnitOnLine } from '../site/line';
import type { Place, Plane, PvString, SiteInverter } from '../site/parts';
import type { Survey } from '../site/survey';
import type { TrackerCurrents } from './currents';
import { rearGainOf, trackerCurrents } from './currents';
import type { DcCable, StringsDesign } from './part';
import type { StringWindow } from './window';
import { windowOnSite } from './window';

/** So many modules in series on a type of inverter: what the rules of a length look at, before the string hangs anywhere. */
export interface StringLength {
  readonly string: Pick<PvString, 'modules'>;
  readonly module: ModuleType;
  readonly type: InverterType;
  readonly window: Answer<StringWindow>;
}

/** What a DC cable has to carry, and how it lies. */
export interface CableLoad {
  readonly module: ModuleType;
  readonly survey: Pick<Survey, 'school'>;
  readonly cable: Pick<DcCable, 'sectionMm2' | 'mode' | 'ambientC' | 'circuitsTogether' | 'fuseA'>;
  readonly parallel: number;
  readonly joined: number;
  readonly sharedM: Answer<number>;
  readonly gain: Answer<number>;
}

/** A string on its input: everything its rules look at. */
export interface StringOnInput extends StringLength, CableLoad {
  readonly string: PvString;
  readonly place: Place;
  readonly plane: Plane;
  readonly unit: SiteInverter;
  readonly survey: Survey;
  readonly lengthM: number | null;
  /** Strings on its tracker, itself among them. */
  readonly parallel: number;
  /** Strings on its input, itself among them: 2 on a Y. */
  readonly joined: number;
  /** Of a string on a Y: from the Y to the input, m; 0 for one that has its input alone. */
  readonly sharedM: Answer<number>;
  /** Sheets that do not stand: nothing of the string is judged on them. */
  readonly wanting: readonly string[];
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
  const ofType = inverterSheetWanted(type);
  const ofPlane = new Map<string, Pick<StringOnInput, 'window' | 'gain' | 'wanting'>>();
  const onTracker = new Map<number, number>();
  const onInput = new Map<string, PvString[]>();
  for (const s of strings) {
    if (!s.place) continue;
    onTracker.set(s.place.tracker, (onTracker.get(s.place.tracker) ?? 0) + 1);
    const key = inputKey(s.place);
    onInput.set(key, [...(onInput.get(key) ?? []), s]);
  }
  return strings.flatMap((string): StringOnInput[] => {
    const on = line.plane(string.planeId);
    const { place } = string;
    if (!place || !on) return [];
    const { plane, module } = on;
    const alike = ofPlane.get(plane.id) ?? {
      window: windowOnSite(survey, plane, module, type, line.ratedW || null),
      gain: rearGainOf(module, plane),
      wanting: [...moduleSheetWanted(module), ...ofType],
    };
    ofPlane.set(plane.id, alike);
    const lengthM = lengths.get(string.id) ?? null;
    const parallel = onTracker.get(place.tracker) ?? 1;
    const together = onInput.get(inputKey(place)) ?? [string];
    return [
      {
        ...{ string, place, plane, module, unit, type, survey, lengthM, parallel, cable },
        ...alike,
        joined: together.length,
        sharedM: sharedOf(together, place, lengthM),
      },
    ];
  });
}

const inputKey = (place: Place): string => `${place.tracker}/${place.input}`;

/** From the Y to the input, m, as its second string says; longer than the home run it lies on is no place for a Y. */
function sharedOf(together: readonly PvString[], place: Place, lengthM: number | null): Answer<number> {
  if (together.length < 2) return known(0);
  const yM = together.find((s) => s.place?.branch === 2)?.yM ?? null;
  const at = `tracker ${place.tracker}, input ${place.input}`;
  if (yM === null) return lacking(`where the Y of ${at} sits: metres from it to the input`);
  // How far a Y may sit from the input, the home run alone can say.
  if (yM > 0 && lengthM === null) return lacking('length of the home run');
  return yM > (lengthM ?? 0)
    ? lacking(
        `a Y of ${at} on the way: ${yM} m from the input is beyond the home run of ${(lengthM ?? 0).toFixed(1)} m`,
      )
    : known(yM);
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
  readonly currents: Answer<readonly TrackerCurrents[]>;
  readonly wanting: readonly string[];
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
    currents: currentsOf(group),
    wanting: [...new Set(group.flatMap((s) => s.wanting))],
  }));
}

/** Currents of each string alone; unknown while the rear side of one of them is. */
function currentsOf(strings: readonly StringOnInput[]): Answer<readonly TrackerCurrents[]> {
  const missing = [...new Set(strings.flatMap((s) => s.gain.missing))];
  if (missing.length) return lacking(...missing);
  return known(strings.map((s) => trackerCurrents(s.module, s.type, s.gain.value ?? Number.NaN, 1)));
}

export const trackerSubject = ({ first: { unit, place } }: LoadedTracker): Subject => ({
  element: 'tracker',
  path: `${unit.tag} / tracker ${place.tracker}`,
  id: `${unit.id}/${place.tracker}`,
});

/** Sum of one current over the strings of a tracker, A. */
export const summedA = (currents: readonly TrackerCurrents[], of: (c: TrackerCurrents) => number): number =>
  currents.reduce((sum, c) => sum + of(c), 0);

/** The input of a tracker that carries most, with its current and how many strings join there. */
export function fullestInput(
  strings: readonly StringOnInput[],
  currents: readonly TrackerCurrents[],
): {
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
export function reverseCurrentA(currents: readonly TrackerCurrents[]): number {
  if (currents.length < 2) return 0;
  return summedA(currents, (c) => c.inputA) - Math.min(...currents.map((c) => c.inputA));
}

/** One inverter with what hangs on it. */
export interface LoadedInverter {
  readonly unit: SiteInverter;
  readonly type: InverterType;
  /** DC power at standard conditions, W; null while nothing hangs there. */
  readonly dcW: number | null;
  readonly survey: Survey;
  /** Sheets that do not stand, of the unit or of a module on it. */
  readonly wanting: readonly string[];
}
