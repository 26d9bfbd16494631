import { describe } from 'vitest';
import { gridWindow } from '../site/gridCodes';
import { boardAtRestV, boardHighestV } from '../site/boardVoltage';
import { AMERICAN_MM2, randomDesign } from '../testing/randomDesign';
import { neverFlatters } from '../testing/neverFlatters';
import {
  grown,
  nextBelow,
  only,
  raised,
  shrunk,
  worseBoard,
  worseRun,
  worseSurvey,
  worseType,
} from '../testing/worsened';
import { ac } from '.';
import { newSegment } from './planSegments';

const SECTIONS = [16, 25, 50, 70, 95, 120, 150, 185, 240, 300];
const EARTHS = [16, 35, 70, 95];

describe('the AC side', () =>
  neverFlatters(ac, {
    designOf: (seed) => randomDesign(seed, { inverters: 3, trackers: 2 }),
    worse: [
      worseRun('a longer run', ['ac.voltage-rise', 'ac.terminal-voltage', 'ac.loop', 'ac.all-feeding'], (r, x) =>
        only('lengthM', grown(r.lengthM, 4, x)),
      ),
      worseRun(
        'a thinner cable',
        ['ac.ampacity', 'ac.voltage-rise', 'ac.terminal-voltage', 'ac.adiabatic', 'ac.loop', 'ac.all-feeding'],
        (r) => only('sectionMm2', nextBelow(r.sectionMm2, SECTIONS)),
      ),
      worseRun(
        'a thinner conductor of the NEC school',
        ['ac.nec-terminals', 'ac.nec-conditions', 'ac.nec-protection', 'ac.nec-parallel', 'ac.voltage-rise'],
        (r) => only('sectionMm2', nextBelow(r.sectionMm2, AMERICAN_MM2)),
      ),
      worseRun('a raceway nearer the roof', ['ac.nec-conditions', 'ac.nec-protection'], (r, x) =>
        only('roofGapMm', shrunk(r.roofGapMm, 0.1, x)),
      ),
      worseRun('terminals that are not marked', ['ac.nec-terminals', 'ac.nec-protection'], (r) =>
        r.terminals75 ? { terminals75: false } : null,
      ),
      worseRun('an assembly not listed for 100 %', ['ac.nec-terminals', 'ac.breaker-rating'], (r) =>
        r.fullRated ? { fullRated: false } : null,
      ),
      worseRun('all sets in one raceway', ['ac.nec-conditions', 'ac.nec-protection', 'ac.nec-raceway-fill'], (r) =>
        r.racewayPerSet && r.parallel === 2 ? { racewayPerSet: false } : null,
      ),
      worseBoard('more loads on the busbar', ['ac.nec-busbar'], (b, x) =>
        only('loadBreakersA', raised(b.loadBreakersA, 500, x)),
      ),
      worseBoard('inverters beside the main', ['ac.nec-busbar'], (b) =>
        b.sourcesFarEnd ? { sourcesFarEnd: false } : null,
      ),
      worseRun('a hotter run', ['ac.ampacity', 'ac.nec-conditions', 'ac.nec-protection'], (r, x) =>
        only('ambientC', raised(r.ambientC, 25, x)),
      ),
      worseRun('sun on the cable', ['ac.ampacity'], (r) =>
        r.sunOnCable === false || r.segments.some((s) => s.sunOnCable === false)
          ? { sunOnCable: true, segments: r.segments.map((s) => ({ ...s, sunOnCable: true })) }
          : null,
      ),
      worseRun('more circuits beside it', ['ac.ampacity', 'ac.nec-conditions', 'ac.nec-protection'], (r, x) =>
        only('otherCircuits', r.otherCircuits === null ? null : r.otherCircuits + 1 + Math.floor(4 * x())),
      ),
      worseRun('a hotter piece of the way', ['ac.ampacity', 'ac.nec-conditions', 'ac.nec-protection'], (r, x) => {
        const [piece] = r.segments;
        const hotter = piece && only('ambientC', raised(piece.ambientC, 30, x));
        return piece && hotter ? { segments: [{ ...piece, ...hotter }] } : null;
      }),
      worseRun('a piece of the way more', ['ac.ampacity', 'ac.nec-conditions', 'ac.nec-protection'], (r, x) => ({
        segments: [...r.segments, { ...newSegment('roof', 5), ...r, name: 'roof', ambientC: Math.round(80 * x()) }],
      })),
      worseRun('more third harmonic', ['ac.ampacity'], (r, x) =>
        only('thirdHarmonicPercent', raised(r.thirdHarmonicPercent, 40, x)),
      ),
      worseBoard('a main that trips earlier', ['ac.discrimination'], (b, x) =>
        only('mainMagneticA', shrunk(b.mainMagneticA, 0.2, x)),
      ),
      worseBoard('a main that trips at once earlier', ['ac.discrimination'], (b, x) =>
        b.mainInstantA === 0 ? { mainInstantA: 40_000 } : only('mainInstantA', shrunk(b.mainInstantA, 0.2, x)),
      ),
      worseBoard('a main that waits less', ['ac.discrimination'], (b) => (b.mainDelayS ? { mainDelayS: 0 } : null)),
      worseBoard('a longer way to the grid', ['ac.rise-to-grid'], (b, x) =>
        only('mainLengthM', grown(b.mainLengthM, 6, x)),
      ),
      worseSurvey('a worse electrode', ['ac.loop'], (s, x) =>
        s.service === 'earthed wye, TT' ? only('electrodeOhm', grown(s.electrodeOhm, 5, x)) : null,
      ),
      worseType('a lower bay', ['ac.bend'], (t, x) => {
        const lower = only('freeHeightMm', shrunk(t.bay.freeHeightMm, 0.3, x));
        return lower && { bay: { ...t.bay, ...lower } };
      }),
      worseType('shorter studs', ['ac.stud-length'], (t, x) => {
        const shorter = only('studLengthMm', shrunk(t.bay.studLengthMm, 0.3, x));
        return shorter && { bay: { ...t.bay, ...shorter } };
      }),
      worseRun('drier soil', ['ac.ampacity'], (r, x) => only('soilKmPerW', shrunk(raised(r.soilKmPerW, 0.5, x), 1, x))),
      worseRun('deeper', ['ac.ampacity'], (r, x) => only('depthM', raised(r.depthM, 1, x))),
      worseRun('a larger breaker on the cable', ['ac.ampacity', 'ac.breaker-largest', 'ac.nec-protection'], (r, x) =>
        only('breakerA', grown(r.breakerA, 2, x)),
      ),
      worseRun('a smaller breaker for the current', ['ac.breaker-rating'], (r, x) =>
        only('breakerA', shrunk(r.breakerA, 0.4, x)),
      ),
      worseRun('a hotter breaker', ['ac.breaker-rating'], (r, x) =>
        only('breakerAmbientC', raised(r.breakerAmbientC, 24, x)),
      ),
      worseRun('a breaker with closer neighbours', ['ac.breaker-rating'], (r, x) =>
        only(
          'breakerGroupFactor',
          r.breakerGroupFactor === null ? null : Math.max(0.5, r.breakerGroupFactor - 0.4 * x()),
        ),
      ),
      worseRun('a thinner PE', ['ac.pe-section', 'ac.adiabatic', 'ac.loop'], (r) =>
        only('peMm2', nextBelow(r.peMm2, EARTHS)),
      ),
      worseRun('a thinner external earth', ['ac.external-earth'], (r) =>
        only('externalEarthMm2', nextBelow(r.externalEarthMm2, EARTHS)),
      ),
      worseRun('a breaker that opens less', ['ac.breaking-capacity'], (r, x) =>
        only('breakerIcuKa', shrunk(r.breakerIcuKa, 0.1, x)),
      ),
      worseRun('a breaker for less voltage', ['ac.breaker-voltage'], (r, x) =>
        only('breakerUeV', shrunk(r.breakerUeV, 0.3, x)),
      ),
      worseRun('a higher magnetic setting', ['ac.loop'], (r, x) => only('magneticA', grown(r.magneticA, 10, x))),
      worseRun('a slower breaker', ['ac.adiabatic'], (r, x) =>
        r.letThroughA2s === null && r.clearingS !== null && r.clearingS >= 0.1
          ? { clearingS: Math.min(5, r.clearingS * (1 + 4 * x())) }
          : null,
      ),
      worseRun('more let through', ['ac.adiabatic'], (r, x) => only('letThroughA2s', grown(r.letThroughA2s, 20, x))),
      worseRun('a residual device that trips earlier', ['ac.residual-current'], (r, x) =>
        only('residualMa', shrunk(r.residualMa, 0.1, x)),
      ),
      worseSurvey('a stiffer transformer', ['ac.breaking-capacity', 'ac.short-circuit'], (s, x) =>
        only(
          'transformerImpedancePercent',
          s.transformerLossKw !== null && s.transformerImpedancePercent !== null
            ? Math.max(3, s.transformerImpedancePercent * (1 - 0.4 * x()))
            : null,
        ),
      ),
      worseSurvey('a grid that stands higher', ['ac.all-feeding'], (s, x) =>
        // Under the window of the grid code a higher grid is a better one.
        (boardAtRestV(s).value ?? 0) < (gridWindow(s).value?.minV ?? Infinity)
          ? null
          : only('restLineV', raised(s.restLineV, 40, x)),
      ),
      worseSurvey('a network of more resistance', ['ac.all-feeding'], (s, x) =>
        only('upstreamXr', shrunk(s.upstreamXr, 0.2, x)),
      ),
      worseSurvey('a weaker network', ['ac.loop', 'ac.all-feeding'], (s, x) =>
        only('upstreamMva', shrunk(s.upstreamMva, 0.05, x)),
      ),
      worseSurvey('more losses of the transformer', ['ac.loop', 'ac.all-feeding'], (s, x) =>
        only('transformerLossKw', raised(s.transformerLossKw, 1, x)),
      ),
      worseBoard('a busbar that withstands less', ['ac.short-circuit'], (b, x) =>
        only('busbarIcwKa', shrunk(b.busbarIcwKa, 0.1, x)),
      ),
      worseBoard('a longer main cable', ['ac.loop', 'ac.all-feeding'], (b, x) =>
        only('mainLengthM', grown(b.mainLengthM, 6, x)),
      ),
      worseBoard('a shorter main cable', ['ac.breaking-capacity', 'ac.short-circuit'], (b, x) =>
        only('mainLengthM', b.mainLengthM === null ? null : Math.max(0.5, b.mainLengthM * x())),
      ),
      worseBoard('a thinner PE of the main cable', ['ac.loop'], (b) =>
        only('mainPeMm2', nextBelow(b.mainPeMm2, [16, 50, 120]) ?? nextBelow(b.mainPeMm2, AMERICAN_MM2)),
      ),
      worseRun('more cables', ['ac.lugs-on-stud', 'ac.entries', 'ac.palm-thickness'], (r) =>
        only('parallel', r.parallel === null ? null : Math.min(8, r.parallel + 1)),
      ),
      worseRun('a wider palm', ['ac.palm-width', 'ac.palm-gap'], (r, x) =>
        only('palmWidthMm', grown(r.palmWidthMm, 2, x)),
      ),
      worseRun('a thicker palm', ['ac.palm-thickness'], (r, x) =>
        only('palmThicknessMm', grown(r.palmThicknessMm, 2, x)),
      ),
      // Below 0.85 of nominal it is no reading of a board at all, and asked for again.
      worseSurvey('a board at higher voltage', ['ac.terminal-voltage'], (s, x) =>
        boardHighestV(s).value === null ? null : only('boardHighestV', raised(s.boardHighestV, 40, x)),
      ),
      worseSurvey('a smaller transformer', ['ac.transformer-load'], (s, x) =>
        only('transformerKva', shrunk(s.transformerKva, 0.2, x)),
      ),
      worseBoard('a weaker busbar', ['ac.busbar', 'ac.nec-busbar', 'ac.main-on-busbar'], (b, x) =>
        only('busbarA', shrunk(b.busbarA, 0.2, x)),
      ),
      worseBoard('a smaller main breaker', ['ac.main-breaker'], (b, x) =>
        only('mainBreakerA', shrunk(b.mainBreakerA, 0.1, x)),
      ),
      worseBoard('a larger main breaker on the busbar', ['ac.main-on-busbar'], (b, x) =>
        only('mainBreakerA', grown(b.mainBreakerA, 2, x)),
      ),
      worseBoard('a hotter main breaker', ['ac.main-breaker'], (b, x) =>
        only('mainAmbientC', raised(b.mainAmbientC, 29, x)),
      ),
      worseType('more apparent power', ['ac.terminal-voltage', 'ac.transformer-load', 'ac.all-feeding'], (t, x) => ({
        maxApparentVa: Math.round(t.maxApparentVa * (1 + x())),
      })),
      worseType(
        'more output current',
        ['ac.breaker-rating', 'ac.voltage-rise', 'ac.busbar', 'ac.nec-busbar', 'ac.nec-terminals', 'ac.main-breaker'],
        (t, x) => only('outputMaxA', grown(t.outputMaxA, 2, x)),
      ),
      worseType('fewer glands', ['ac.entries'], (t) =>
        t.bay.glands !== null && t.bay.glands > 1 ? { bay: { ...t.bay, glands: 1 } } : null,
      ),
    ],
    spoken: [
      { path: /^runs\.\d+\.lengthM$/, because: 'what was measured outranks what is reckoned from the plan' },
      {
        path: /(torque|print|lug)M(in|ax)Nm$/,
        because:
          'a sheet that prints one figure less prints another window: ±10 % about one, the thread’s own without any',
      },
      {
        path: /(cableDiameter|palmWidth|palmThickness)Mm$/,
        because: 'what was measured outranks the table; without it the table says what it knew before',
      },
      {
        path: /transformerLossKw$|^board\.main/,
        because: 'without them the largest current is reckoned larger, and the loop is unknown',
      },
      {
        path: /^survey\.upstreamXr$/,
        because: 'without it the network is taken as IEC 60909 has it, and the voltage said to rest on that',
      },
      {
        path: /thirdHarmonicPercent$/,
        because: 'without it the output is taken as symmetric, as the trade does, and the working says so',
      },
      { path: /letThroughA2s$/, because: 'the maker’s figure outranks current and time' },
      { path: /^runs\.\d+\.residualFitted$/, because: 'without its own word the site’s counts' },
      { path: /outputMaxA$/, because: 'without it the current is provisional, and its own rule is tight for it' },
      { path: /glandSealSplitMm$/, because: 'advice on the seal, not a limit' },
      { path: /^(strings|planes|chain)\./, because: 'not inputs of the AC side' },
    ],
  }));
