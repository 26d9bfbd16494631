import { generator } from '../src/core/kernel/generator';
import { hopCableM } from '../src/core/links/chain';
import type { Costs } from '../src/core/links/order/costs';

export { shortestChain } from '../src/core/links/order/shortestChain';

/** Cable between devices strewn over a field, the same every time. */
export function strewn(devices: number, widthM: number, heightM: number): Costs {
  const next = generator(3);
  const at = Array.from({ length: devices }, () => [widthM * next(), heightM * next()] as const);
  return at.map(([x, y]) =>
    at.map(([u, v]) => (x === u && y === v ? 0 : hopCableM(Math.abs(x - u) + Math.abs(y - v), 1, 1))),
  );
}
