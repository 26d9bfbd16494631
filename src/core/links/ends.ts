import type { Chain, ChainDevice } from './part';

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
