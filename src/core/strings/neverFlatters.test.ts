import { describe } from 'vitest';
import type { DC_SECTIONS_MM2 } from '../conductor/laid';
import { neverFlatters } from '../testing/neverFlatters';
import { randomDesign } from '../testing/randomDesign';
import {
  grown,
  nextBelow,
  only,
  raised,
  shrunk,
  worseCable,
  worseModule,
  worsePlane,
  worseString,
  worseSurvey,
  worseType,
} from '../testing/worsened';
import { strings } from '.';

const TRACKER = ['strings.tracker-short-circuit', 'strings.tracker-operating', 'strings.input-connector'];

/** Sections of which every school with tables has a current. */
const METRIC_MM2 = [2.5, 4, 6, 10, 16];

describe('the string side', () =>
  neverFlatters(strings, {
    designOf: (seed) => randomDesign(seed, { inverters: 2, trackers: 3 }),
    worse: [
      worseSurvey('a colder morning', ['strings.uoc-cold'], (s, x) => only('coldestC', raised(s.coldestC, -25, x))),
      worseSurvey('a hotter summer', ['strings.ump-hot', 'strings.start'], (s, x) =>
        only('hottestC', raised(s.hottestC, 12, x)),
      ),
      worseSurvey('a lower legal limit', ['strings.uoc-cold'], (s, x) =>
        only('dcLegalMaxV', shrunk(s.dcLegalMaxV, 0.5, x)),
      ),
      worseSurvey('a higher site', ['strings.altitude'], (s, x) => only('altitudeM', raised(s.altitudeM, 4000, x))),
      worseString('a longer string in the cold', ['strings.uoc-cold'], (s, x) => ({
        modules: s.modules + 1 + Math.floor(6 * x()),
      })),
      worseString(
        'a shorter string in the heat',
        ['strings.ump-hot', 'strings.start', 'strings.home-run-drop'],
        (s, x) => (s.modules > 1 ? { modules: Math.max(1, s.modules - 1 - Math.floor(6 * x())) } : null),
      ),
      worseString('a longer home run', ['strings.home-run-drop'], (s, x) => only('lengthM', grown(s.lengthM, 5, x))),
      worseString('longer leads', ['strings.home-run-drop'], (s, x) => only('leadsM', grown(s.leadsM, 5, x))),
      worseString('a Y further from the input', ['strings.home-run-drop', 'strings.cable-current'], (s, x) =>
        only('yM', raised(s.yM, 60, x)),
      ),
      worsePlane('more light from behind', [...TRACKER, 'strings.cable-current'], (p, x) =>
        only('rearShare', p.rearShare === null ? null : Math.min(0.3, p.rearShare + 0.25 * x())),
      ),
      worseModule('more tolerance on the voltage', ['strings.uoc-cold'], (m, x) =>
        only(
          'uocTolerancePercent',
          m.uocTolerancePercent === null ? null : Math.min(10, m.uocTolerancePercent + 6 * x()),
        ),
      ),
      worseModule('a weaker module in reverse', ['strings.reverse-current'], (m, x) => ({
        fuseMaxA: m.fuseMaxA * (1 - 0.6 * x()),
      })),
      worseModule('a lower system voltage', ['strings.uoc-cold'], (m, x) => ({
        systemMaxV: m.systemMaxV * (1 - 0.5 * x()),
      })),
      worseType('weaker connectors', ['strings.input-connector'], (t, x) =>
        only('connectorMaxA', t.connectorMaxA === null ? null : Math.max(10, t.connectorMaxA * (1 - 0.5 * x()))),
      ),
      worseType('connectors of a lower voltage', ['strings.uoc-cold'], (t, x) =>
        only('connectorMaxV', shrunk(t.connectorMaxV, 0.4, x)),
      ),
      worseType('a tracker that takes less', ['strings.tracker-operating'], (t, x) => ({
        trackerOperatingMaxA: t.trackerOperatingMaxA * (1 - 0.5 * x()),
      })),
      worseType('less DC power', ['strings.dc-power'], (t, x) =>
        only('dcMaxW', t.dcMaxW === null ? null : Math.max(t.ratedW, t.dcMaxW * (1 - 0.5 * x()))),
      ),
      worseType('a higher start-up', ['strings.start'], (t, x) => only('startV', grown(t.startV, 2, x))),
      worseType('a unit for lower ground', ['strings.altitude'], (t, x) =>
        only('altitudeMaxM', t.altitudeMaxM === null ? null : Math.max(500, t.altitudeMaxM * x())),
      ),
      worseCable('a thinner cable', ['strings.cable-current', 'strings.home-run-drop'], (c) =>
        only('sectionMm2', nextBelow(c.sectionMm2, METRIC_MM2) as (typeof DC_SECTIONS_MM2)[number] | null),
      ),
      worseCable('a hotter cable', ['strings.cable-current'], (c, x) =>
        only('ambientC', c.ambientC === null ? null : Math.min(119, c.ambientC + 50 * x())),
      ),
      worseCable('more cables in a bundle', ['strings.cable-current'], (c, x) =>
        only(
          'circuitsTogether',
          c.circuitsTogether === null ? null : Math.min(20, c.circuitsTogether + 1 + Math.floor(8 * x())),
        ),
      ),
      worseCable('a hotter conductor', ['strings.home-run-drop'], (c, x) => ({
        conductorC: Math.min(120, c.conductorC + 30 * x()),
      })),
    ],
    spoken: [
      {
        path: /^strings\.\d+\.place$/,
        because: 'a string taken off its input is another arrangement, and is asked for by a rule of its own',
      },
      {
        path: /^strings\.\d+\.(lengthM|lengthToId|start)$/,
        because: 'what was measured or typed outranks what is reckoned from the places',
      },
      { path: /^strings\.\d+\.leadsM$/, because: 'leads and return count where given' },
      { path: /dcCable\.fuseA$/, because: 'empty says that none is fitted' },
      { path: /survey\.dcLegalMaxV$/, because: 'a local limit below the school’s counts where there is one' },
      { path: /^(runs|chain|board|locks|energy)\b/, because: 'not inputs of the rules of strings' },
    ],
  }));
