import { z } from 'zod';
import { CORES, INSULATIONS } from '../../conductor/laid';
import { enumOf, partId, partName, quantity } from '../../kernel/schema';
import type { DrumPlan } from './drums';

/** Remainders of cable that the company keeps: what a drum had left, until another run is cut from it. */

export const remainderSchema = z
  .object({
    id: partId,
    metal: z.enum(['Cu', 'Al']).meta({ description: 'Metal of the lines' }),
    insulation: enumOf(INSULATIONS).meta({ description: 'Insulation' }),
    cores: enumOf(CORES).meta({ description: 'Cores' }),
    sectionMm2: quantity(4, 630, 'mm²', 'Line conductor section'),
    lengthM: quantity(0.5, 10_000, 'm', 'Length left'),
    dated: z.iso.date('Write the day as 2026-05-31.').meta({ description: 'Left on' }),
    where: partName.nullable().default(null).meta({ description: 'Where it lies' }),
  })
  .meta({ id: 'Remainder' });
export type Remainder = z.infer<typeof remainderSchema>;

/** What tells one cable from another in the store. */
export type StoredCable = Pick<Remainder, 'metal' | 'insulation' | 'cores' | 'sectionMm2'>;
/** The same of a run while it is being asked for. Null: nobody has said yet, and nothing in the store is it. */
export type AskedCable = { readonly [K in keyof StoredCable]: StoredCable[K] | null };

const KEY = ['metal', 'insulation', 'cores', 'sectionMm2'] as const satisfies readonly (keyof StoredCable)[];

/** What the store holds of a cable, the longest first. */
export const inStore = (store: readonly Remainder[], cable: AskedCable): readonly Remainder[] =>
  store.filter((r) => KEY.every((k) => r[k] === cable[k])).sort((a, b) => b.lengthM - a.lengthM);

/** What leaves the store and what comes into it. */
export interface StoreChange {
  readonly take: readonly string[];
  readonly put: readonly Remainder[];
}

/** The change back. Ids of what was taken come back with it. */
export const undone = ({ take, put }: StoreChange, store: readonly Remainder[]): StoreChange => ({
  take: put.map((r) => r.id),
  put: store.filter((r) => take.includes(r.id)),
});

/**
 * What a plan of drums changes in the store once it is cut: remainders that were cut from leave it, and what every drum that was cut from has left
 * comes into it from `keepM` up, m; what is shorter is scrap. `store`: the remainders the plan was made with, in their order.
 */
export function afterCutting(
  { drums }: DrumPlan,
  store: readonly Remainder[],
  left: StoredCable & Pick<Remainder, 'dated' | 'where'> & { readonly keepM: number; readonly newId: () => string },
): StoreChange {
  const { keepM, newId, ...of } = left;
  const stored = drums.filter((d) => !d.isNew);
  return {
    take: store.filter((_, i) => stored[i]?.cuts.length).map((r) => r.id),
    put: drums
      .filter((d) => d.cuts.length > 0 && d.leftM >= keepM)
      .map((d) => ({ ...of, id: newId(), lengthM: Math.floor(10 * d.leftM) / 10 })),
  };
}
