import type { Answer } from '../../../kernel/answer';
import { given, known, lacking } from '../../../kernel/answer';
import { atOrAbove, atOrAboveHeld, exactly, keysOf } from '../../../kernel/publishedTable';
import { fixed } from '../../../kernel/quantity';
import type { CableKind, LaidCable, Method } from '../../laid';
import { ARRANGEMENTS_IN_AIR, SPACINGS_IN_GROUND } from '../../laid';
import type { Ampacity } from '../../school';
import { fourLoadedFactor } from './fourLoaded';
import { CONDUCTOR_MAX_C } from './resistance';
import { AMBIENT_IN_AIR, AMBIENT_IN_GROUND } from './tables/ambient';
import {
  PVC_AL_IN_AIR,
  PVC_AL_IN_WALL_OR_GROUND,
  PVC_CU_IN_AIR,
  PVC_CU_IN_WALL_OR_GROUND,
  XLPE_AL_IN_AIR,
  XLPE_AL_IN_WALL_OR_GROUND,
  XLPE_CU_IN_AIR,
  XLPE_CU_IN_WALL_OR_GROUND,
} from './tables/ampacity';
import {
  GROUPING_DIRECT_IN_GROUND,
  GROUPING_IN_AIR,
  GROUPING_MULTICORE_IN_DUCTS,
  GROUPING_SINGLES_IN_DUCTS,
} from './tables/grouping';
import { SOIL } from './tables/soil';

/** Solar heating of a cable that lies in the sun, K on the ambient (common practice). */
const SUN_K = 15;
/** Depth for which the tables are printed, m. */
const TABLE_DEPTH_M = 0.7;

const IN_GROUND = ['D1', 'D2'] as const;
const WALL = {
  XLPE: { Cu: XLPE_CU_IN_WALL_OR_GROUND, Al: XLPE_AL_IN_WALL_OR_GROUND },
  PVC: { Cu: PVC_CU_IN_WALL_OR_GROUND, Al: PVC_AL_IN_WALL_OR_GROUND },
} as const;
const AIR = {
  XLPE: { Cu: XLPE_CU_IN_AIR, Al: XLPE_AL_IN_AIR },
  PVC: { Cu: PVC_CU_IN_AIR, Al: PVC_AL_IN_AIR },
} as const;

type Table = { source: string; value: number | undefined };

function tabulated(i: CableKind, sectionMm2: number): Table {
  if (i.method === 'E') {
    const table = AIR[i.insulation][i.metal];
    return { source: table.source, value: exactly(table, sectionMm2, i.cores === '1-core' ? 'F trefoil' : 'E') };
  }
  const table = WALL[i.insulation][i.metal];
  return { source: table.source, value: exactly(table, sectionMm2, i.method) };
}

/** The method a cable belongs to instead, where its cores and the method contradict: B1 is for singles, B2 for a multicore cable (Table B.52.1). */
function rightMethod({ method, cores }: Pick<CableKind, 'method' | 'cores'>): Method | null {
  if (method === 'B1' && cores !== '1-core') return 'B2';
  return method === 'B2' && cores === '1-core' ? 'B1' : null;
}

/** Sections for which the standard prints a value, mm². */
export function sectionsFor(i: CableKind): number[] {
  if (rightMethod(i)) return [];
  return i.method === 'E'
    ? keysOf(AIR[i.insulation][i.metal], i.cores === '1-core' ? 'F trefoil' : 'E')
    : keysOf(WALL[i.insulation][i.metal], i.method);
}

const isBuried = (method: Method) => (IN_GROUND as readonly string[]).includes(method);

/** The rows of Table B.52.17 that belong to a method (common reading: B item 1; C items 1 to 3; E items 1, 4, 5). */
export function arrangementsFor(method: Method): readonly string[] {
  if (isBuried(method)) return SPACINGS_IN_GROUND;
  const [bunched, wall, ceiling, perforated, ladder] = ARRANGEMENTS_IN_AIR;
  if (method === 'C') return [bunched, wall, ceiling];
  return method === 'E' ? [bunched, perforated, ladder] : [bunched];
}

function grouping(i: CableKind, arrangement: LaidCable['arrangement'], circuits: number): number | undefined {
  // Alone a circuit has no neighbours, however it would lie beside them; clipped, the ceiling still counts.
  if (circuits === 1 && i.method !== 'C') return 1;
  if (arrangement === null) return undefined;
  if (!arrangementsFor(i.method).includes(arrangement)) return undefined;
  if (i.method === 'D2') return atOrAbove(GROUPING_DIRECT_IN_GROUND, circuits, arrangement as '0.5 m');
  if (i.method === 'D1')
    return atOrAbove(
      i.cores === '1-core' ? GROUPING_SINGLES_IN_DUCTS : GROUPING_MULTICORE_IN_DUCTS,
      circuits,
      arrangement as '0.5 m',
    );
  const column = arrangement as (typeof ARRANGEMENTS_IN_AIR)[number];
  return column === 'bunched'
    ? atOrAbove(GROUPING_IN_AIR, circuits, column)
    : atOrAboveHeld(GROUPING_IN_AIR, circuits, column);
}

/** g(h) = ln(2h/De + √((2h/De)² − 1)): external thermal resistance of a buried cylinder but for its constants. */
const buriedGeometry = (depthM: number, diameterM: number) => Math.acosh((2 * depthM) / diameterM);

/**
 * Depth factor C_d = √(g(0.7 m)/g(h)); 1 above 0.7 m, where the closed form would not be safe.
 * h depth, m · De outer diameter of cable or duct, m. Source: IEC 60287-2-1, the external resistance taken as the whole (recalled).
 */
export function depthFactor(depthM: number, diameterM: number): number {
  return depthM <= TABLE_DEPTH_M
    ? 1
    : Math.sqrt(buriedGeometry(TABLE_DEPTH_M, diameterM) / buriedGeometry(depthM, diameterM));
}

/**
 * Current a run may carry, A: I_z = n·I_0·C_t·C_g·C_s·C_d (IEC 60364-5-52, clause 523).
 * n cables in parallel count as n circuits of the group. Ambient between rows takes the hotter row, below 10 °C the 10 °C row;
 * sun on the cable adds 15 K. Off a table there is no answer: nothing is extrapolated.
 */
export function ampacity(i: LaidCable): Answer<Ampacity> {
  const buried = i.method !== null && isBuried(i.method);
  const deep = buried && i.depthM !== null && i.depthM > TABLE_DEPTH_M;
  const diameterMm = i.method === 'D1' ? i.ductDiameterMm : i.cableDiameterMm;
  const asked = given(
    {
      section: i.sectionMm2,
      'metal of the lines': i.metal,
      insulation: i.insulation,
      cores: i.cores,
      'installation method': i.method,
      'cables in parallel': i.parallel,
      'ambient along the run': i.ambientC,
      'other circuits in the group': i.otherCircuits,
    },
    (k) => k,
  );
  const missing = [
    ...asked.missing,
    ...(i.sunOnCable === null && !buried ? ['whether sun lies on the cable'] : []),
    ...(buried && i.soilKmPerW === null ? ['thermal resistivity of the soil'] : []),
    ...(buried && i.depthM === null ? ['depth of burial'] : []),
    ...(deep && diameterMm === null ? [i.method === 'D1' ? 'outer diameter of the duct' : 'cable diameter'] : []),
  ];
  if (missing.length || !asked.value) return lacking(...missing);
  const {
    section: sectionMm2,
    'metal of the lines': metal,
    insulation,
    cores,
    'installation method': method,
    'cables in parallel': parallel,
    'ambient along the run': ambientC,
    'other circuits in the group': otherCircuits,
  } = asked.value;

  const kind = { metal, insulation, cores, method };
  const right = rightMethod(kind);
  if (right)
    return lacking(
      right === 'B2'
        ? `method B2 for a ${cores} cable: B1 is for singles in conduit`
        : 'method B1 for singles: B2 is for a multicore cable in conduit',
    );
  const circuits = parallel + otherCircuits;
  const thetaC = ambientC + (i.sunOnCable && !buried ? SUN_K : 0);
  const base = tabulated(kind, sectionMm2);
  const ct = atOrAbove(buried ? AMBIENT_IN_GROUND : AMBIENT_IN_AIR, thetaC, insulation);
  const cg = grouping(kind, i.arrangement, circuits);
  const cs = buried && i.soilKmPerW !== null ? atOrAbove(SOIL, i.soilKmPerW, method === 'D1' ? 'D1' : 'D2') : 1;
  const cd = deep && diameterMm !== null && i.depthM !== null ? depthFactor(i.depthM, diameterMm / 1000) : 1;
  const absent = [
    ...(base.value === undefined
      ? [`a table value for ${sectionMm2} mm² ${metal} by method ${method} (${base.source})`]
      : []),
    ...(ct === undefined ? [`an ambient factor for ${thetaC} °C`] : []),
    ...(cg === undefined
      ? [
          `a grouping factor for ${circuits} circuits by method ${method}: choose ${arrangementsFor(method).join(' or ')}`,
        ]
      : []),
    ...(cs === undefined ? [`a soil factor for ${i.soilKmPerW} K·m/W`] : []),
  ];
  if (base.value === undefined || ct === undefined || cg === undefined || cs === undefined) return lacking(...absent);
  const neutral = i.thirdHarmonicPercent === null ? null : fourLoadedFactor(i.thirdHarmonicPercent);
  const izA = parallel * base.value * ct * cg * cs * cd * (neutral?.factor ?? 1);
  return known({
    izA,
    source: base.source,
    reckonedAt: { ambientC: thetaC, conductorC: CONDUCTOR_MAX_C[insulation] },
    working: () => [
      'I_z = n · I_0 · C_t · C_g · C_s · C_d',
      `= ${parallel} × ${base.value} A × ${ct} (${thetaC} °C) × ${cg} (${circuits} circuits) × ${cs} × ${fixed(cd, 4)}${neutral ? ` × ${fixed(neutral.factor, 3)}` : ''} = ${fixed(izA, 1)} A`,
      neutral?.words ?? 'three loaded conductors: symmetric output, next to nothing in the neutral (common practice)',
    ],
  });
}
