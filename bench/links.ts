import { generator } from '../src/core/kernel/generator';
import { hopCableM } from '../src/core/links/chain';
import type { Costs } from '../src/core/links/order/costs';

export { splitOverBuses } from '../src/core/links/order/busSplit';
export { shortestChain } from '../src/core/links/order/shortestChain';

/** Cable between devices strewn over a field, the same every time. */
export function strewn(devices: number, widthM: number, heightM: number): Costs {
  const next = generator(3);
  const at = Array.from({ length: devices }, () => [widthM * next(), heightM * next()] as const);
  return at.map(([x, y]) =>
    at.map(([u, v]) => (x === u && y === v ? 0 : hopCableM(Math.abs(x - u) + Math.abs(y - v), 1, 1))),
  );
}
export { busScope } from '../src/core/links/wave/scope';

/** Thirty-one devices, 40 m a hop, on 24 AWG: the longest chain without a repeater. */
export const LONG_BUS = {
  impedanceOhm: 120,
  delayNsPerM: 6,
  loopOhmPerM: 0.168426,
  hopsM: Array.from({ length: 30 }, () => 40),
  unitLoads: Array.from({ length: 31 }, () => 0.125),
  stubsM: Array.from({ length: 31 }, () => 0),
  terminated: Array.from({ length: 31 }, (_, i) => i === 0 || i === 30),
  terminatorOhm: 120,
  biasOhm: null,
  asker: 0,
};
