import { z } from 'zod';
import { inverterTypeSchema } from '../equipment/inverterType';
import { editOn } from '../kernel/discipline';
import { replaced } from '../kernel/lists';
import { partId } from '../kernel/schema';
import { lineOf } from '../site/line';
import { placeSchema, pvStringSchema } from '../site/parts';
import { remembering, sameLock, withLengthBound, withStringAt, withStrings } from './arrange';
import { numberStrings } from './layout/assignInputs';
import { withFleet } from './layout/fleet';
import { legalLayout } from './layout/legalLayout';
import { LAYOUT_MOST_UNITS } from './layout/size';
import type { StringsDesign } from './part';
import { dcCableSchema, energyInputsSchema, lockSchema } from './part';

const edit = editOn<StringsDesign>();
const called = (d: StringsDesign, stringId: string): string =>
  `string ${lineOf(d).string(stringId)?.string.number ?? stringId}`;

/** What may be changed on the string side. */
export const stringsEdits = [
  edit(
    'lay-out',
    {},
    () => 'the layout of all planes',
    (d) => {
      const { strings, missing } = legalLayout(d);
      if (missing.length) throw new RangeError(`The layout needs ${missing.join(', ')} first`);
      return withStrings(d, strings);
    },
  ),
  edit(
    'strings',
    { strings: z.array(pvStringSchema).max(5000) },
    (_, { strings }) => `${strings.length} strings at once`,
    (d, { strings }) => withStrings(d, strings.map(withLengthBound)),
  ),
  edit(
    'number-strings',
    {},
    () => 'the numbers of the strings',
    (d) =>
      withStrings(
        d,
        numberStrings(
          d.strings,
          d.inverters.map((u) => u.id),
        ),
      ),
  ),
  edit(
    'dc-cable',
    { dcCable: dcCableSchema },
    () => 'the DC cable',
    (d, { dcCable }) => ({ ...d, dcCable }),
  ),
  edit(
    'energy',
    { energy: energyInputsSchema },
    () => 'what the year is computed from',
    (d, { energy }) => ({ ...d, energy }),
  ),
  edit(
    'lock',
    { lock: lockSchema },
    () => 'a lock or wish',
    (d, { lock }) => ({
      ...d,
      locks: [...d.locks.filter((l) => !sameLock(l, lock)), remembering(lock, d.strings)],
    }),
  ),
  edit(
    'unlock',
    { lock: lockSchema },
    () => 'a lock or wish released',
    (d, { lock }) => ({ ...d, locks: d.locks.filter((l) => !sameLock(l, lock)) }),
  ),
  edit(
    'fleet',
    {
      units: z
        .array(z.object({ type: inverterTypeSchema, count: z.number().int().min(1).max(LAYOUT_MOST_UNITS) }))
        .max(6),
    },
    (_, { units }) => `${units.reduce((sum, u) => sum + u.count, 0)} inverters at once`,
    (d, fleet) => withFleet(d, fleet),
  ),
  edit(
    'hang-string',
    { stringId: partId, place: placeSchema.nullable() },
    (d, { stringId, place }) =>
      `${called(d, stringId)} ${place ? `to ${lineOf(d).tag(place.inverterId)} tracker ${place.tracker}` : 'off its input'}`,
    (d, { stringId, place }) => withStringAt(d, stringId, place),
  ),
  edit(
    'string',
    { string: pvStringSchema },
    (_, { string }) => `string ${string.number}`,
    (d, { string }) => withStrings(d, replaced(d.strings, withLengthBound(string))),
  ),
  edit(
    'remove-string',
    { stringId: partId },
    (d, { stringId }) => `${called(d, stringId)} removed`,
    (d, { stringId }) =>
      withStrings(
        d,
        d.strings.filter((s) => s.id !== stringId),
      ),
  ),
] as const;
