import { BLANK_BODY } from '../equipment/inverterBody';
import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import { blankRun } from '../ac/part';
import type { BusLine } from '../links/line/busLine';
import { withChainNumbered } from '../links/edits';
import { withInverter, withInverterType, withModuleType, withPlane } from '../testing/edits';
import type { ColdBy } from '../strings/coldVoltage';
import type { DcCable } from '../strings/part';
import { BLANK_DC_CABLE } from '../strings/part';
import type { AcRun } from '../ac/part';
import { BLANK_BOARD } from '../site/parts';
import type { Board, Plane } from '../site/parts';
import type { SiteDesign } from '../design';
import type { Survey } from '../site/survey';
import { emptyDesign } from '../design';

/** Invented equipment and small sites for the tests of core. Nothing in the application reads this. */

/** 575 W, 72 cells in series: the module on which the worked values of the tests rest. */
export const M575: ModuleType = {
  id: 'm575',
  name: 'M575',
  pmaxW: 575,
  uocV: 51.62,
  iscA: 14.21,
  umpV: 42.8,
  impA: 13.44,
  alphaIscPerK: 0.00046,
  betaUocPerK: -0.00251,
  gammaPmaxPerK: -0.00298,
  nmotC: 43,
  cellsInSeries: 72,
  bypassDiodes: 3,
  systemMaxV: 1500,
  fuseMaxA: 25,
  bifaciality: 0.8,
  uocTolerancePercent: null,
  lengthMm: null,
  widthMm: null,
};

/** 100 kW class: 1100 V, tracking 200 to 1000 V, full power 540 to 850 V, start 250 V, trackers 32/44 A, connectors 30 A. */
export const T100: InverterType = {
  id: 't100',
  name: 'T100',
  ratedW: 100_000,
  maxApparentVa: 110_000,
  nominalLineV: 400,
  lineMinV: 320,
  lineMaxV: 460,
  outputMaxA: 160,
  wiring: '5-wire',
  breakerMaxA: 250,
  dcMaxV: 1100,
  mpptMinV: 200,
  mpptMaxV: 1000,
  fullPowerMinV: 540,
  fullPowerMaxV: 850,
  startV: 250,
  dcMaxW: 150_000,
  trackers: 10,
  inputsPerTracker: 2,
  trackerOperatingMaxA: 32,
  trackerShortCircuitMaxA: 44,
  shortCircuitLimitIsStc: false,
  connectorMaxA: 30,
  connectorMaxV: 1500,
  altitudeMaxM: 4000,
  massKg: 84,
  residualTypeA: null,
  dcOpensFirst: null,
  dischargeWaitS: 300,
  busUnitLoads: 0.125,
  busD1: 'B',
  busD0: 'A',
  bay: {
    studM: 10,
    studSpacingMm: 45,
    palmMaxWidthMm: 33,
    palmMaxThicknessMm: 7,
    sectionMaxMm2: 240,
    lugsPerStud: 1,
    aluminiumAllowed: true,
    glands: 1,
    glandClampMinMm: 35,
    glandClampMaxMm: 60,
    glandSealSplitMm: 47,
    studLengthMm: 30,
    freeHeightMm: 250,
    entryOffsetMm: 40,
    torqueMinNm: 20,
    torqueMaxNm: 30,
  },
  body: {
    ...BLANK_BODY,
    widthMm: 1050,
    heightMm: 660,
    depthMm: 370,
    leftMm: 500,
    rightMm: 500,
    topMm: 500,
    bottomMm: 500,
    frontMm: 1000,
    besideMm: 500,
    stackedMm: 700,
    centreXMm: 525,
    centreYMm: 330,
    centreZMm: 190,
    bracketBottomMm: 210,
    slotMm: 13,
    boltMm: 10,
    soundDb: 65,
    airIn: 'bottom',
    airOut: 'top',
    flatAllowed: false,
    gearOnly: false,
    handles: [
      { xMm: 0, yMm: 100 },
      { xMm: 1050, yMm: 100 },
      { xMm: 1050, yMm: 560 },
      { xMm: 0, yMm: 560 },
    ],
    bracketHoles: [
      { xMm: 125, yMm: 560 },
      { xMm: 925, yMm: 560 },
      { xMm: 125, yMm: 260 },
      { xMm: 925, yMm: 260 },
    ],
    safetyHoles: [
      { xMm: 50, yMm: 40 },
      { xMm: 1000, yMm: 40 },
    ],
  },
};

export const SURVEY: Survey = {
  ...emptyDesign('Test site').survey,
  latitudeDeg: 52,
  timeZone: 'Europe/Oslo',
  altitudeM: 100,
  building: 'not on a building',
  coldestC: -12,
  hottestC: 38,
  dcLegalMaxV: 1500,
  lineV: 400,
  frequencyHz: 50,
  service: 'earthed wye with neutral (TN-S, TN-C-S)',
  transformerKva: 1250,
  transformerImpedancePercent: 6,
  transformerLossKw: 13,
  upstreamMva: 250,
  upstreamXr: null,
  restLineV: 400,
  boardHighestV: 410,
  gridCode: 'EN 50549-1 first start',
  rcdFitted: false,
  stopFitted: false,
  contactsFitted: false,
};

/** How the cold voltage is reckoned where a test says nothing else. */
export const COLD_BY: ColdBy = {
  method: 'coefficient',
  engineered: { uocColdV: null, document: '', school: 'IEC', siteW: 250_000 },
  countTolerance: false,
};

/** 6 mm² laid in threes on a hot roof. */
export const CABLE: DcCable = {
  ...BLANK_DC_CABLE,
  sectionMm2: 6,
  mode: 'two adjacent on a surface',
  ambientC: 50,
  circuitsTogether: 3,
};

export function plane(id: string, moduleCount: number, over: Partial<Plane> = {}): Plane {
  return {
    id,
    label: id,
    tiltDeg: 10,
    azimuthDeg: 180,
    moduleTypeId: M575.id,
    moduleCount,
    mounting: 'pitched_gap',
    rearShare: 0,
    position: { xM: 0, yM: 10, zM: 6 },
    edgeM: 0,
    edgeDeg: 0,
    engineeredUocColdV: null,
    ...over,
  };
}

/** A pair of which everything is known: 0.5 mm², two terminators of 120 Ω, biased at the first device, well off the power cables. */
export const WHOLE_LINE: BusLine = {
  areaMm2: 0.5,
  conductorC: 20,
  impedanceOhm: 120,
  delayNsPerM: 6,
  terminatorOhm: 120,
  terminatorKind: 'resistor',
  terminatorNf: null,
  biasAt: 'first device',
  pullUpOhm: 560,
  pullDownOhm: 560,
  biasV: 5,
  failSafe: false,
  separationBy: '200 mm',
  separationMm: 300,
  barrier: null,
  cableClass: null,
  powerCircuits: null,
};

/** A site of `inverters` like units and the given planes, nothing laid out yet. */
export function siteOf(inverters: number, planes: readonly Plane[], type: InverterType = T100): SiteDesign {
  let d: SiteDesign = { ...emptyDesign('Test site'), survey: SURVEY, dcCable: CABLE };
  d = withInverterType(withModuleType(d, M575), type);
  for (const p of planes) d = withPlane(d, p);
  for (let i = 1; i <= inverters; i++) {
    d = withInverter(d, {
      id: `inv-${i}`,
      tag: `INV-${String(i).padStart(2, '0')}`,
      typeId: type.id,
      position: { xM: 3 * i, yM: 0, zM: 1.2 },
    });
  }
  const { chain } = withChainNumbered({ ...d, chain: { ...d.chain, bitRate: 9600, line: WHOLE_LINE } });
  // Every unit with its serial, as somebody reads it off the plate.
  return { ...d, chain: { ...chain, devices: chain.devices.map((c) => ({ ...c, serial: `SN-${c.inverterId}` })) } };
}

/** A board fed by 30 m of 2 × 240 mm² copper. */
export const BOARD: Board = {
  ...BLANK_BOARD,
  busbarA: 800,
  mainBreakerA: 800,
  mainAmbientC: 40,
  busbarIcwKa: 50,
  mainMetal: 'Cu',
  mainInsulation: 'XLPE',
  mainSectionMm2: 240,
  mainParallel: 2,
  mainLengthM: 30,
  mainPeMm2: 120,
};

/** A run of 80 m that holds on the example inverter. */
export function runOf(inverterId: string, over: Partial<AcRun> = {}): AcRun {
  return {
    ...blankRun(inverterId),
    metal: 'Cu',
    insulation: 'XLPE',
    cores: '5-core',
    method: 'E',
    arrangement: 'single layer, perforated tray',
    otherCircuits: 2,
    sectionMm2: 120,
    parallel: 1,
    lengthM: 60,
    ambientC: 40,
    sunOnCable: false,
    breakerKind: 'moulded-case',
    breakerA: 200,
    breakerAmbientC: 40,
    breakerGroupFactor: 1,
    breakerUeV: 690,
    breakerIcuKa: 36,
    breakerTrip: 'magnetic setting',
    magneticA: 2000,
    clearingS: 0.1,
    peMm2: 70,
    peMetal: 'Cu',
    peInCable: true,
    externalEarthMm2: 70,
    externalEarthMetal: 'Cu',
    ...over,
  };
}
