import { z } from 'zod';
import { suggestRun } from './ac/run';
import { inverterTypeSchema } from './equipment/inverterType';
import { moduleTypeSchema } from './equipment/moduleType';
import { partId } from './kernel/schema';
import {
  inverterTypesById,
  withChainDevice,
  withChainNumbered,
  withChainOrder,
  withInverter,
  withInverterType,
  withModuleType,
  withPlane,
  withRun,
  withStringAt,
  withStrings,
  withoutInverter,
  withoutPlane,
} from './site/edits';
import type { SiteDesign } from './site/siteDesign';
import {
  acRunSchema,
  boardSchema,
  chainDeviceSchema,
  chainSchema,
  placeSchema,
  planeSchema,
  pvStringSchema,
  siteInverterSchema,
  surveySchema,
} from './site/siteDesign';
import { dcCableSchema, energyInputsSchema, lockSchema } from './site/dcSide';
import type { Lock } from './site/dcSide';
import { withFleet } from './strings/layout/fleet';
import { layoutStrings } from './strings/layout/lay';
import { numberStrings } from './strings/layout/place';

/** Every change a person or a program can make to a design, as data: one shape for screens, server and API. */
export const designEditSchema = z
  .discriminatedUnion('kind', [
    z.object({ kind: z.literal('survey'), survey: surveySchema }),
    z.object({ kind: z.literal('board'), board: boardSchema }),
    z.object({ kind: z.literal('module-type'), type: moduleTypeSchema }),
    z.object({ kind: z.literal('inverter-type'), type: inverterTypeSchema }),
    z.object({ kind: z.literal('plane'), plane: planeSchema }),
    z.object({ kind: z.literal('remove-plane'), planeId: partId }),
    z.object({ kind: z.literal('inverter'), inverter: siteInverterSchema }),
    z.object({ kind: z.literal('remove-inverter'), inverterId: partId }),
    z.object({ kind: z.literal('lay-out') }),
    z.object({ kind: z.literal('strings'), strings: z.array(pvStringSchema).max(5000) }),
    z.object({ kind: z.literal('number-strings') }),
    z.object({ kind: z.literal('dc-cable'), dcCable: dcCableSchema }),
    z.object({ kind: z.literal('energy'), energy: energyInputsSchema }),
    z.object({ kind: z.literal('lock'), lock: lockSchema }),
    z.object({ kind: z.literal('unlock'), lock: lockSchema }),
    z.object({
      kind: z.literal('fleet'),
      units: z.array(z.object({ type: inverterTypeSchema, count: z.number().int().min(1).max(60) })).max(6),
    }),
    z.object({ kind: z.literal('hang-string'), stringId: partId, place: placeSchema.nullable() }),
    z.object({ kind: z.literal('string'), string: pvStringSchema }),
    z.object({ kind: z.literal('remove-string'), stringId: partId }),
    z.object({ kind: z.literal('run'), run: acRunSchema }),
    z.object({ kind: z.literal('suggest-run'), inverterId: partId }),
    z.object({ kind: z.literal('bit-rate'), bitRate: chainSchema.shape.bitRate }),
    z.object({ kind: z.literal('chain-order'), ids: z.array(partId).max(300) }),
    z.object({ kind: z.literal('chain-device'), device: chainDeviceSchema }),
    z.object({ kind: z.literal('remove-chain-device'), deviceId: partId }),
    z.object({ kind: z.literal('number-chain') }),
  ])
  .meta({ id: 'DesignEdit' });

export type DesignEdit = z.infer<typeof designEditSchema>;

/** Applies an edit. Throws RangeError where the edit names a part that the design does not have, or cannot be computed yet. */
export function applyEdit(d: SiteDesign, edit: DesignEdit): SiteDesign {
  switch (edit.kind) {
    case 'survey':
      return { ...d, survey: edit.survey };
    case 'board':
      return { ...d, board: edit.board };
    case 'module-type':
      return withModuleType(d, edit.type);
    case 'inverter-type':
      return withInverterType(d, edit.type);
    case 'plane':
      return withPlane(d, edit.plane);
    case 'remove-plane':
      return withoutPlane(d, edit.planeId);
    case 'inverter':
      return withInverter(d, edit.inverter);
    case 'remove-inverter':
      return withoutInverter(d, edit.inverterId);
    case 'lay-out':
      return laidOut(d);
    case 'strings':
      return withStrings(d, edit.strings);
    case 'number-strings':
      return withStrings(
        d,
        numberStrings(
          d.strings,
          d.inverters.map((i) => i.id),
        ),
      );
    case 'dc-cable':
      return { ...d, dcCable: edit.dcCable };
    case 'energy':
      return { ...d, energy: edit.energy };
    case 'lock':
      return { ...d, locks: [...d.locks.filter((l) => !sameLock(l, edit.lock)), edit.lock] };
    case 'unlock':
      return { ...d, locks: d.locks.filter((l) => !sameLock(l, edit.lock)) };
    case 'fleet':
      return withFleet(d, edit);
    case 'hang-string':
      return withStringAt(d, edit.stringId, edit.place);
    case 'string':
      return withStrings(
        d,
        d.strings.some((s) => s.id === edit.string.id)
          ? d.strings.map((s) => (s.id === edit.string.id ? edit.string : s))
          : [...d.strings, edit.string],
      );
    case 'remove-string':
      return withStrings(
        d,
        d.strings.filter((s) => s.id !== edit.stringId),
      );
    case 'run':
      return withRun(d, edit.run);
    case 'suggest-run':
      return suggested(d, edit.inverterId);
    case 'bit-rate':
      return { ...d, chain: { ...d.chain, bitRate: edit.bitRate } };
    case 'chain-order':
      return withChainOrder(d, edit.ids);
    case 'chain-device':
      return withChainDevice(d, edit.device);
    case 'remove-chain-device':
      return { ...d, chain: { ...d.chain, devices: d.chain.devices.filter((c) => c.id !== edit.deviceId) } };
    case 'number-chain':
      return withChainNumbered(d);
  }
}

/** Two locks on the same thing: the later one takes the place of the earlier. */
function sameLock(a: Lock, b: Lock): boolean {
  const key = (l: Lock) =>
    [l.kind, 'stringId' in l && l.stringId, 'planeId' in l && l.planeId, 'inverterId' in l && l.inverterId].join('|');
  return key(a) === key(b);
}

function laidOut(d: SiteDesign): SiteDesign {
  const { strings, missing } = layoutStrings(d);
  if (missing.length) throw new RangeError(`The layout needs ${missing.join(', ')} first`);
  return withStrings(d, strings);
}

function suggested(d: SiteDesign, inverterId: string): SiteDesign {
  const unit = d.inverters.find((i) => i.id === inverterId);
  const type = unit && inverterTypesById(d).get(unit.typeId);
  const run = d.runs.find((r) => r.inverterId === inverterId);
  if (!unit || !type || !run) throw new RangeError(`inverterId must name an inverter with a run (got ${inverterId})`);
  const s = suggestRun(run, unit, type, d.survey);
  if ('missing' in s) throw new RangeError(`A suggestion for ${unit.tag} needs ${s.missing.join(', ')} first`);
  return withRun(d, s.run);
}
