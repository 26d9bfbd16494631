import { known } from '../kernel/answer';
import type { ShutDown } from '../proving/readings/shutDown';
import type { StringReading, StringTest } from '../proving/readings/stringReading';
import { stringReading } from '../proving/readings/stringReading';
import { expectedReading } from '../proving/stringCauses';
import { coldOnSite } from '../strings/coldVoltage';
import { M575, SURVEY, plane } from './examples';

const LIGHT = { modules: 18, cellC: 43.16, irradianceWm2: 720 };
/** What 18 modules read in this light, V. */
export const EXPECTED_V = expectedReading(M575, LIGHT).stringV;

/** A healthy string of 18 modules, with what a test wants changed. */
export const stringTest = (over: Partial<StringTest> = {}): StringReading =>
  stringReading({
    ...LIGHT,
    module: M575,
    voltageV: EXPECTED_V,
    currentA: null,
    coldestC: SURVEY.coldestC,
    cold: coldOnSite(SURVEY, plane('p', 18), M575, 100_000),
    limitV: known(1100),
    sistersV: [EXPECTED_V, EXPECTED_V, EXPECTED_V],
    otherModules: null,
    ...over,
  });

/** Conductors after rapid shutdown that did its work. */
export const shutDown = (over: Partial<ShutDown> = {}): ShutDown => ({
  seconds: 28,
  outsideV: 4,
  insideV: 36,
  listedSystem: '',
  ...over,
});
