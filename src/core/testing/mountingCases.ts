/** Worked cases of siting, lifting and fixing, computed once by a separate program from the same published formulas. */

export const SUN = [
  {
    of: { latitudeDeg: 40, dayOfYear: 172, solarH: 15, wallAzimuthDeg: 225, dropM: 1.4, projectionM: 0.37 },
    is: {
      altitudeDeg: 48.827594,
      azimuthDeg: 260.19265,
      cosIncidence: 0.53799721,
      lit: true,
      profileDeg: 54.445619,
      depthM: 1.3706165,
      sideM: -0.70566518,
    },
  },
  {
    of: { latitudeDeg: 40, dayOfYear: 172, solarH: 16, wallAzimuthDeg: 225, dropM: 1.4, projectionM: 0.37 },
    is: {
      altitudeDeg: 37.386045,
      azimuthDeg: 270.72069,
      cosIncidence: 0.55472926,
      lit: true,
      profileDeg: 47.584793,
      depthM: 1.6490573,
      sideM: -1.3116458,
    },
  },
  {
    of: { latitudeDeg: 40, dayOfYear: 172, solarH: 8, wallAzimuthDeg: 225, dropM: 1.4, projectionM: 0.37 },
    is: { altitudeDeg: 37.386045, azimuthDeg: 89.279312, cosIncidence: -0.56886296, lit: false, depthM: 0, sideM: 0 },
  },
  {
    of: { latitudeDeg: 40, dayOfYear: 172, solarH: 12, wallAzimuthDeg: 180, dropM: 1.4, projectionM: 0.37 },
    is: {
      altitudeDeg: 73.449783,
      azimuthDeg: 180,
      cosIncidence: 0.2848556,
      lit: true,
      profileDeg: 73.449783,
      depthM: 0.78603394,
      sideM: 0,
    },
  },
  {
    of: { latitudeDeg: 40, dayOfYear: 172, solarH: 17.5, wallAzimuthDeg: 270, dropM: 1.4, projectionM: 0.37 },
    is: {
      altitudeDeg: 20.336003,
      azimuthDeg: 284.06483,
      cosIncidence: 0.90956064,
      lit: true,
      profileDeg: 20.910856,
      depthM: 4.0341542,
      sideM: -0.91798155,
    },
  },
] as const;

export const AWNINGS = [
  {
    of: { latitudeDeg: 40, dayOfYear: 172, fromH: 11, toH: 16, wallAzimuthDeg: 180, dropM: 1.4, projectionM: 0.37 },
    is: { depthM: 0.78603394, atSolarH: 12, rightM: 0.35567265, leftM: 1.6525192, answer: 'awning' },
  },
  {
    of: { latitudeDeg: 40, dayOfYear: 172, fromH: 11, toH: 16, wallAzimuthDeg: 225, dropM: 1.4, projectionM: 0.37 },
    is: { depthM: 1.6490573, atSolarH: 16, rightM: 0.53193336, leftM: 1.3116458, answer: 'awning' },
  },
  {
    of: { latitudeDeg: 40, dayOfYear: 172, fromH: 11, toH: 17, wallAzimuthDeg: 270, dropM: 1.4, projectionM: 0.37 },
    is: { depthM: 3.204472, atSolarH: 17, rightM: 0.41603394, leftM: 0.48689138, answer: 'screen or other wall' },
  },
] as const;

export const AIR = [
  {
    of: { acW: 110000, efficiency: 0.983, riseK: 8, inletC: 35, altitudeM: 0, units: 3 },
    is: { heatW: 5707.0193, airM3h: 2230.7911, densityKgM3: 1.1455047 },
  },
  {
    of: { acW: 110000, efficiency: 0.983, riseK: 8, inletC: 35, altitudeM: 1500, units: 3 },
    is: { heatW: 5707.0193, airM3h: 2673.1981, densityKgM3: 0.95592685 },
  },
] as const;

export const DERATING = [
  { of: { tempC: 43, altitudeM: 0 }, is: { factor: 1, verdict: 'holds' } },
  { of: { tempC: 46, altitudeM: 0 }, is: { factor: 0.97333333, verdict: 'tight' } },
  { of: { tempC: 51, altitudeM: 0 }, is: { factor: 0.84, verdict: 'tight' } },
  { of: { tempC: 48, altitudeM: 2600 }, is: { factor: 0.8648, verdict: 'tight' } },
  { of: { tempC: 61, altitudeM: 0 }, is: { factor: 0, verdict: 'stop' } },
] as const;

export const INCLINE = [
  { of: { backDeg: 10 }, is: { verdict: 'holds' } },
  { of: { backDeg: -1 }, is: { verdict: 'stop' } },
  { of: { backDeg: 75, flatAllowed: true }, is: { verdict: 'holds' } },
  { of: { backDeg: 75 }, is: { verdict: 'stop' } },
  { of: { backDeg: 5, rollDeg: -3 }, is: { verdict: 'stop' } },
] as const;

export const LIFTS = [
  {
    of: { horizontalCm: 30, verticalCm: 75, travelCm: 30, twistDeg: 0, liftsPerMin: 0.2, hours: 1, coupling: 'good' },
    is: { hm: 0.83333333, vm: 1, dm: 0.97, am: 1, fm: 1, cm: 1, rwlKg: 18.591667 },
  },
  {
    of: { horizontalCm: 45, verticalCm: 75, travelCm: 75, twistDeg: 0, liftsPerMin: 0.2, hours: 1, coupling: 'good' },
    is: { hm: 0.55555556, vm: 1, dm: 0.88, am: 1, fm: 1, cm: 1, rwlKg: 11.244444 },
  },
  {
    of: { horizontalCm: 45, verticalCm: 150, travelCm: 75, twistDeg: 0, liftsPerMin: 0.2, hours: 1, coupling: 'good' },
    is: { hm: 0.55555556, vm: 0.775, dm: 0.88, am: 1, fm: 1, cm: 1, rwlKg: 8.7144444 },
  },
  {
    of: { horizontalCm: 40, verticalCm: 15, travelCm: 110, twistDeg: 45, liftsPerMin: 1, hours: 2, coupling: 'fair' },
    is: { hm: 0.625, vm: 0.82, dm: 0.86090909, am: 0.856, fm: 0.88, cm: 0.95, rwlKg: 7.2620468 },
  },
] as const;

export const TEAMS = [
  {
    of: { massKg: 95, rwlKg: [8.714444444, 8.714444444] },
    is: { factor: 0.66666667, capacityKg: 11.619259, index: 8.1760806 },
  },
  {
    of: { massKg: 95, rwlKg: [8.714444444, 8.714444444, 8.714444444] },
    is: { factor: 0.5, capacityKg: 13.071667, index: 7.2676272 },
  },
  {
    of: { massKg: 95, rwlKg: [8.714444444, 8.714444444, 8.714444444, 8.714444444] },
    is: { factor: 0.5, capacityKg: 17.428889, index: 5.4507204 },
  },
] as const;

export const CREWS = [
  { of: { massKg: 95, fourHandles: true, offMiddlePercent: 5, handsM: 1.3 }, is: { people: 2, gear: 'advised' } },
  { of: { massKg: 95, fourHandles: true, offMiddlePercent: 14, handsM: 1.3 }, is: { people: 3, gear: 'advised' } },
  { of: { massKg: 112, fourHandles: true, offMiddlePercent: 9, handsM: 1.3 }, is: { people: 3, gear: 'advised' } },
  { of: { massKg: 95, fourHandles: true, offMiddlePercent: 5, handsM: 2.3 }, is: { people: 2, gear: 'required' } },
] as const;

export const HANDLES = [
  {
    of: {
      massKg: 95,
      handles: [
        [0, 0],
        [1.05, 0],
      ],
      centre: [0.6, 0],
    },
    is: { sharesKg: [40.714286, 54.285714] },
  },
  {
    of: {
      massKg: 112,
      handles: [
        [0, 0],
        [1.1, 0],
        [1.1, 0.7],
      ],
      centre: [0.66, 0.3],
    },
    is: { sharesKg: [44.8, 19.2, 48] },
  },
  {
    of: {
      massKg: 112,
      handles: [
        [0, 0],
        [1.1, 0],
        [1.1, 0.7],
        [0, 0.7],
      ],
      centre: [0.66, 0.3],
    },
    is: { sharesKg: [26.4, 37.6, 29.6, 18.4] },
  },
] as const;

export const SLACK = [
  {
    of: {
      massKg: 112,
      handles: [
        [0, 0],
        [1.1, 0],
        [1.1, 0.7],
        [0, 0.7],
      ],
      centre: [0.66, 0.3],
    },
    is: { worstKg: 64 },
  },
  {
    of: {
      massKg: 80,
      handles: [
        [0, 0],
        [1, 0],
        [1, 0.5],
        [0, 0.5],
      ],
      centre: [0.97, 0.47],
    },
    is: { worstKg: 75.2 },
  },
] as const;

export const LEGS = [
  { of: { massKg: 112, legs: 2, leanDeg: 30 }, is: { kg: 64.66323 } },
  { of: { massKg: 112, legs: 2, leanDeg: 45 }, is: { kg: 79.195959 } },
  { of: { massKg: 112, legs: 2, leanDeg: 60 }, is: { kg: 112 } },
] as const;

export const EYES = [
  {
    of: { thread: 8, massKg: 112, spacingMm: 700, hookMm: 500 },
    is: { leanDeg: 34.99202, legKg: 68.356711, limitKg: 95, use: 0.71954433, verdict: 'holds' },
  },
  {
    of: { thread: 10, massKg: 112, spacingMm: 700, hookMm: 500 },
    is: { leanDeg: 34.99202, legKg: 68.356711, limitKg: 170, use: 0.4020983, verdict: 'holds' },
  },
  {
    of: { thread: 10, massKg: 112, spacingMm: 700, hookMm: 300 },
    is: { leanDeg: 49.398705, legKg: 86.049082, limitKg: null, use: null, verdict: 'stop' },
  },
] as const;

export const HOISTS = [
  { of: { massKg: 112, riggingKg: 8, ratedKg: 200 }, is: { use: 0.6, verdict: 'holds' } },
  { of: { massKg: 112, riggingKg: 8, ratedKg: 125 }, is: { use: 0.96, verdict: 'tight' } },
] as const;

export const ANCHORS = [
  {
    of: {
      massKg: 95,
      reachMm: 190,
      rows: [
        [50, 2],
        [350, 2],
      ],
      leanN: 500,
      leanAtMm: 370,
      pullN: 300,
      pullAtMm: 350,
    },
    is: {
      momentNm: 673.96354,
      tensionN: [134.79271, 943.54896],
      mostTensionN: 943.54896,
      shearN: 501.92572,
      edgeN: 1706.6833,
      model: 'pivot',
    },
  },
  {
    of: { massKg: 95, reachMm: 190, rows: [[350, 2]], leanN: 500, leanAtMm: 370, pullN: 300, pullAtMm: 350 },
    is: {
      momentNm: 673.96354,
      tensionN: [962.80506],
      mostTensionN: 962.80506,
      shearN: 1003.8514,
      edgeN: 1475.6101,
      model: 'pivot',
    },
  },
  {
    of: {
      massKg: 8,
      reachMm: 60,
      rows: [
        [250, 2],
        [50, 2],
      ],
      leanN: 0,
      leanAtMm: 0,
      pullN: 600,
      pullAtMm: 120,
    },
    is: {
      momentNm: 114.35471,
      tensionN: [173.38677, 276.61323],
      mostTensionN: 276.61323,
      shearN: 26.477955,
      edgeN: -372.20903,
      model: 'group',
    },
  },
  {
    of: {
      massKg: 95,
      reachMm: 190,
      rows: [
        [50, 2],
        [350, 2],
      ],
      leanN: 500,
      leanAtMm: 370,
      pullN: 300,
      pullAtMm: 350,
      besideMm: 75,
      columnsMm: 800,
    },
    is: {
      momentNm: 673.96354,
      tensionN: [160.06634, 1120.4644],
      mostTensionN: 1120.4644,
      shearN: 596.03679,
      edgeN: 1706.6833,
      model: 'pivot',
    },
  },
] as const;

export const USES = [
  {
    of: { tensionN: 943.5489614, tensionCapacityN: 3000, shearN: 501.9257156, shearCapacityN: 4000 },
    is: {
      tension: 0.31451632,
      shear: 0.12548143,
      sum: 0.43999775,
      power15: 0.22083601,
      power53: 0.1769092,
      sumHolds: true,
      power15Holds: true,
      verdict: 'holds',
    },
  },
  {
    of: { tensionN: 962.8050627, tensionCapacityN: 3000, shearN: 1003.85143125, shearCapacityN: 4000 },
    is: {
      tension: 0.32093502,
      shear: 0.25096286,
      sum: 0.57189788,
      power15: 0.30753615,
      power53: 0.25028972,
      sumHolds: true,
      power15Holds: true,
      verdict: 'holds',
    },
  },
  {
    of: { tensionN: 2970, tensionCapacityN: 3000, shearN: 800, shearCapacityN: 4000 },
    is: {
      tension: 0.99,
      shear: 0.2,
      sum: 1.19,
      power15: 1.0744803,
      power53: 1.051788,
      sumHolds: true,
      power15Holds: false,
      verdict: 'stop',
    },
  },
  {
    of: { tensionN: 1860, tensionCapacityN: 3000, shearN: 2480, shearCapacityN: 4000 },
    is: {
      tension: 0.62,
      shear: 0.62,
      sum: 1.24,
      power15: 0.97637698,
      power53: 0.90160465,
      sumHolds: false,
      power15Holds: true,
      verdict: 'tight',
    },
  },
] as const;

export const CONES = [
  {
    of: {
      embedmentMm: 60,
      columnsMm: 800,
      rowsMm: 300,
      leftMm: 120,
      rightMm: 1000,
      bottomMm: 600,
      topMm: 1000,
      columns: 2,
      rows: 2,
    },
    is: { share: 1 },
  },
  {
    of: {
      embedmentMm: 60,
      columnsMm: 100,
      rowsMm: 300,
      leftMm: 60,
      rightMm: 1000,
      bottomMm: 1000,
      topMm: 1000,
      columns: 2,
      rows: 2,
    },
    is: { share: 0.625 },
  },
] as const;

export const PRELOADS = [
  {
    of: { torqueNm: 35, friction: 0.2, thread: 10, boltClass: '8.8' },
    is: { forceN: 17500, usePercent: 52.030736, verdict: 'holds' },
  },
  {
    of: { torqueNm: 35, friction: 0.12, thread: 10, boltClass: '8.8' },
    is: { forceN: 29166.667, usePercent: 86.717893, verdict: 'tight' },
  },
  {
    of: { torqueNm: 30, friction: 0.16, thread: 10, boltClass: '8.8' },
    is: { forceN: 18750, usePercent: 55.747217, verdict: 'holds' },
  },
  {
    of: { torqueNm: 35, friction: 0.2, thread: 10, boltClass: 'A2-70' },
    is: { forceN: 17500, usePercent: 67.061837, verdict: 'holds' },
  },
  {
    of: { torqueNm: 35, friction: 0.12, thread: 10, boltClass: 'A2-70' },
    is: { forceN: 29166.667, usePercent: 111.76973, verdict: 'stop' },
  },
  {
    of: { torqueNm: 35, friction: 0.2, thread: 8, boltClass: '8.8' },
    is: { forceN: 21875, usePercent: 103.02381, verdict: 'stop' },
  },
] as const;

export const RINGS = [
  { of: { n: 3 }, is: { order: [1, 2, 3] } },
  { of: { n: 4 }, is: { order: [1, 3, 2, 4] } },
  { of: { n: 5 }, is: { order: [1, 3, 5, 2, 4] } },
  { of: { n: 6 }, is: { order: [1, 4, 2, 5, 3, 6] } },
  { of: { n: 7 }, is: { order: [1, 4, 7, 3, 6, 2, 5] } },
  { of: { n: 8 }, is: { order: [1, 5, 3, 7, 2, 6, 4, 8] } },
  { of: { n: 10 }, is: { order: [1, 6, 3, 8, 5, 10, 2, 7, 4, 9] } },
  { of: { n: 12 }, is: { order: [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12] } },
] as const;

export const PLATES = [
  {
    of: {
      points: [
        [0, 300],
        [300, 300],
        [600, 300],
        [0, 0],
        [300, 0],
        [600, 0],
      ],
    },
    is: { order: [2, 5, 1, 6, 3, 4] },
  },
  {
    of: {
      points: [
        [0, 300],
        [800, 300],
        [0, 0],
        [800, 0],
      ],
    },
    is: { order: [1, 4, 2, 3] },
  },
] as const;

export const TOOLS = [
  {
    of: { leastNm: 30, mostNm: 35, toolMinNm: 10, toolMaxNm: 100 },
    is: { targetNm: 32.5, usableFromNm: 20, inRange: true, inside: true, fromNm: 31.2, toNm: 33.8 },
  },
  {
    of: { leastNm: 18.9, mostNm: 23.1, toolMinNm: 20, toolMaxNm: 200 },
    is: { targetNm: 21, usableFromNm: 40, inRange: false, inside: true, fromNm: 20.16, toNm: 21.84 },
  },
  {
    of: { leastNm: 5.4, mostNm: 6, toolMinNm: 1, toolMaxNm: 6 },
    is: { targetNm: 5.7, usableFromNm: 1.2, inRange: true, inside: false, fromNm: 5.358, toNm: 6.042 },
  },
  {
    of: { leastNm: 5.13, mostNm: 6.27, toolMinNm: 1, toolMaxNm: 6 },
    is: { targetNm: 5.7, usableFromNm: 1.2, inRange: true, inside: true, fromNm: 5.358, toNm: 6.042 },
  },
] as const;

export const BALLASTS = [
  {
    of: {
      massKg: 112,
      friction: 0.4,
      slopeDeg: 0,
      windN: 620,
      upliftN: 250,
      windArmM: 0.55,
      tipArmM: 0.4,
      centreHeightM: 0.45,
    },
    is: { againstSlidingKg: 305.91486, againstTippingKg: 187.37285, ballastKg: 193.91486 },
  },
  {
    of: {
      massKg: 112,
      friction: 0.4,
      slopeDeg: 3,
      windN: 620,
      upliftN: 250,
      windArmM: 0.55,
      tipArmM: 0.4,
      centreHeightM: 0.45,
    },
    is: { againstSlidingKg: 364.74272, againstTippingKg: 202.20072, ballastKg: 252.74272 },
  },
  {
    of: { massKg: 112, friction: 0.3, slopeDeg: 14, windN: 620, upliftN: 250, windArmM: 0.55, tipArmM: 0.4 },
    is: { ballastKg: null },
  },
] as const;
