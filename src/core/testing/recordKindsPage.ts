import { z } from 'zod';
import { withArticle } from '../kernel/words';
import type { EntryOf, EntrySubject, Scope } from '../proving/entry';
import { evidence } from '../proving/evidence';
import type { AnyKind, EntryForm } from '../proving/kind';
import { KINDS } from '../proving/kinds';
import { Crew, healthy } from './crew';
import { twoUnits } from './handedOver';

/** Every kind of record as a page of Markdown, made from the kinds themselves on a made-up site of two units. */

const PART: Readonly<Record<Scope, EntrySubject>> = {
  site: { scope: 'site', id: 'site' },
  inverter: { scope: 'inverter', id: 'inv-1' },
  string: { scope: 'string', id: 's-1' },
};
/** Values of kinds that measure nothing. */
const SAID: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  acceptance: { gate: 'I-ACIR', entryId: '01969a00-0000-7000-8000-000000000001' },
  gate: { gate: 'S-DOC', result: 'pass', evidence: 'single-line, data sheets, grid code letter' },
  happening: { what: 'joint opened', seen: 'L2 found loose' },
  older: { kind: 'torque', said: '25 N·m on five joints' },
  'open-point': {
    text: 'label of the stop is missing',
    severity: 'safety',
    owner: 'Ada',
    due: '2026-06-01',
    closed: false,
  },
  signature: { statement: 'Taken over as built.' },
  step: { order: '1', state: 'AC_CLOSED', readings: {}, waitedS: 0, restarts: 0, seen: 'breaker on' },
  waiver: { gate: 'I-ADDR', entryId: null, reviewDays: 30 },
  work: { gate: 'I-TORQ', doing: 'begins' },
};

function valuesOf(kind: AnyKind, subject: EntrySubject): Readonly<Record<string, unknown>> {
  const said = SAID[kind.kind];
  return kind.values.parse(said ?? healthy(kind.kind, twoUnits, subject));
}

interface Property {
  readonly description?: string;
  readonly unit?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly enum?: readonly unknown[];
  readonly type?: string;
  readonly anyOf?: readonly Property[];
}

function fieldRows({ schema, blank, groups }: EntryForm): string[] {
  const { properties = {} } = z.toJSONSchema(schema, { io: 'input' }) as {
    properties?: Readonly<Record<string, Property>>;
  };
  return groups.flatMap(({ title, paths }) =>
    paths.map((path) => {
      const outer = properties[path] ?? {};
      const of = outer.anyOf?.[0] ?? outer;
      const range =
        of.minimum !== undefined ? `${of.minimum} to ${of.maximum}` : (of.enum?.join(', ') ?? of.type ?? 'text');
      const left = blank[path];
      return `| ${title || '–'} | ${of.description ?? outer.description ?? path} | ${of.unit || '–'} | ${range} | ${left === null || left === undefined || left === '' ? 'empty' : String(left)} |`;
    }),
  );
}

function formLines(kind: AnyKind, subject: EntrySubject): string[] {
  const form = kind.form?.(twoUnits, subject);
  if (!form) return [];
  return [
    '',
    ...(form.caution ? [`> ${form.caution}`, ''] : []),
    '| group | field | unit | may be | at first |',
    '|---|---|---|---|---|',
    ...fieldRows(form),
  ];
}

function exampleLines(kind: AnyKind, subject: EntrySubject): string[] {
  const values = valuesOf(kind, subject);
  const crew = new Crew(twoUnits);
  const entry = crew.add(kind.kind, subject, values, { reason: 'said for the page' }) as EntryOf<string, typeof values>;
  const released = [{ letter: 'A', atMs: 0, design: twoUnits }];
  const { checks, says } = evidence({ releases: released, entries: crew.entries }, crew.nowMs).judgement(entry);
  const measured = kind.measured?.(values) ?? [];
  return [
    '',
    `Example: ${kind.line(values)}`,
    ...(measured.length
      ? [
          '',
          `Held against the ranges of the instrument: ${measured.map((m) => `${m.of} ${m.value} (\`${m.path}\`)`).join(', ')}.`,
        ]
      : []),
    ...(checks.length ? ['', `Asks: ${[...new Set(checks.map((c) => `\`${c.id}\``))].join(', ')}.`] : []),
    ...(says.length ? ['', `Says: ${says.map((s) => `${s.gate} ${s.result ?? 'nothing'}`).join(', ')}.`] : []),
    ...(kind.printed
      ? [
          '',
          `Printed under “${kind.printed.title}”:`,
          '',
          `| ${kind.printed.columns.map((c) => c.title).join(' | ')} |`,
          `|${kind.printed.columns.map((c) => (c.right ? '---:' : '---')).join('|')}|`,
          `| ${kind.printed.row(values).join(' | ')} |`,
          '',
          `Shares of the row: ${kind.printed.columns.map((c) => c.share).join(', ')}.`,
        ]
      : []),
  ];
}

function kindLines(kind: AnyKind): string[] {
  const facts = [
    kind.gates.length ? `closes ${kind.gates.join(', ')}` : 'closes nothing by itself',
    ...(kind.opens ? [`withdraws ${kind.opens.join(', ')} where it fails`] : []),
    kind.instrument ? `measured with ${kind.instrument.map(withArticle).join(' or ')}` : 'without an instrument',
    ...(kind.signer ? [`made by ${withArticle(kind.signer)}`] : []),
    kind.correctable ? 'may be put right' : 'is never put right',
  ];
  // Scopes at which it looks the same stand together.
  const bodies = new Map<string, Scope[]>();
  for (const scope of kind.scopes) {
    const body = [...formLines(kind, PART[scope]), ...exampleLines(kind, PART[scope])].join('\n');
    bodies.set(body, [...(bodies.get(body) ?? []), scope]);
  }
  return [
    '',
    `## ${kind.title}`,
    '',
    `\`${kind.kind}\`: ${facts.join('; ')}.`,
    ...[...bodies].flatMap(([body, scopes]) => ['', `At ${scopes.map(withArticle).join(', ')}:`, body]),
  ];
}

export const recordKindsPage = (): string =>
  [
    '# Kinds of record',
    '',
    `Every kind of entry a crew can make, ${KINDS.length} of them, made from the kinds themselves by \`./yard rules\`, with healthy values of a`,
    'made-up site.',
    ...KINDS.flatMap(kindLines),
    '',
  ].join('\n');
