import { describe, expect, it } from 'vitest';
import type { Remainder, StoreChange } from '$core/ac/schedule/cableStore';
import { Problem } from '../problem';
import { localContext } from './context';
import { changeStore, readShelf } from './shelf';

const context = localContext();
const rest = (id: string, lengthM: number): Remainder => ({
  id,
  metal: 'Cu',
  insulation: 'XLPE',
  cores: '5-core',
  sectionMm2: 150,
  lengthM,
  dated: '2026-03-02',
  where: null,
});
/** The test's own lengths: other remainders may lie beside them. */
const lengths = async () =>
  (await readShelf(context)).remainders.filter((r) => r.sectionMm2 === 150).map((r) => r.lengthM);
const refused = async (change: StoreChange) =>
  changeStore(context, change).then(
    () => null,
    (cause: unknown) =>
      cause instanceof Problem ? [cause.status, cause.errors.map((e) => e.pointer)] : Promise.reject(cause as Error),
  );

describe('the store of cable in the database', () => {
  it('changes as a whole: one remainder that is gone, and nothing leaves and nothing comes', async () => {
    await changeStore(context, { take: [], put: [rest('t-1', 40), rest('t-2', 12)] });
    await changeStore(context, { take: ['t-1'], put: [rest('t-3', 7.5)] });
    expect(await lengths()).toEqual([12, 7.5]);
    expect(await refused({ take: ['t-2', 't-1'], put: [rest('t-4', 3)] })).toEqual([409, ['/take/1']]);
    expect(await refused({ take: ['t-2'], put: [rest('t-4', 3), rest('t-3', 3)] })).toEqual([409, ['/put/1']]);
    expect(await lengths()).toEqual([12, 7.5]);
    // One and the same in another length is taken and put in one change.
    await changeStore(context, { take: ['t-2'], put: [rest('t-2', 11)] });
    expect(await lengths()).toEqual([11, 7.5]);
  });
  it('gives a remainder to one of two who cut from it at once', async () => {
    await changeStore(context, { take: [], put: [rest('t-9', 60)] });
    const both = await Promise.all([1, 2].map((n) => refused({ take: ['t-9'], put: [rest(`t-9-${n}`, n)] })));
    expect(both.filter((r) => r === null)).toHaveLength(1);
    await changeStore(context, { take: [], put: [] });
  });
});
