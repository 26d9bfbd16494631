import { z } from 'zod';
import { partId, quantity } from '../kernel/schema';
import { GATE_TABLE } from './gates/table';
import { ENERGISE_ORDER_1 } from './tables/energiseOrder';

/** What happened on site. Append only: a correction is a new entry that points at the old one. */

const enumOf = <T extends string>(values: readonly T[]) => z.enum(values as [T, ...T[]]);

const instrumentSchema = z.object({
  name: z.string().trim().min(1, 'Name the instrument.').max(60),
  serial: z.string().trim().min(1, 'Enter its serial number.').max(60),
  calibratedUntil: z.iso.date('Enter the calibration date as YYYY-MM-DD.'),
});

const subjectSchema = z.discriminatedUnion('scope', [
  z.object({ scope: z.literal('site'), id: z.literal('site') }),
  z.object({ scope: z.literal('inverter'), id: partId }),
  z.object({ scope: z.literal('string'), id: partId }),
]);

const common = {
  /** Made where the entry is made (UUIDv7), so that sending it twice does not double it. */
  id: z.uuid('A record needs an id of its own (UUID).'),
  subject: subjectSchema,
  doneAt: z.iso.datetime({ offset: true, error: 'Give date and time with the offset, as 2026-05-04T10:15:00+02:00.' }),
  by: z.string().trim().min(1, 'Say who did it.').max(80),
  role: enumOf(['designer', 'lead', 'electrician', 'helper', 'reader'] as const),
  instrument: instrumentSchema.nullable(),
  /** Letter of the released design that the crew built from. */
  release: z.string().regex(/^[A-Z]{1,2}$/, 'A released design has a letter.'),
  corrects: z.uuid().nullable(),
  reason: z.string().trim().max(400).nullable(),
};

const gateId = enumOf(GATE_TABLE.map((g) => g.id));
const lineV = (pair: string) => quantity(0, 1500, 'V', pair);
const phaseV = (phase: string) => quantity(0, 1000, 'V', `${phase} to N, or PE without N`).nullable();

export const RECORD_VALUES = {
  gate: z.object({
    gate: gateId,
    result: enumOf(['pass', 'fail', 'accepted', 'reopened'] as const),
    evidence: z.string().trim().min(3, 'Say what was seen or measured.').max(600),
  }),
  'string-test': z.object({
    voltageV: quantity(-2000, 3000, 'V', 'Open-circuit voltage, negative when reversed'),
    cellC: quantity(-40, 110, '°C', 'Cell temperature'),
    irradianceWm2: quantity(100, 1600, 'W/m²', 'Irradiance in the plane; under 100 it is too dark to judge'),
    currentA: quantity(-100, 100, 'A', 'Current').nullable(),
  }),
  insulation: z.object({
    testV: quantity(50, 5000, 'V', 'Test voltage'),
    megohm: quantity(0, 1e5, 'MΩ', 'Resistance'),
    seconds: quantity(1, 3600, 's', 'Duration'),
  }),
  'ac-voltages': z.object({
    l12V: lineV('L1–L2'),
    l23V: lineV('L2–L3'),
    l31V: lineV('L3–L1'),
    l1V: phaseV('L1'),
    l2V: phaseV('L2'),
    l3V: phaseV('L3'),
    frequencyHz: quantity(40, 70, 'Hz', 'Frequency'),
    rotation: enumOf(['L1-L2-L3', 'reversed'] as const),
  }),
  torque: z.object({
    appliedNm: quantity(0.1, 400, 'N·m', 'Applied torque'),
    joints: quantity(1, 60, 'joints', 'Joints done').int(),
    witnessMarks: z.boolean(),
  }),
  energise: z.object({
    state: enumOf(ENERGISE_ORDER_1.map((s) => s.state)),
    reading: z.number().min(-1e6).max(1e6).nullable(),
    seen: z.string().trim().min(3, 'Say what was seen.').max(400),
  }),
  waiver: z.object({ gate: gateId, reviewDays: quantity(1, 90, 'days', 'Review within').int() }),
  'open-point': z.object({
    text: z.string().trim().min(3, 'Describe the open point.').max(400),
    severity: enumOf(['safety', 'work', 'cosmetic'] as const),
    owner: z.string().trim().min(1, 'Who closes it?').max(80),
    due: z.iso.date().nullable(),
    closed: z.boolean(),
  }),
  signature: z.object({ statement: z.string().trim().min(3).max(600) }),
} as const;

export type RecordKind = keyof typeof RECORD_VALUES;

const entry = <K extends RecordKind>(kind: K) =>
  z.object({ ...common, kind: z.literal(kind), values: RECORD_VALUES[kind] });

export const recordSchema = z
  .discriminatedUnion('kind', [
    entry('gate'),
    entry('string-test'),
    entry('insulation'),
    entry('ac-voltages'),
    entry('torque'),
    entry('energise'),
    entry('waiver'),
    entry('open-point'),
    entry('signature'),
  ])
  .superRefine((r, ctx) => {
    const say = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (r.corrects !== null && !r.reason) say('reason', 'A correction needs a reason.');
    if (r.kind === 'waiver' && (r.reason ?? '').length < 15)
      say('reason', 'A waiver needs a reason of at least 15 characters.');
    if (MEASURED.has(r.kind) && r.instrument === null) say('instrument', 'A measurement needs its instrument.');
    if (r.kind === 'string-test' && r.subject.scope !== 'string') say('subject', 'A string test belongs to a string.');
    if (['ac-voltages', 'torque', 'energise'].includes(r.kind) && r.subject.scope !== 'inverter')
      say('subject', `${r.kind} belongs to an inverter.`);
    if (r.kind === 'insulation' && r.subject.scope === 'site')
      say('subject', 'An insulation test belongs to a string or an inverter.');
  })
  .meta({ id: 'SiteRecord' });

export type SiteRecord = z.infer<typeof recordSchema>;
export type Instrument = z.infer<typeof instrumentSchema>;
export type RecordOf<K extends RecordKind> = Extract<SiteRecord, { kind: K }>;

/** Kinds that carry a reading of an instrument. */
const MEASURED: ReadonlySet<RecordKind> = new Set<RecordKind>(['string-test', 'insulation', 'ac-voltages', 'torque']);

/** In the order in which they were done; equal times by id. */
export function inOrder<T extends { doneAt: string; id: string }>(records: readonly T[]): T[] {
  return [...records].sort((a, b) => Date.parse(a.doneAt) - Date.parse(b.doneAt) || (a.id < b.id ? -1 : 1));
}

/** Records that nothing corrects. */
export function liveRecords(records: readonly SiteRecord[]): SiteRecord[] {
  const corrected = new Set(records.flatMap((r) => (r.corrects ? [r.corrects] : [])));
  return inOrder(records.filter((r) => !corrected.has(r.id)));
}

/** Why a correction cannot stand; null when it can. It must name an entry before it, of the same kind and subject, not corrected yet. */
export function correctionTrouble(record: SiteRecord, earlier: readonly SiteRecord[]): string | null {
  if (record.corrects === null) return null;
  const target = earlier.find((r) => r.id === record.corrects);
  if (!target) return 'The entry to correct is not on record here.';
  if (target.kind !== record.kind) return `A ${record.kind} entry cannot correct a ${target.kind} entry.`;
  if (target.subject.scope !== record.subject.scope || target.subject.id !== record.subject.id)
    return 'A correction belongs to the same part of the site.';
  return earlier.some((r) => r.corrects === target.id)
    ? 'That entry has been corrected already: correct the newer one.'
    : null;
}
