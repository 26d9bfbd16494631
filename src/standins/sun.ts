/** Sun on a clear day, W/m²: peak·sin(π(t − rise)/(set − rise))^1.2, hours; 0 outside. A stand-in’s sky, no forecast. */
export function irradianceWm2(hour: number, peakWm2 = 1000, riseH = 6, setH = 18): number {
  if (!(hour > riseH && hour < setH)) return 0;
  return peakWm2 * Math.sin((Math.PI * (hour - riseH)) / (setH - riseH)) ** 1.2;
}

/** What a simulated unit is made of. */
export interface UnitModel {
  readonly ratedW: number;
  readonly ratedV: number;
  readonly trackers: number;
  readonly modulesInString: number;
  readonly stringsPerTracker: number;
  readonly moduleUocV: number;
  readonly moduleImpA: number;
  readonly betaPerK: number;
  /** Of its AC run, there to the board. */
  readonly runOhm: number;
}
export interface Weather {
  readonly irradianceWm2: number;
  readonly ambientC: number;
}
export interface Output {
  readonly uocV: number;
  /** Of every tracker. */
  readonly trackerV: number;
  readonly trackerA: number;
  readonly powerW: number;
  /** Line to line at its own terminals, and in each line. */
  readonly terminalV: number;
  readonly lineA: number;
}

const EFFICIENCY = 0.985;
const UMP_SHARE = 0.82;
const NIGHT_WM2 = 1;
/** Power is taken back by so much a kelvin above this ambient. */
const DERATE_PER_K = 0.02;
const DERATE_FROM_C = 45;

/** What a simulated unit gives, `share` of its rating allowed (0: it feeds nothing), on a grid of so many volts line to line. */
export function outputOf(m: UnitModel, { irradianceWm2: g, ambientC }: Weather, share: number, gridV: number): Output {
  if (g < NIGHT_WM2) return { uocV: 0, trackerV: 0, trackerA: 0, powerW: 0, terminalV: gridV, lineA: 0 };
  const cellC = ambientC + 0.03 * g;
  const uocV = m.modulesInString * m.moduleUocV * (1 + m.betaPerK * (cellC - 25)) * (1 + 0.05 * Math.log(g / 1000));
  const umpV = UMP_SHARE * uocV;
  const impA = (m.stringsPerTracker * m.moduleImpA * g) / 1000;
  const thereW = EFFICIENCY * m.trackers * umpV * impA;
  const derate = 1 - DERATE_PER_K * Math.max(0, ambientC - DERATE_FROM_C);
  const powerW = Math.max(0, Math.min(thereW, m.ratedW * share, m.ratedW * derate));
  const used = powerW / thereW;
  const trackerV = umpV + (uocV - umpV) * (1 - used);
  const terminalV = (gridV + Math.sqrt(gridV ** 2 + 4 * m.runOhm * powerW)) / 2;
  return {
    uocV,
    trackerV,
    trackerA: powerW / (EFFICIENCY * m.trackers * trackerV),
    powerW,
    terminalV,
    lineA: powerW / (Math.sqrt(3) * terminalV),
  };
}
