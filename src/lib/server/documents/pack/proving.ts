import { KINDS, kindOf } from '$core/proving/kinds';
import { STEP } from '$core/proving/kinds/step';
import { ORDER_TITLES, stepsOf } from '$core/proving/tables/energiseOrders';
import type { HandOver } from '../../services/handOver';
import type { Sheets } from '../pdf';
import { tagOf, when } from './words';

/** Kinds whose readings have a page of their own. */
const ELSEWHERE = ['string-test', 'dc-insulation'];

/** Every kind of measurement with a table of its own, and the steps of switching on. */
export function unitTestsPage(sheets: Sheets, h: HandOver): void {
  for (const kind of KINDS) {
    const { printed } = kind;
    const rows = h.judged.filter((j) => j.record.kind === kind.kind);
    if (!printed || ELSEWHERE.includes(kind.kind) || rows.length === 0) continue;
    sheets.heading(printed.title).table(
      [
        { title: 'Part', share: 1.1 },
        ...printed.columns,
        { title: 'Verdict', share: 0.9 },
        { title: 'By, instrument', share: 2.2 },
        { title: 'When', share: 1.5 },
      ],
      rows.map(({ record, verdict, why }) => [
        tagOf(h, record.subject.id),
        ...printed.row(record.values),
        why ? 'no proof' : verdict,
        `${record.by}, ${record.instrument?.serial ?? ''}`,
        when(record.doneAt),
      ]),
    );
  }
  const steps = h.judged.flatMap((j) => (STEP.is(j.record) && j.why === null ? [j.record] : []));
  const order = stepsOf('1');
  sheets.heading(`Switching on: ${ORDER_TITLES['1']}`).table(
    [
      { title: 'Unit', share: 1 },
      ...order.map((o) => ({ title: o.state.replaceAll('_', ' ').toLowerCase(), share: 1 })),
    ],
    h.design.inverters.map((i) => [
      i.tag,
      ...order.map((o) => {
        const done = steps.filter((r) => r.subject.id === i.id && r.values.state === o.state).at(-1);
        return done ? when(done.doneAt).slice(5) : '–';
      }),
    ]),
  );
  if (h.switchOff.length)
    sheets
      .heading('Switch off until proved')
      .list(h.switchOff.map(({ unit, why }) => `${tagOf(h, unit)}: ${why.slice(0, 4).join('; ')}`));
}

/** Who signed for what, what does not count, and whether the record is as it was written. */
export function signaturesPage(sheets: Sheets, h: HandOver): void {
  sheets.heading('Signatures').table(
    [
      { title: 'Part', share: 1 },
      { title: 'Statement', share: 3 },
      { title: 'Name and role', share: 1.6 },
      { title: 'When', share: 1.4 },
    ],
    h.signatures.map((r) => [tagOf(h, r.subject.id), r.values.statement, `${r.by}, ${r.role}`, when(r.doneAt)]),
    'Nobody has signed yet.',
  );
  if (h.uncounted.length)
    sheets.heading('Entries that prove nothing').table(
      [
        { title: 'Part', share: 1 },
        { title: 'Entry', share: 3 },
        { title: 'Why', share: 3 },
        { title: 'By, when', share: 2 },
      ],
      h.uncounted.map(({ record, why }) => [
        tagOf(h, record.subject.id),
        kindOf(record).line(record.values),
        why,
        `${record.by}, ${record.role}, ${when(record.doneAt)}`,
      ]),
    );
  const { entries, unchained, broken } = h.chain;
  sheets
    .heading('The record as it was written')
    .paragraph(
      broken.length
        ? `The chain of hashes over ${entries} entries is broken: ${broken.join('; ')}.`
        : `${entries} entries, each chained to the one before (SHA-256): none altered, removed or moved.${unchained ? ` ${unchained} of them are older than the chain.` : ''}`,
    );
}
