import { expect, it } from 'vitest';
import { wholeChain } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { FAR_LEVEL } from './farLevel';

type Line = Parameters<typeof wholeChain>[2];
const chain = (lengthM: number, line: Line = {}, units = 11) =>
  wholeChain(units, lengthM, { biasAt: 'nowhere', ...line }, () => ({ unitLoads: 0.125 }));
/** 24 AWG, a thirtieth of a kilometre a hop. */
const thin = (lengthM: number, line: Line = {}) => chain(lengthM, { areaMm2: 0.2047, ...line });

edges(FAR_LEVEL, () => ({
  holds: [chain(250), thin(1200)],
  tight: [thin(1900), thin(1400, { biasAt: 'first device' })],
  stops: [thin(1900, { conductorC: 120, terminatorOhm: 40 }), wholeChain(11, 1200, {}, () => ({ terminated: true }))],
  without: {
    'section of the bus conductors': chain(250, { areaMm2: null }),
  },
  says: [[chain(250), /^lowest where INV-01 sends and INV-11 listens: 1\.397 V$/, /2\.5 V behind 36 Ω/]],
}));

it('names everything that it still wants', () => {
  const lost = wholeChain(3, 100, { areaMm2: null, conductorC: null, terminatorOhm: null, biasAt: null }, () => ({
    unitLoads: null,
  }));
  const { working } = FAR_LEVEL.check({ ...lost }, { element: 'chain', path: '' });
  for (const what of ['section', 'temperature', 'resistance of the terminators', 'where the pair is biased'])
    expect(working[0]).toContain(what);
  expect(FAR_LEVEL.check(wholeChain(1, 0), { element: 'chain', path: '' }).working[0]).toContain(
    'at least two devices',
  );
});
it('is 1.3947 V at the far end of 250 m at 0.07 Ω/m with eleven receivers of an eighth', () => {
  const areaMm2 = (2 * 0.017241) / 0.07;
  const { value } = FAR_LEVEL.check(chain(250, { areaMm2 }), { element: 'chain', path: '' });
  expect(value).toBeCloseTo(1.39472, 4);
});
it('is lower where the bias stands against what is sent', () => {
  const of = (line: Line) => FAR_LEVEL.check(thin(1000, line), { element: 'chain', path: '' }).value ?? NaN;
  expect(of({ biasAt: 'first device' })).toBeLessThan(of({}) - 0.05);
});
