import type { AcRun } from '../ac/part';
import { boardSupply } from '../ac/fault/boardSupply';
import type { RunResult } from '../ac/results';
import { runResult } from '../ac/results';
import { schoolOf } from '../conductor/schools';
import type { AcBay, InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import type { InverterBody } from '../equipment/inverterBody';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import { wallUnitOf } from '../mounting/clearances';
import type { LiftWay } from '../mounting/lift/liftWay';
import { BLANK_LIFT } from '../mounting/lift/liftWay';
import type { Hung, Wall } from '../mounting/part';
import { newWall } from '../mounting/part';
import type { HungUnit } from '../mounting/results';
import type { UnitAir } from '../mounting/siting/unitAir';
import { newString } from '../site/parts';
import type { Board, Place, Plane, PvString } from '../site/parts';
import type { Survey } from '../site/survey';
import { rearGainOf } from '../strings/currents';
import type { LoadedInverter, LoadedTracker, StringOnInput } from '../strings/onInput';
import { loadedTrackers } from '../strings/onInput';
import type { DcCable } from '../strings/part';
import { windowOnSite } from '../strings/window';
import { BOARD, CABLE, M575, SURVEY, T100, plane, runOf } from './examples';

/** Parts of the line on which every rule holds, with what a test wants changed. */

const UNIT = { id: 'inv-1', tag: 'INV-01', typeId: T100.id, position: null };

/** A run of 60 m, 120 mm² copper on 200 A, worked through. */
export function acRun(
  over: {
    readonly run?: Partial<AcRun>;
    readonly type?: Partial<InverterType>;
    readonly bay?: Partial<AcBay>;
    readonly survey?: Partial<Survey>;
    readonly board?: Partial<Board>;
  } = {},
): RunResult {
  const type = { ...T100, ...over.type, bay: { ...T100.bay, ...over.bay } };
  const survey = { ...SURVEY, ...over.survey };
  // Three units of 160 A on the board.
  const supply = boardSupply(survey, { ...BOARD, ...over.board }, schoolOf(survey.school), known(480));
  return runResult({ ...runOf(UNIT.id), ...over.run }, UNIT, type, survey, null, supply);
}

interface OnInput {
  readonly string?: Partial<PvString>;
  readonly place?: Partial<Place>;
  readonly plane?: Partial<Plane>;
  readonly module?: Partial<ModuleType>;
  readonly type?: Partial<InverterType>;
  readonly survey?: Partial<Survey>;
  readonly cable?: Partial<DcCable>;
  readonly lengthM?: number | null;
  readonly parallel?: number;
  readonly joined?: number;
  readonly sharedM?: Answer<number>;
}

/** A string of 17 modules on input 1.1 with a home run of 40 m. */
export function onInput(over: OnInput = {}): StringOnInput {
  const place: Place = { inverterId: UNIT.id, tracker: 1, input: 1, branch: 1, ...over.place };
  const lies = plane('south', 200, over.plane);
  const module = { ...M575, ...over.module };
  const type = { ...T100, ...over.type };
  const survey = { ...SURVEY, ...over.survey };
  return {
    string: { ...newString('s-1', 1, lies.id, 17, place), ...over.string },
    place,
    plane: lies,
    module,
    unit: UNIT,
    type,
    survey,
    window: windowOnSite(survey, lies, module, type, 100_000),
    lengthM: over.lengthM === undefined ? 40 : over.lengthM,
    parallel: over.parallel ?? 1,
    joined: over.joined ?? 1,
    sharedM: over.sharedM ?? known(0),
    gain: rearGainOf(module, lies),
    wanting: [],
    cable: { ...CABLE, ...over.cable },
  };
}

/** A tracker with as many like strings as there are entries, on inputs 1, 2, …, each with its own changes. */
export function onTracker(over: OnInput = {}, each: readonly OnInput[] = [{}]): LoadedTracker {
  const strings = each.map((own, i) =>
    onInput({ ...over, ...own, place: { input: i + 1, ...own.place }, parallel: each.length }),
  );
  const [tracker] = loadedTrackers(strings);
  if (!tracker) throw new RangeError('each must hold a string');
  return tracker;
}

/** An inverter with so much DC power on it, W. */
export const loadedInverter = (
  dcW: number | null,
  over: { readonly type?: Partial<InverterType>; readonly survey?: Partial<Survey> } = {},
): LoadedInverter => ({
  unit: UNIT,
  type: { ...T100, ...over.type },
  dcW,
  survey: { ...SURVEY, ...over.survey },
  wanting: [],
});

/** A wall of 8 × 3 m about which everything is known, with nothing on it. */
const WALL: Wall = {
  ...newWall('east', 'East wall', 8000, 3000),
  material: 'concrete',
  thicknessMm: 200,
  floorMinMm: 600,
  waterMarkMm: 0,
  topMostMm: 2000,
  frontMm: 1500,
  facing: '2',
  publicReach: false,
  flammables: false,
  backDeg: 0,
  neighbourM: 20,
  soundLimitDb: 50,
  facesDeg: 0,
  awningDepthM: 0,
  trayMm: 400,
  boardXMm: 7800,
  boardYMm: 1500,
  tensionCapacityN: 3000,
  shearCapacityN: 4000,
  anchorHoleMm: 13,
  anchorDepthMm: 65,
  embedmentMm: 60,
  lift: { ...BLANK_LIFT, by: 'lift table', people: 2, stairsDeg: 0, onWheels: false },
};

const outside = (airC: number): Answer<UnitAir> => known({ airC, words: `outside, ${airC} °C` });

/** A unit 1 m from the left and 0.7 m up on that wall, with others where said. */
export function hungUnit(
  over: {
    readonly type?: Partial<InverterType>;
    readonly body?: Partial<InverterBody>;
    readonly wall?: Partial<Wall>;
    readonly lift?: Partial<LiftWay>;
    readonly at?: Partial<Hung>;
    readonly survey?: Partial<Survey>;
    readonly air?: Answer<UnitAir>;
    readonly others?: readonly (Partial<Hung> & { readonly body?: Partial<InverterBody> })[];
  } = {},
): HungUnit {
  const type = { ...T100, ...over.type, body: { ...T100.body, ...over.body } };
  const survey = { ...SURVEY, ...over.survey };
  const at: Hung = { inverterId: UNIT.id, wallId: WALL.id, xMm: 1000, yMm: 700, ...over.at };
  return {
    unit: UNIT,
    type,
    wall: { ...WALL, ...over.wall, lift: { ...WALL.lift, ...over.lift } },
    at,
    size: wallUnitOf(type),
    survey,
    air: over.air ?? (survey.hottestC === null ? lacking('hot design temperature') : outside(survey.hottestC)),
    others: (over.others ?? []).map(({ body, ...place }, i) => ({
      unit: { ...UNIT, id: `other-${i}`, tag: `OTHER-${i}` },
      type: { ...T100, body: { ...T100.body, ...body } },
      at: { ...at, inverterId: `other-${i}`, ...place },
      size: wallUnitOf({ ...T100, body: { ...T100.body, ...body } }),
    })),
  };
}

/** A run of the NEC school: 125 kVA at 480 V, 152 A on 200 A, 3/0 AWG copper in 2 in steel, raised over a hot roof. */
export const necRun = (over: Parameters<typeof acRun>[0] = {}): RunResult =>
  acRun({
    ...over,
    survey: { school: 'NEC', lineV: 480, frequencyHz: 60, gridCode: 'IEEE 1547 enter service', ...over.survey },
    type: {
      ratedW: over.type?.maxApparentVa ?? 125_000,
      dcMaxW: null,
      maxApparentVa: 125_000,
      nominalLineV: 480,
      lineMinV: 380,
      lineMaxV: 560,
      outputMaxA: 152,
      ...over.type,
    },
    run: {
      insulation: 'PVC',
      insulationC: 90,
      terminals75: true,
      raceway: 'EMT, steel',
      racewaySize: '2',
      roofGapMm: 25,
      sunOnCable: true,
      ambientC: 36,
      otherCircuits: 0,
      cores: '1-core',
      sectionMm2: 85.03,
      peMm2: 13.3,
      lengthM: 67.056,
      ...over.run,
    },
  });
