import { USUAL_ORDER } from '$core/proving/energise';
import type { RecordOf } from '$core/proving/record';
import type { HandOver } from '../../services/handOver';
import type { Sheets } from '../pdf';
import { tagOf, when } from './words';

/** AC voltages, insulation of runs, and the steps of switching on. */
export function unitTestsPage(sheets: Sheets, h: HandOver): void {
  const ac = h.judged.filter(
    (j): j is typeof j & { record: RecordOf<'ac-voltages'> } => j.record.kind === 'ac-voltages',
  );
  sheets.heading('AC voltages at rest').table(
    [
      { title: 'Unit', share: 1 },
      { title: 'L1-L2', share: 0.9, right: true },
      { title: 'L2-L3', share: 0.9, right: true },
      { title: 'L3-L1', share: 0.9, right: true },
      { title: 'Frequency', share: 1, right: true },
      { title: 'Rotation', share: 1.1 },
      { title: 'Verdict', share: 0.9 },
      { title: 'By, instrument', share: 2.4 },
      { title: 'When', share: 1.5 },
    ],
    ac.map((j) => [
      tagOf(h, j.record.subject.id),
      `${j.record.values.l12V} V`,
      `${j.record.values.l23V} V`,
      `${j.record.values.l31V} V`,
      `${j.record.values.frequencyHz} Hz`,
      j.record.values.rotation,
      j.verdict,
      `${j.record.by}, ${j.record.instrument?.serial ?? ''}`,
      when(j.record.doneAt),
    ]),
    'No AC voltages are measured yet.',
  );
  const runs = h.judged.filter(
    (j): j is typeof j & { record: RecordOf<'insulation'> } =>
      j.record.kind === 'insulation' && j.record.subject.scope === 'inverter',
  );
  sheets.heading('Insulation of AC runs').table(
    [
      { title: 'Unit', share: 1 },
      { title: 'Reading', share: 1.2, right: true },
      { title: 'Test voltage', share: 1, right: true },
      { title: 'Verdict', share: 1 },
      { title: 'By, instrument', share: 2.4 },
      { title: 'When', share: 1.5 },
    ],
    runs.map((j) => [
      tagOf(h, j.record.subject.id),
      `${j.record.values.megohm} MΩ`,
      `${j.record.values.testV} V`,
      j.verdict,
      `${j.record.by}, ${j.record.instrument?.serial ?? ''}`,
      when(j.record.doneAt),
    ]),
    'No AC run is tested yet.',
  );
  const steps = h.judged.filter((j): j is typeof j & { record: RecordOf<'energise'> } => j.record.kind === 'energise');
  sheets.heading('Switching on, in the usual order').table(
    [
      { title: 'Unit', share: 1 },
      ...USUAL_ORDER.map((o) => ({ title: o.state.replaceAll('_', ' ').toLowerCase(), share: 1 })),
    ],
    h.design.inverters.map((i) => [
      i.tag,
      ...USUAL_ORDER.map((o) => {
        const done = steps.find((j) => j.record.subject.id === i.id && j.record.values.state === o.state);
        return done
          ? `${when(done.record.doneAt).slice(5)}${done.record.values.reading === null ? '' : ` · ${done.record.values.reading}`}`
          : '–';
      }),
    ]),
  );
}

/** Who signed for what. */
export function signaturesPage(sheets: Sheets, h: HandOver): void {
  sheets.heading('Signatures').table(
    [
      { title: 'Part', share: 1 },
      { title: 'Statement', share: 3 },
      { title: 'Name and role', share: 1.6 },
      { title: 'Instrument', share: 1.6 },
      { title: 'When', share: 1.4 },
    ],
    h.signatures.map((r) => [
      tagOf(h, r.subject.id),
      r.values.statement,
      `${r.by}, ${r.role}`,
      r.instrument ? `${r.instrument.name} ${r.instrument.serial}` : '–',
      when(r.doneAt),
    ]),
    'Nobody has signed yet.',
  );
}
