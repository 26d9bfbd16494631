import { describe } from 'vitest';
import { neverFlatters } from '../testing/neverFlatters';
import { randomDesign } from '../testing/randomDesign';
import { grown, only, raised, worseBus, worseDevice, worseEthernet, worsePoll, worseRadio } from '../testing/worsened';
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
      worseDevice('a terminator that cannot be turned off', ['links.logger'], (c) =>
        only('terminatorOut', c.terminatorOut === null ? null : false),
      ),
      worseDevice('a longer stub', ['links.stubs'], (c, x) =>
        only('stubM', c.stubM === null ? null : Math.min(500, c.stubM + 20 * x())),
      ),
      worseBus('a thinner pair', ['links.far-level', 'links.idle-bias'], (l, x) =>
        only('areaMm2', l.areaMm2 === null ? null : Math.max(0.05, l.areaMm2 / (1 + 2 * x()))),
      ),
      worseBus('a hotter pair', ['links.far-level', 'links.idle-bias'], (l, x) =>
        only('conductorC', l.conductorC === null ? null : Math.min(120, l.conductorC + 50 * x())),
      ),
      worseBus('a slower pair', ['links.stubs'], (l, x) =>
        only('delayNsPerM', l.delayNsPerM === null ? null : Math.min(10, l.delayNsPerM + 4 * x())),
      ),
      worseBus('terminators of less', ['links.driver-load', 'links.idle-bias', 'links.far-level'], (l, x) =>
        only('terminatorOhm', l.terminatorOhm === null ? null : Math.max(30, l.terminatorOhm * (1 - 0.5 * x()))),
      ),
      worseBus('a weaker pull-up', ['links.idle-bias'], (l, x) =>
        only('pullUpOhm', l.pullUpOhm === null ? null : l.pullUpOhm * (1 + 2 * x())),
      ),
      worseBus('a lower supply of the bias', ['links.idle-bias'], (l, x) =>
        only('biasV', l.biasV === null ? null : Math.max(1, l.biasV * (1 - 0.5 * x()))),
      ),
      worseBus('closer to power', ['links.separation'], (l, x) =>
        only('separationMm', l.separationMm === null ? null : l.separationMm * (1 - x())),
      ),
      worsePoll('more to read', ['links.poll-cycle'], (p, x) =>
        only('registers', p.registers === null ? null : p.registers + Math.ceil(300 * x())),
      ),
      worsePoll('a shorter round', ['links.poll-cycle'], (p, x) =>
        only('needS', p.needS === null ? null : Math.max(0.05, p.needS * (1 - x()))),
      ),
      worsePoll('slower units', ['links.poll-cycle'], (p, x) =>
        only('turnaroundMs', p.turnaroundMs === null ? null : p.turnaroundMs + 500 * x()),
      ),
      worseEthernet('a longer hop of the Ethernet', ['links.ethernet-hop'], (e, x) =>
        only('longestM', grown(e.longestM, 3, x)),
      ),
      worseEthernet('more units on the Ethernet', ['links.ethernet-addresses'], (e) =>
        only('units', e.units === null ? null : 247),
      ),
      worseRadio('more walls', ['links.radio-margin'], (r, x) =>
        only('wallsDb', r.wallsDb === null ? null : r.wallsDb + 20 * x()),
      ),
      worseRadio('a radio farther off', ['links.radio-margin'], (r, x) => only('distanceM', grown(r.distanceM, 6, x))),
      worseBus('more power beside it', ['links.separation'], (l, x) =>
        only('powerCircuits', l.powerCircuits === null ? null : Math.ceil(l.powerCircuits * (1 + 3 * x()))),
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
