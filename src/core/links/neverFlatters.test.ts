import { describe } from 'vitest';
import { neverFlatters } from '../testing/neverFlatters';
import { randomDesign } from '../testing/randomDesign';
import { grown, only, raised, worseDevice } from '../testing/worsened';
import { links } from '.';

describe('the chain', () =>
  neverFlatters(links, {
    designOf: (seed) => randomDesign(seed, { inverters: 5, trackers: 2 }),
    worse: [
      worseDevice('a longer hop', ['links.length'], (c, x) => only('hopM', grown(c.hopM, 6, x))),
      worseDevice('more cable at a landing', ['links.length'], (c, x) => ({
        entryM: Math.min(50, c.entryM + 40 * x()),
      })),
      worseDevice('a heavier load', ['links.unit-loads'], (c, x) =>
        only('unitLoads', c.unitLoads === null ? null : Math.min(4, raised(c.unitLoads, 3, x) ?? 4)),
      ),
    ],
    spoken: [
      { path: /devices\.\d+\.inverterId$/, because: 'which unit a device is, not a quantity of it' },
      {
        path: /devices\.\d+\.(hopM|hopFromId)$/,
        because: 'what was measured outranks what is reckoned from the places',
      },
      { path: /^(strings|planes|runs|board|locks|energy|dcCable)\b/, because: 'not inputs of the chain' },
    ],
  }));
