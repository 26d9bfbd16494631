/** Grid codes of the simulated units: made up, close to what codes ask. Windows in shares of the rated line voltage and in Hz. */
export interface GridCode {
  readonly name: string;
  readonly frequencyHz: number;
  readonly reconnectS: number;
  readonly rampPercentPerS: number;
  readonly voltPu: readonly [low: number, high: number];
  readonly windowHz: readonly [low: number, high: number];
}
export const GRID_CODES: Readonly<Record<number, GridCode>> = {
  1: {
    name: 'simulated 50 Hz A',
    frequencyHz: 50,
    reconnectS: 60,
    rampPercentPerS: 1,
    voltPu: [0.85, 1.1],
    windowHz: [47.5, 50.2],
  },
  2: {
    name: 'simulated 50 Hz B',
    frequencyHz: 50,
    reconnectS: 90,
    rampPercentPerS: 0.5,
    voltPu: [0.85, 1.1],
    windowHz: [47.5, 51.5],
  },
  3: {
    name: 'simulated 50 Hz C',
    frequencyHz: 50,
    reconnectS: 300,
    rampPercentPerS: 1 / 6,
    voltPu: [0.8, 1.15],
    windowHz: [47.5, 51.5],
  },
  4: {
    name: 'simulated 60 Hz',
    frequencyHz: 60,
    reconnectS: 300,
    rampPercentPerS: 2,
    voltPu: [0.88, 1.1],
    windowHz: [58.5, 61.2],
  },
};
