import type { Chain, ChainDevice } from './part';

/** Who asks on a chain, by its place: the logger, or the first device. */
export const askerOf = ({ devices }: Chain): number =>
  Math.max(
    0,
    devices.findIndex((d) => d.kind === 'logger'),
  );

/** The two ends of a chain and what lies between; null where there are not two. */
export function chainEnds({ devices }: Chain): {
  readonly near: ChainDevice;
  readonly far: ChainDevice;
  readonly between: readonly ChainDevice[];
} | null {
  const [near, ...rest] = devices;
  const far = rest.at(-1);
  return near && far ? { near, far, between: rest.slice(0, -1) } : null;
}
