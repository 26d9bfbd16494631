import { DISCIPLINES } from '$core/design';
import type { SiteDesign } from '$core/design';
import { baseStore } from './baseStore';
import type { PartStore } from './partStore';

const brought = import.meta.glob<{ store: PartStore }>('/src/lib/stages/*/store.server.ts', { eager: true });

/** A discipline without tables: its whole part is one value. */
const wholePart = (keys: readonly string[]): PartStore => ({
  lists: [],
  rest: (design) => Object.fromEntries(keys.map((k) => [k, design[k as keyof SiteDesign]])),
  part: (_, rest) => rest,
});

/** How each part of a design is kept, the base first: a discipline's own store where its stage brings one. */
export const PART_STORES: readonly { readonly name: string; readonly store: PartStore }[] = [
  { name: 'site', store: baseStore },
  ...DISCIPLINES.map((d) => ({
    name: d.name,
    store: brought[`/src/lib/stages/${d.name}/store.server.ts`]?.store ?? wholePart(Object.keys(d.shape)),
  })),
];
