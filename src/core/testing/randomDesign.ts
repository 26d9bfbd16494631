import type { OtherWays } from '../links/otherWays';
import type { ChainDevice } from '../links/part';
import { newDevice } from '../links/part';
import type { BusLine } from '../links/line/busLine';
import type { AcRun } from '../ac/part';
import { newSegment } from '../ac/planSegments';
import { schoolOf } from '../conductor/schools';
import type { Method } from '../conductor/laid';
import { ARRANGEMENTS_IN_AIR, RACEWAYS, SPACINGS_IN_GROUND } from '../conductor/laid';
import type { SiteDesign } from '../design';
import { openDesign } from '../design/edition';
import { generator } from '../kernel/generator';

/** Random designs, the same every time: what the schema takes, with inputs missing and limits passed. */

const SERVICES = [
  'earthed wye with neutral (TN-S, TN-C-S)',
  'earthed wye, TT',
  'earthed wye, neutral not brought out',
  'IT wye, dedicated transformer',
  'delta ungrounded, shared',
  'high-leg delta',
];
const CODES = ['EN 50549-1 first start', 'VDE-AR-N 4105', 'IEEE 1547 enter service', 'generic 90'];
const MOUNTINGS = [
  'ground_rack',
  'tracker',
  'flat_roof_low',
  'flat_roof_white',
  'pitched_gap',
  'pitched_close',
  'flush',
];
const ARRANGEMENTS = ['bunched', 'single layer, perforated tray', 'single layer, wall or unperforated tray', '0.25 m'];
const SECTIONS = [16, 25, 50, 70, 95, 120, 150, 185, 240, 300, 55];

/** How large a random site may be. */
interface Size {
  readonly inverters: number;
  readonly trackers: number;
}

/** A site as the first edition knew it, with inputs missing and limits passed: what came later is not said. */
function randomEdition1(seed: number, most: Size = { inverters: 5, trackers: 12 }): SiteDesign {
  const next = generator(seed);
  const between = (lo: number, hi: number, step = 0.01) => Math.round((lo + next() * (hi - lo)) / step) * step;
  const whole = (lo: number, hi: number) => Math.floor(lo + next() * (hi - lo + 1));
  const one = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)] as T;
  const blanks = next() < 0.4 ? 0 : 0.12;
  const maybe = <T>(value: T): T | null => (next() < blanks ? null : value);
  const chance = (p: number) => next() < p;
  const tidy = (x: number) => Number(x.toFixed(6));

  const modules = Array.from({ length: whole(1, 2) }, (_, i) => {
    const uocV = tidy(between(36, 54));
    const iscA = tidy(between(9, 18));
    const [umpV, impA] = [tidy(uocV * 0.83), tidy(iscA * 0.945)];
    return {
      id: `m${i}`,
      name: `Module ${i}`,
      pmaxW: tidy(umpV * impA * (chance(0.9) ? 1 : 1.06)),
      uocV,
      iscA,
      umpV,
      impA,
      alphaIscPerK: 0.00046,
      betaUocPerK: tidy(-between(0.0023, 0.0033, 0.00001)),
      gammaPmaxPerK: tidy(-between(0.0028, 0.0042, 0.00001)),
      nmotC: whole(41, 47),
      cellsInSeries: whole(60, 72),
      bypassDiodes: 3,
      systemMaxV: one([1000, 1500]),
      fuseMaxA: one([20, 25, 30]),
      bifaciality: one([0, 0.7, 0.8]),
    };
  });
  const types = Array.from({ length: whole(1, 2) }, (_, i) => {
    const lineV = one([400, 400, 480, 690, 800]);
    const ratedW = whole(25, 255) * 1000;
    const va = Math.round(ratedW * one([1, 1.1]));
    return {
      id: `t${i}`,
      name: `Unit ${i}`,
      ratedW,
      maxApparentVa: va,
      nominalLineV: lineV,
      outputMaxA: maybe(tidy((va / Math.sqrt(3) / lineV) * one([1, 1.03, 1.08, 1.2, 0.98]))),
      wiring: one(['5-wire', '4-wire with neutral jumper', '3-wire plus PE']),
      breakerMaxA: maybe(one([125, 200, 250, 400])),
      dcMaxV: one([1000, 1100, 1500]),
      mpptMinV: one([180, 200, 500]),
      mpptMaxV: one([850, 1000]),
      fullPowerMinV: maybe(whole(500, 600)),
      fullPowerMaxV: maybe(whole(780, 850)),
      startV: maybe(one([195, 250, 550])),
      dcMaxW: maybe(Math.round(ratedW * one([1.1, 1.5, 2]))),
      trackers: whole(2, most.trackers),
      inputsPerTracker: whole(1, 3),
      trackerOperatingMaxA: one([26, 32, 40]),
      trackerShortCircuitMaxA: one([40, 44, 60]),
      shortCircuitLimitIsStc: chance(0.2),
      connectorMaxA: maybe(one([20, 30])),
      connectorMaxV: maybe(one([1000, 1500])),
      massKg: maybe(84),
      dischargeWaitS: maybe(300),
      busUnitLoads: maybe(0.125),
      busD1: null,
      busD0: null,
      bay: {
        studM: one([8, 10, 12]),
        studSpacingMm: maybe(one([35, 45, 55])),
        palmMaxWidthMm: maybe(one([28, 33, 42])),
        palmMaxThicknessMm: maybe(one([5, 7, 12])),
        sectionMaxMm2: maybe(one([120, 240])),
        lugsPerStud: one([1, 2]),
        aluminiumAllowed: maybe(chance(0.5)),
        glandClampMinMm: maybe(30),
        glandClampMaxMm: maybe(60),
        glandSealSplitMm: maybe(45),
        torqueMinNm: maybe(20),
        torqueMaxNm: maybe(30),
      },
    };
  });
  const place = () => ({ xM: whole(0, 80), yM: whole(0, 40), zM: whole(0, 12) });
  const planes = Array.from({ length: whole(1, 4) }, (_, i) => ({
    id: `p${i}`,
    label: `Roof ${i}`,
    tiltDeg: one([5, 10, 30]),
    azimuthDeg: one([90, 180, 270]),
    moduleTypeId: one(modules).id,
    moduleCount: whole(0, 240),
    mounting: one(MOUNTINGS),
    position: maybe(place()),
    edgeM: whole(0, 40),
    edgeDeg: whole(-3, 6) * 30,
    engineeredUocColdV: maybe(tidy(between(44, 60))),
  }));
  const inverters = Array.from({ length: whole(0, most.inverters) }, (_, i) => ({
    id: `i${i}`,
    tag: `U-${i + 1}`,
    typeId: one(types).id,
    position: maybe(place()),
  }));
  const typeOf = (id: string) => types.find((t) => t.id === id) as (typeof types)[number];
  const usual = whole(14, 20);
  let number = 0;
  const strings = inverters.flatMap((u) => {
    const t = typeOf(u.typeId);
    return Array.from({ length: t.trackers }, (_, k) =>
      Array.from({ length: t.inputsPerTracker }, (_x, input) => {
        if (chance(0.25)) return [];
        const plane = one(planes);
        const modulesIn = chance(0.85) ? usual : whole(1, 30);
        const branches = chance(0.08) ? [1, 2] : [1];
        return branches.map((branch) => {
          number += 1;
          return {
            id: `s${number}`,
            number,
            planeId: plane.id,
            modules: modulesIn,
            place: chance(0.04) ? null : { inverterId: u.id, tracker: k + 1, input: input + 1, branch },
            start: chance(0.1) ? { xM: whole(0, 50), yM: whole(0, 20) } : null,
            lengthM: chance(0.2) ? whole(5, 120) : null,
          };
        });
      }).flat(),
    ).flat();
  });
  const runs = inverters.map((u) => {
    const method: Method = one(['B1', 'B2', 'C', 'E', 'E', 'D1', 'D2']);
    return {
      inverterId: u.id,
      metal: one(['Cu', 'Cu', 'Al']),
      insulation: one(['XLPE', 'XLPE', 'PVC']),
      cores: one(['4-core', '5-core', '1-core']),
      method,
      // Mostly one that belongs to the method: what nobody can lay is judged by no rule.
      arrangement: maybe(one<string>(chance(0.8) ? schoolOf('IEC').arrangements(method) : ARRANGEMENTS)),
      otherCircuits: maybe(whole(0, 5)),
      sectionMm2: maybe(one(SECTIONS)),
      parallel: one([1, 1, 1, 2]),
      lengthM: maybe(whole(5, 180)),
      ambientC: maybe(one([25, 30, 40, 52])),
      sunOnCable: chance(0.2),
      soilKmPerW: maybe(one([1, 1.5, 2.5])),
      depthM: maybe(one([0.7, 1])),
      ductDiameterMm: maybe(110),
      breakerA: maybe(one([100, 160, 200, 250, 400])),
      breakerKind: one(['moulded-case', 'miniature']),
      breakerAmbientC: maybe(one([30, 40, 55])),
      breakerGroupFactor: maybe(one([0.9, 1])),
      breakerUeV: maybe(one([400, 690])),
      breakerIcuKa: maybe(one([10, 25, 36])),
      breakerTrip: one(['C', 'D', 'magnetic setting']),
      magneticA: maybe(one([800, 2000])),
      clearingS: maybe(one([0.02, 0.1, 0.4])),
      letThroughA2s: chance(0.3) ? one([1e6, 1e7, 1e8]) : null,
      residualType: maybe(one(['A', 'B'])),
      residualMa: maybe(one([300, 1000, 3000])),
      peMm2: maybe(one([16, 35, 70, 95])),
      peMetal: one(['Cu', 'Al']),
      externalEarthMm2: maybe(one([16, 35, 70])),
      externalEarthMetal: one(['Cu', 'Al']),
      cableDiameterMm: chance(0.3) ? whole(25, 65) : null,
      palmWidthMm: chance(0.2) ? whole(20, 40) : null,
      palmThicknessMm: chance(0.2) ? whole(3, 9) : null,
    };
  });
  const devices = [
    ...(chance(0.7) ? [{ kind: 'logger', inverterId: null, label: 'LOG', id: 'dev-log' }] : []),
    ...inverters.map((u) => ({ kind: 'inverter', inverterId: u.id, label: u.tag, id: `dev-${u.id}` })),
    ...(chance(0.3) ? [{ kind: 'meter', inverterId: null, label: 'MTR', id: 'dev-mtr' }] : []),
  ].map((c, i, all) => ({
    ...c,
    address: c.kind === 'logger' ? null : maybe(i + 1),
    terminated: i === 0 || i === all.length - 1 ? !chance(0.1) : chance(0.1),
    unitLoads: c.kind === 'inverter' ? null : maybe(1),
    position: c.kind === 'inverter' ? null : maybe(place()),
    entryM: 1,
    hopM: chance(0.2) ? whole(2, 300) : null,
  }));
  const locks = [
    ...(strings.length && chance(0.3) ? [{ kind: 'string', stringId: one(strings).id, built: chance(0.5) }] : []),
    ...(chance(0.1) ? [{ kind: 'plane-length', planeId: one(planes).id, modules: usual }] : []),
    ...(inverters.length && chance(0.1) ? [{ kind: 'inverter-empty', inverterId: one(inverters).id }] : []),
    ...(chance(0.1) ? [{ kind: 'max-lengths', count: 2 }] : []),
    ...(chance(0.1) ? [{ kind: 'ratio', minPercent: 80, maxPercent: 140 }] : []),
  ];
  return openDesign({
    schema: 1,
    survey: {
      name: `Random ${seed}`,
      place: '',
      latitudeDeg: maybe(50),
      longitudeDeg: maybe(10),
      altitudeM: maybe(300),
      coldestC: maybe(one([-25, -12, -5, 3])),
      hottestC: maybe(one([30, 38, 45])),
      dcLegalMaxV: maybe(one([1000, 1500])),
      school: one(['IEC', 'IEC', 'IEC', 'NEC', 'NEC', 'AU/NZ']),
      building: maybe(one(['one- or two-family dwelling', 'other building', 'not on a building'])),
      coldMethod: one(['coefficient', 'coefficient', 'table', 'engineered']),
      engineeredDocument: chance(0.7) ? 'Sheet 7' : '',
      lineV: maybe(one([400, 400, 480, 800])),
      frequencyHz: maybe(one([50, 60])),
      service: maybe(chance(0.7) ? SERVICES[0] : one(SERVICES)),
      transformerKva: maybe(one([250, 630, 1250])),
      transformerImpedancePercent: maybe(one([4, 6])),
      transformerLossKw: maybe(one([2, 4])),
      upstreamMva: maybe(one([50, 400])),
      boardHighestV: maybe(one([405, 425, 436])),
      gridCode: maybe(one(CODES)),
      rcdFitted: maybe(chance(0.5)),
      stopFitted: maybe(chance(0.5)),
      contactsFitted: maybe(chance(0.5)),
    },
    equipment: { modules, inverters: types },
    planes,
    inverters,
    strings,
    dcCable: {
      sectionMm2: maybe(one([4, 6, 10, 5.26])),
      mode: maybe(one(['single free in air', 'single on a surface', 'two adjacent on a surface'])),
      ambientC: maybe(one([40, 60, 70])),
      circuitsTogether: maybe(one([1, 3, 8, 20])),
      conductorC: one([60, 90]),
      fuseA: chance(0.3) ? one([20, 25, 30, 32]) : null,
      dropReason: chance(0.2) ? 'long roof, agreed' : '',
    },
    locks,
    energy: { utcOffsetH: 1, clearness: null, monthlyMeanC: null, dailyRangeK: 8, albedo: 0.2, lossPercent: 3 },
    board: {
      label: 'Main board',
      position: maybe(place()),
      busbarA: maybe(one([250, 630, 1600])),
      mainBreakerA: maybe(one([400, 630, 1250])),
      mainAmbientC: maybe(one([35, 50])),
      busbarIcwKa: maybe(one([10, 25, 50])),
      mainMetal: one(['Cu', 'Al']),
      mainInsulation: one(['XLPE', 'PVC']),
      mainSectionMm2: one([95, 240]),
      mainParallel: one([1, 2]),
      mainLengthM: maybe(one([5, 40])),
      mainPeMm2: one([50, 120]),
    },
    runs: chance(0.1) ? runs.slice(1) : runs,
    chain: { bitRate: maybe(one([9600, 115200])), devices },
  });
}

/** American sizes near those of a random run, mm². */
export const AMERICAN_MM2 = [21.15, 33.63, 42.41, 53.48, 67.43, 85.03, 107.22, 152.01, 253.35] as const;

/** A run of the NEC school: conductors of American sizes in a raceway. */
function inRaceway(
  { sectionMm2, peMm2 }: AcRun,
  one: <T>(of: readonly T[]) => T,
  maybe: <T>(value: T) => T | null,
): Partial<AcRun> {
  return {
    sectionMm2: sectionMm2 === null ? null : one(AMERICAN_MM2),
    peMm2: peMm2 === null ? null : one([13.3, 21.15, 42.41]),
    parallel: one([1, 2, 2]),
    raceway: maybe(one(RACEWAYS)),
    racewaySize: maybe(one(['2', '3', '4'] as const)),
    racewayPerSet: maybe(one([true, true, true, false])),
    roofGapMm: maybe(one([10, 30])),
    insulationC: maybe(one([75, 90] as const)),
    terminals75: maybe(one([true, false])),
    fullRated: maybe(one([true, false])),
  };
}

/** The same with what later editions ask, said or left out. */
export function randomDesign(seed: number, most?: Size): SiteDesign {
  const d = randomEdition1(seed, most);
  const next = generator(seed + 1_000_003);
  const one = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)] as T;
  const blanks = next() < 0.5 ? 0 : 0.12;
  const maybe = <T>(value: T): T | null => (next() < blanks ? null : value);
  const ids = d.chain.devices.map((c) => c.id);
  // By chance of its own: what else is drawn stays as it was.
  const secondFrom = generator(seed + 2_000_003)() < 0.15 ? Math.floor(ids.length / 2) : Infinity;
  return {
    ...d,
    survey: {
      ...d.survey,
      altitudeM: d.survey.altitudeM === null ? null : one([100, 600, 1900, 2600]),
      countUocTolerance: next() < 0.3,
      service: next() < 0.12 ? 'earthed wye, TT' : d.survey.service,
      restLineV: maybe(one([398, 408, 420])),
      electrodeOhm: maybe(one([5, 30, 200])),
      upstreamXr: maybe(one([3, 8])),
    },
    equipment: {
      modules: d.equipment.modules.map((m) => ({ ...m, uocTolerancePercent: maybe(one([0, 2, 3])) })),
      inverters: d.equipment.inverters.map((t) => ({
        ...t,
        lineMinV: maybe(Math.round(0.8 * t.nominalLineV)),
        lineMaxV: maybe(Math.round(1.15 * t.nominalLineV)),
        altitudeMaxM: maybe(one([500, 2000, 4000])),
        bay: {
          ...t.bay,
          glands: maybe(one([1, 2, 5])),
          studLengthMm: maybe(one([20, 26, 32])),
          freeHeightMm: maybe(one([200, 260, 400])),
          entryOffsetMm: maybe(one([30, 90])),
        },
      })),
    },
    planes: d.planes.map((p) => ({ ...p, rearShare: maybe(one([0, 0.05, 0.12])) })),
    dcCable: {
      ...d.dcCable,
      dropMostPercent: maybe(3),
      dropStringIds: d.strings.filter(() => next() < 0.5).map((s) => s.id),
    },
    strings: d.strings.map((s) => ({
      ...s,
      // Some were measured to where they hung before.
      lengthToId: s.lengthM === null ? null : next() < 0.8 ? (s.place?.inverterId ?? null) : 'i9',
      leadsM: next() < 0.2 ? one([8, 30]) : null,
      yM: s.place?.branch === 2 ? maybe(one([0, 2, 10, 400])) : null,
    })),
    runs: d.runs.map((r) => ({
      ...r,
      peInCable: maybe(next() < 0.7),
      thirdHarmonicPercent: next() < 0.3 ? one([5, 20, 40]) : null,
      printMinNm: next() < 0.2 ? one([8, 22, 25]) : null,
      lugMinNm: next() < 0.2 ? one([10, 20]) : null,
      torqueBy: next() < 0.2 ? one(['data sheet', 'print beside the stud'] as const) : null,
      segments:
        next() < 0.25
          ? [
              {
                ...newSegment('duct', one([5, 30])),
                ...one([
                  { method: 'D1', arrangement: 'touching' },
                  { method: 'E', arrangement: 'single layer, ladder or cleats' },
                  { method: r.method ?? 'C', arrangement: one([...ARRANGEMENTS_IN_AIR, ...SPACINGS_IN_GROUND]) },
                ] as const),
                otherCircuits: maybe(one([0, 1, 4])),
                ambientC: maybe(one([20, 30, 45])),
                sunOnCable: next() < 0.2,
                soilKmPerW: maybe(one([1, 2.5])),
                depthM: maybe(0.7),
                ductDiameterMm: maybe(110),
                roofGapMm: maybe(one([10, 30])),
              },
            ]
          : [],
      ...(d.survey.school === 'NEC' ? inRaceway(r, one, maybe) : {}),
    })),
    board: {
      ...d.board,
      mainRaceway: maybe(one(RACEWAYS)),
      mainMagneticA: maybe(one([3000, 6000, 20_000])),
      mainDelayS: maybe(one([0, 0.2])),
      mainInstantA: maybe(one([0, 15_000, 60_000])),
      mainFullRated: maybe(next() < 0.5),
      sourcesFarEnd: next() < 0.8,
      loadBreakersA: one([0, 100, 1000]),
      ...(d.survey.school === 'NEC' ? { mainSectionMm2: one([107.22, 253.35]), mainPeMm2: one([21.15, 53.48]) } : {}),
    },
    chain: {
      ...d.chain,
      line: {
        areaMm2: maybe(one([0.22, 0.5, 0.75])),
        conductorC: maybe(one([40, 70])),
        impedanceOhm: maybe(one([100, 120])),
        delayNsPerM: maybe(one([5, 6])),
        terminatorOhm: maybe(one([120, 100])),
        ...withCapacitor(seed),
        biasAt: maybe(one(['nowhere', 'first device', 'first device'] as const)),
        pullUpOhm: maybe(one([450, 560, 650])),
        pullDownOhm: maybe(one([450, 560, 650])),
        biasV: maybe(one([3.3, 5])),
        failSafe: maybe(next() < 0.3),
        separationBy: maybe(one(['200 mm', 'EN 50174-2', 'NFPA 70, 725.136'] as const)),
        separationMm: maybe(one([0, 60, 150, 300])),
        barrier: maybe(one(['none', 'open metallic', 'solid metallic'] as const)),
        cableClass: maybe(one(['b', 'c'] as const)),
        powerCircuits: maybe(one([3, 12, 27])),
      },
      otherWays: randomWays(seed),
      poll: {
        registers: maybe(one([10, 60, 160])),
        needS: maybe(one([0.5, 1, 60])),
        turnaroundMs: maybe(one([10, 50])),
        timeoutMs: maybe(one([200, 1000])),
        retries: maybe(one([0, 2])),
        characterBits: maybe(one([10, 11] as const)),
      },
      devices: withRepeater(
        seed,
        d.chain.devices.map((c, i) => ({
          ...c,
          bus: i < secondFrom ? 1 : 2,
          terminatorOut: maybe(next() < 0.7),
          stubM: maybe(one([0, 0, 0, 0.3, 2])),
          hopFromId: c.hopM === null ? null : next() < 0.8 ? (ids[i - 1] ?? null) : (ids[i + 1] ?? null),
        })),
      ),
    },
  };
}

/** The devices of a chain, some with a repeater between two of them, by a chance of its own. */
function withRepeater(seed: number, devices: ChainDevice[]): ChainDevice[] {
  const next = generator(seed + 4_000_003);
  const maybe = <T>(value: T): T | null => (next() < 0.08 ? null : value);
  const before = devices[Math.floor(next() * (devices.length - 1))];
  if (!before || devices.length < 3 || next() < 0.7) return devices;
  const repeater: ChainDevice = {
    ...newDevice('dev-rpt', 'repeater', 'RPT'),
    bus: before.bus,
    unitLoads: maybe(1),
    terminated: next() < 0.9,
    terminatedBeyond: next() < 0.9,
    biasedBeyond: maybe(next() < 0.7),
    stubM: maybe(0),
    hopM: maybe(20),
    hopFromId: before.id,
  };
  return devices.flatMap((d) => (d === before ? [d, repeater] : [d]));
}

/** Terminators of a pair, some with a capacitor, by a chance of their own. */
function withCapacitor(seed: number): Pick<BusLine, 'terminatorKind' | 'terminatorNf'> {
  const next = generator(seed + 5_000_003);
  const blocks = next() < 0.2;
  return {
    terminatorKind: blocks ? 'resistor and capacitor' : 'resistor',
    terminatorNf: blocks && next() < 0.9 ? 5 + 60 * next() : null,
  };
}

/** Ways beside the bus, by a chance of their own. */
function randomWays(seed: number): OtherWays {
  const next = generator(seed + 3_000_003);
  const one = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)] as T;
  const maybe = <T>(value: T): T | null => (next() < 0.06 ? null : value);
  const some = <T>(make: (i: number) => T): T[] =>
    Array.from({ length: next() < 0.6 ? 0 : one([1, 2]) }, (_, i) => make(i));
  return {
    ethernet: some((i) => ({
      id: `e${i}`,
      label: `Hall ${i}`,
      units: maybe(one([3, 18, 40])),
      longestM: maybe(one([20, 80, 98])),
      ring: maybe(next() < 0.4),
      ringAllowed: maybe(next() < 0.7),
      network: maybe(one(['192.0.2.0', '198.51.100.0'])),
      prefix: maybe(one([24, 27])),
      gateway: maybe(one(['192.0.2.1', '198.51.100.1'])),
      first: maybe(one([1, 10])),
    })),
    radio: some((i) => ({
      id: `r${i}`,
      label: `Gate ${i}`,
      distanceM: maybe(one([20, 80, 300])),
      mhz: maybe(one([868, 2400])),
      powerDbm: maybe(one([4, 10])),
      gainDb: maybe(one([0, 4])),
      wallsDb: maybe(one([0, 8, 16])),
      sensitivityDbm: maybe(one([-95, -90])),
    })),
    carriers: some((i) => ({
      id: `c${i}`,
      label: `Ramp ${i}`,
      sameSecondary: maybe(next() < 0.8),
      sameBusbar: maybe(next() < 0.8),
    })),
    servicePorts: some((i) => ({
      id: `s${i}`,
      label: `Unit ${i}`,
      firstPlugged: maybe(next() < 0.5),
      secondPlugged: maybe(next() < 0.3),
    })),
  };
}
