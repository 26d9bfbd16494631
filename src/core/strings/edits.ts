import { z } from 'zod';
import { inverterTypeSchema } from '../equipment/inverterType';
import { editOn } from '../kernel/discipline';
import { replaced } from '../kernel/lists';
import { partId } from '../kernel/schema';
import { placeSchema, pvStringSchema } from '../site/parts';
import { remembering, sameLock, withLengthBound, withStringAt, withStrings } from './arrange';
import { numberStrings } from './layout/assignInputs';
import { withFleet } from './layout/fleet';
import { legalLayout } from './layout/legalLayout';
import { LAYOUT_MOST_UNITS } from './layout/size';
import type { StringsDesign } from './part';
import { dcCableSchema, energyInputsSchema, lockSchema } from './part';

const edit = editOn<StringsDesign>();

/** What may be changed on the string side. */
export const stringsEdits = [
  edit('lay-out', {}, (d) => {
    const { strings, missing } = legalLayout(d);
    if (missing.length) throw new RangeError(`The layout needs ${missing.join(', ')} first`);
    return withStrings(d, strings);
  }),
  edit('strings', { strings: z.array(pvStringSchema).max(5000) }, (d, { strings }) =>
    withStrings(d, strings.map(withLengthBound)),
  ),
  edit('number-strings', {}, (d) =>
    withStrings(
      d,
      numberStrings(
        d.strings,
        d.inverters.map((u) => u.id),
      ),
    ),
  ),
  edit('dc-cable', { dcCable: dcCableSchema }, (d, { dcCable }) => ({ ...d, dcCable })),
  edit('energy', { energy: energyInputsSchema }, (d, { energy }) => ({ ...d, energy })),
  edit('lock', { lock: lockSchema }, (d, { lock }) => ({
    ...d,
    locks: [...d.locks.filter((l) => !sameLock(l, lock)), remembering(lock, d.strings)],
  })),
  edit('unlock', { lock: lockSchema }, (d, { lock }) => ({ ...d, locks: d.locks.filter((l) => !sameLock(l, lock)) })),
  edit(
    'fleet',
    {
      units: z
        .array(z.object({ type: inverterTypeSchema, count: z.number().int().min(1).max(LAYOUT_MOST_UNITS) }))
        .max(6),
    },
    (d, fleet) => withFleet(d, fleet),
  ),
  edit('hang-string', { stringId: partId, place: placeSchema.nullable() }, (d, { stringId, place }) =>
    withStringAt(d, stringId, place),
  ),
  edit('string', { string: pvStringSchema }, (d, { string }) =>
    withStrings(d, replaced(d.strings, withLengthBound(string))),
  ),
  edit('remove-string', { stringId: partId }, (d, { stringId }) =>
    withStrings(
      d,
      d.strings.filter((s) => s.id !== stringId),
    ),
  ),
] as const;
