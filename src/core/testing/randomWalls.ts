import type { SiteDesign } from '../design';
import type { InverterBody } from '../equipment/inverterBody';
import { generator } from '../kernel/generator';
import type { FrameStand } from '../mounting/fixing/frameStand';
import { LIFT_MEANS, SLUNG } from '../mounting/lift/liftWay';
import { ROPES } from '../mounting/lift/rigging';
import type { Hung, Wall } from '../mounting/part';
import { WALL_MATERIALS, newWall } from '../mounting/part';
import type { ObstructionKind } from '../mounting/tables/obstructions';
import { OBSTRUCTION_KINDS } from '../mounting/tables/obstructions';

/** A random design with walls, with what hangs on them and with bodies of its units: inputs missing, limits passed, the same every time. */
export function withRandomWalls(d: SiteDesign, seed: number): SiteDesign {
  const next = generator(seed + 2_000_003);
  const one = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)] as T;
  const mm = (from: number, to: number) => Math.round((from + next() * (to - from)) / 10) * 10;
  const blanks = next() < 0.5 ? 0 : 0.12;
  const maybe = <T>(value: T): T | null => (next() < blanks ? null : value);

  const bodyOf = (): InverterBody => {
    const [widthMm, heightMm] = [mm(500, 1100), mm(500, 750)];
    const handles = [
      { xMm: 0, yMm: 100 },
      { xMm: widthMm, yMm: 100 },
      { xMm: widthMm, yMm: heightMm - 100 },
      { xMm: 0, yMm: heightMm - 100 },
    ];
    const holes = [125, widthMm - 125].flatMap((xMm) => [260, heightMm - 100].map((yMm) => ({ xMm, yMm })));
    return {
      widthMm: maybe(widthMm),
      heightMm: maybe(heightMm),
      depthMm: maybe(mm(200, 400)),
      leftMm: maybe(mm(0, 800)),
      rightMm: maybe(mm(0, 800)),
      topMm: maybe(mm(0, 800)),
      bottomMm: maybe(mm(0, 800)),
      frontMm: maybe(mm(300, 1500)),
      besideMm: maybe(mm(0, 800)),
      stackedMm: maybe(mm(0, 900)),
      centreXMm: maybe(widthMm / 2 + mm(-100, 100)),
      centreYMm: maybe(heightMm / 2 + mm(-100, 100)),
      centreZMm: maybe(mm(80, 250)),
      bracketBottomMm: maybe(200),
      slotMm: maybe(one([11, 13])),
      boltMm: maybe(10),
      efficiencyPercent: maybe(one([97.5, 98.3, 98.8])),
      soundDb: maybe(one([55, 62, 68])),
      flatAllowed: maybe(next() < 0.5),
      gearOnly: maybe(next() < 0.1),
      eyeThread: maybe(one(['M8', 'M10', 'M12'] as const)),
      eyeSpacingMm: maybe(mm(300, 900)),
      airIn: maybe(one(['bottom', 'left', 'both sides'] as const)),
      airOut: maybe(one(['top', 'right', 'both sides'] as const)),
      handles: next() < 0.1 ? [] : handles,
      bracketHoles: next() < 0.1 ? [] : next() < 0.2 ? holes.slice(2) : holes,
      safetyHoles: [],
      packing: [],
    };
  };
  const standOf = (): FrameStand => ({
    held: maybe(one(['fixed mechanically', 'by ballast'] as const)),
    massKg: maybe(one([20, 60, 200])),
    surface: maybe(one(['rubber on bitumen sheet', 'rubber on concrete', 'rubber on PVC or TPO membrane'] as const)),
    slopeDeg: maybe(one([0, 0, 3, 10])),
    gustMs: maybe(one([15, 25, 32])),
    areaM2: maybe(one([0.4, 0.7, 2])),
    upliftN: maybe(one([0, 150, 400])),
    windArmM: maybe(one([0.4, 0.8])),
    tipArmM: maybe(one([0.3, 0.5])),
    centreHeightM: maybe(one([0.4, 0.8])),
    betweenM: maybe(one([0.6, 1.2])),
    footWidthMm: maybe(one([100, 300])),
    footDepthMm: maybe(one([100, 300])),
    spreadMm: maybe(one([0, 40])),
    ballastKg: maybe(one([0, 100, 300])),
    roofKpa: maybe(one([10, 40, 150])),
  });
  const wallOf = (i: number): Wall => ({
    ...newWall(`w${i}`, `Wall ${i}`, mm(3000, 14_000), mm(1800, 4000)),
    material: maybe(one(WALL_MATERIALS)),
    thicknessMm: maybe(one([80, 100, 150, 240])),
    leftOpen: next() < 0.2,
    rightOpen: next() < 0.2,
    floorMinMm: maybe(mm(300, 800)),
    waterMarkMm: maybe(one([0, 0, 200, 600])),
    topMostMm: maybe(mm(1400, 2600)),
    frontMm: maybe(mm(500, 2500)),
    frontWidthMm: maybe(mm(700, 2000)),
    headroomMm: maybe(mm(1800, 2600)),
    facing: maybe(one(['1', '2', '3'] as const)),
    publicReach: maybe(next() < 0.3),
    flammables: maybe(next() < 0.1),
    gaps: one(['larger', 'sum'] as const),
    backDeg: maybe(one([0, 0, 10, 30, 75])),
    neighbourM: maybe(one([0, 5, 10, 40])),
    soundLimitDb: maybe(one([35, 45, 55])),
    facesDeg: maybe(mm(0, 350)),
    awningDepthM: maybe(one([0, 0.5, 1, 2])),
    awningYMm: maybe(mm(1500, 2600)),
    pullTested: maybe(next() < 0.5),
    tensionCapacityN: maybe(one([900, 1500, 3000, 6000])),
    shearCapacityN: maybe(one([600, 1500, 4000])),
    anchorHoleMm: maybe(one([10, 13, 16])),
    anchorDepthMm: maybe(one([50, 65, 90])),
    embedmentMm: maybe(one([40, 60, 80])),
    edgeLeastMm: maybe(one([40, 80])),
    spacingLeastMm: maybe(one([40, 80])),
    lift: {
      by: maybe(one(LIFT_MEANS)),
      people: maybe(one([1, 2, 3, 4])),
      slung: maybe(one(SLUNG)),
      hookMm: maybe(mm(200, 1500)),
      legs: maybe(one([1, 2, 3])),
      leanDeg: maybe(one([0, 30, 45, 50, 60])),
      rope: maybe(one(ROPES)),
      breakingKn: maybe(one([3, 7, 15])),
      riggingKg: maybe(one([0, 8, 20])),
      ratedKg: maybe(one([100, 150, 250])),
      pulley: maybe(next() < 0.5),
      beamKn: maybe(one([1, 2.5, 5])),
      stairsDeg: maybe(one([0, 0, 20, 35])),
      onWheels: maybe(next() < 0.6),
      trolleyKg: maybe(one([15, 40])),
      wheels: maybe(one([2, 4])),
      wheelMm2: maybe(one([600, 1250])),
      floorKpa: maybe(one([250, 500, 1500])),
    },
    ...(next() < 0.4 ? { kind: 'frame', stand: standOf() } : {}),
    obstructions: Array.from({ length: Math.floor(next() * 3) }, (_, k) => ({
      id: `o${k}`,
      kind: one(Object.keys(OBSTRUCTION_KINDS) as ObstructionKind[]),
      xMm: mm(0, 10_000),
      yMm: mm(0, 2000),
      widthMm: mm(50, 1200),
      heightMm: mm(50, 2200),
      marginMm: maybe(mm(0, 400)),
    })),
  });
  const walls = Array.from({ length: 1 + Math.floor(next() * 2) }, (_, i) => wallOf(i));
  const hung = d.inverters.flatMap((u): Hung[] => {
    const wall = one(walls);
    return next() < 0.15
      ? []
      : [{ inverterId: u.id, wallId: wall.id, xMm: mm(0, wall.widthMm - 600), yMm: mm(200, wall.heightMm - 600) }];
  });
  const inverters = d.equipment.inverters.map((t) => ({
    ...t,
    massKg: maybe(one([22, 48, 62, 84, 95, 112, 130])),
    body: bodyOf(),
  }));
  const rooms = Array.from({ length: Math.floor(next() * 3) }, (_, i) => ({
    id: `r${i}`,
    label: `Room ${i}`,
    xM: one([-500, -20, 0]),
    yM: one([-500, -20, 0]),
    zM: -5,
    widthM: one([30, 200, 1000]),
    depthM: one([30, 200, 1000]),
    heightM: maybe(one([4, 50])),
    airM3h: maybe(one([0, 300, 2000, 9000])),
    inletC: maybe(one([20, 30, 38])),
  }));
  const plan = { ...d.plan, rooms };
  return { ...d, equipment: { ...d.equipment, inverters }, walls, hung, plan };
}
