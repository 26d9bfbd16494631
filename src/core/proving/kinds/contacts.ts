import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { RIPPLE_PERCENT } from '../../links/contacts/truth';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { CONTACTS } from '../readings/contactReading';
import { PROVING_RULES as RULES } from '../rules';

const LOGICS = ['normally closed', 'normally open'] as const;
const seconds = quantity(0, 3600, 's', 'From the far end to the action');
const mostS = quantity(0.1, 3600, 's', 'Time allowed by operator or sheet');
const percent = z.literal(RIPPLE_PERCENT);
const beforeKw = quantity(0, 1000, 'kW', 'Power before the step');
const powerKw = quantity(0, 1000, 'kW', 'Power at the step');
const values = z
  .object({
    contacts: z
      .array(
        z.object({
          contact: enumOf(CONTACTS),
          logic: enumOf(LOGICS),
          supervised: z.boolean(),
          acted: z.boolean(),
          seconds,
          mostS,
        }),
      )
      .min(1, 'Work one contact at least.')
      .max(CONTACTS.length)
      .refine((c) => new Set(c.map((x) => x.contact)).size === c.length, 'Every contact stands once.'),
    /** Of these nothing is to be worked. */
    notWired: z.array(enumOf(CONTACTS)).max(CONTACTS.length).default([]),
    /** Steps of the ripple control as they were worked, and those that are not wired. */
    ripple: z
      .array(z.object({ percent, beforeKw, powerKw, seconds }))
      .max(RIPPLE_PERCENT.length)
      .refine((c) => new Set(c.map((x) => x.percent)).size === c.length, 'Every step stands once.')
      .default([]),
    rippleNotWired: z.array(percent).max(RIPPLE_PERCENT.length).default([]),
  })
  .refine((v) => !v.contacts.some((c) => v.notWired.includes(c.contact)), {
    path: ['notWired'],
    message: 'A contact that was worked is wired.',
  })
  .refine((v) => !v.ripple.some((s) => v.rippleNotWired.includes(s.percent)), {
    path: ['rippleNotWired'],
    message: 'A step that was worked is wired.',
  });

const key = (i: number, field: string) => `${field}${i}`;
const STEP_FIELDS = ['step', 'beforeKw', 'powerKw', 'stepS'] as const;

/** Dry contacts of a unit, each worked from its far end with the action seen. */
export const CONTACTS_WORKED = kind({
  kind: 'contacts',
  title: 'Dry contacts worked',
  scopes: ['inverter'],
  values,
  instrument: ['stopwatch'],
  measured: (v) => v.contacts.map((c, i) => ({ of: 'time', value: c.seconds, path: `contacts.${i}.seconds` })),
  gates: ['I-DRY'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-DRY']);
    const where = onUnit(on, 'inverter', 'dry contacts');
    return measured(entry, day, ['I-DRY'], where, [
      ...ask(
        RULES.contactsTold,
        { worked: v.contacts.map((c) => c.contact), notWired: v.notWired, stopFitted: design.survey.stopFitted },
        where,
      ),
      ...v.contacts.flatMap((c) => ask(RULES.contacts, c, where)),
      ...(v.contacts.some((c) => c.contact === 'ripple control')
        ? ask(RULES.rippleTold, { worked: v.ripple.map((s) => s.percent), notWired: v.rippleNotWired }, where)
        : []),
      ...v.ripple.flatMap((s) => ask(RULES.ripple, { ...s, ratedKw: on.type.ratedW / 1000 }, where)),
    ]);
  },
  form: () => ({
    schema: z.object({
      ...Object.fromEntries(
        CONTACTS.flatMap((name, i) => [
          [key(i, 'fitted'), z.boolean().meta({ description: `${name} is wired` })],
          [key(i, 'logic'), enumOf(LOGICS).meta({ description: `Rest of the contact, ${name}` })],
          [key(i, 'supervised'), z.boolean().meta({ description: `Its wire is watched, ${name}` })],
          [key(i, 'acted'), z.boolean().meta({ description: `Action seen at the unit, ${name}` })],
          [key(i, 'seconds'), seconds.nullable().meta({ unit: 's', description: `To the action, ${name}` })],
          [key(i, 'mostS'), mostS.nullable().meta({ unit: 's', description: `Time allowed, ${name}` })],
        ]),
      ),
      ...Object.fromEntries(
        RIPPLE_PERCENT.flatMap((p) => [
          [
            key(p, 'step'),
            z
              .boolean()
              .nullable()
              .meta({ description: `${p} % is wired` }),
          ],
          [key(p, 'beforeKw'), beforeKw.nullable().meta({ unit: 'kW', description: `Before ${p} %` })],
          [key(p, 'powerKw'), powerKw.nullable().meta({ unit: 'kW', description: `At ${p} %` })],
          [key(p, 'stepS'), seconds.nullable().meta({ unit: 's', description: `Until at ${p} %` })],
        ]),
      ),
    }),
    blank: Object.fromEntries([
      ...CONTACTS.flatMap((name, i) => [
        // Nobody has looked yet: that it is not wired is for somebody to say.
        [key(i, 'fitted'), null],
        [key(i, 'logic'), name === 'stop' ? 'normally closed' : 'normally open'],
        [key(i, 'supervised'), false],
        [key(i, 'acted'), false],
        [key(i, 'seconds'), null],
        [key(i, 'mostS'), null],
      ]),
      ...RIPPLE_PERCENT.flatMap((p) => STEP_FIELDS.map((f) => [key(p, f), null])),
    ]),
    groups: [
      ...CONTACTS.map((name, i) => ({
        title: name,
        paths: ['fitted', 'logic', 'supervised', 'acted', 'seconds', 'mostS'].map((f) => key(i, f)),
      })),
      {
        title: 'steps of the ripple control, where it is wired',
        paths: RIPPLE_PERCENT.flatMap((p) => STEP_FIELDS.map((f) => key(p, f))),
      },
    ],
    toValues: (typed) => ({
      contacts: CONTACTS.flatMap((contact, i) =>
        typed[key(i, 'fitted')]
          ? [
              {
                contact,
                ...Object.fromEntries(
                  ['logic', 'supervised', 'acted', 'seconds', 'mostS'].map((f) => [f, typed[key(i, f)]]),
                ),
              },
            ]
          : [],
      ),
      notWired: CONTACTS.filter((_, i) => typed[key(i, 'fitted')] === false),
      ripple: RIPPLE_PERCENT.flatMap((p) =>
        typed[key(p, 'step')]
          ? [
              {
                percent: p,
                beforeKw: typed[key(p, 'beforeKw')],
                powerKw: typed[key(p, 'powerKw')],
                seconds: typed[key(p, 'stepS')],
              },
            ]
          : [],
      ),
      rippleNotWired: RIPPLE_PERCENT.filter((p) => typed[key(p, 'step')] === false),
    }),
    caution: 'A stop takes the power away, not the voltage: strings and the AC line side stay live.',
  }),
  line: (v) => v.contacts.map((c) => `${c.contact} ${c.acted ? `after ${c.seconds} s` : 'did not act'}`).join('; '),
  printed: {
    title: 'Dry contacts worked',
    columns: [{ title: 'Each from its far end', share: 4 }],
    row: (v) => [
      v.contacts
        .map((c) => `${c.contact} (${c.logic}): ${c.acted ? `${c.seconds} of ${c.mostS} s` : 'did not act'}`)
        .join('; '),
    ],
  },
});
