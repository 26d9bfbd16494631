import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import type { HungUnit } from '../results';
import type { LiftWay } from './liftWay';

/** What is asked of a hoist, only where units go up by one: by its names on the forms, and what is made of it. */
export function whereHoisted<T, I extends Readonly<Record<string, unknown>>>(
  { wall }: HungUnit,
  asks: (lift: LiftWay) => I,
  compute: (known: { readonly [K in keyof I]: NonNullable<I[K]> }) => T,
): Answer<T | 'no hoist'> {
  const { by } = wall.lift;
  if (by === null) return lacking('how units go up on the wall');
  return by === 'hoist' ? given(asks(wall.lift), compute) : known('no hoist');
}
