import { cableWords } from '$core/ac/cableWords';
import type { Lug } from '$core/conductor/school';
import { fixed } from '$core/kernel/quantity';
import type { HandOver } from '../../services/handOver';
import type { Sheets } from '../pdf';
import { known } from './words';

const lugWords = (lug: Lug | null) => (lug ? `${lug.sectionMm2}-M${lug.studM}` : '–');

/** Every AC run from stud to board. */
export function acSchedulePage(sheets: Sheets, h: HandOver): void {
  sheets.heading(`AC schedule: runs to ${h.design.board.label}`).table(
    [
      { title: 'Run', share: 1 },
      { title: 'I_b', share: 0.9, right: true },
      { title: 'Breaker', share: 0.9, right: true },
      { title: 'Cable', share: 2.3 },
      { title: 'Method', share: 0.8 },
      { title: 'Length', share: 0.9, right: true },
      { title: 'I_z', share: 0.9, right: true },
      { title: 'Rise', share: 0.9, right: true },
      { title: 'PE', share: 1, right: true },
      { title: 'Earth', share: 1, right: true },
      { title: 'Lug', share: 1 },
    ],
    h.runs.map((r) => [
      r.inverter.tag,
      `${fixed(r.designCurrent.currentA, 1)} A`,
      known(r.run.breakerA, 'A'),
      cableWords(r),
      r.run.method ?? 'not known',
      known(r.lengthM, 'm'),
      known(r.ampacity.value?.izA ?? null, 'A'),
      known(r.rise.value?.percent ?? null, '%'),
      known(r.run.peMm2, 'mm²'),
      known(r.run.externalEarthMm2, 'mm²'),
      lugWords(r.lug.value),
    ]),
  );
}

/** Target of the studs, and what was applied. */
export function torquePage(sheets: Sheets, h: HandOver): void {
  const applied = new Map(
    h.judged.flatMap((j) =>
      j.record.kind === 'torque'
        ? [[j.record.subject.id, { values: j.record.values, verdict: j.verdict, by: j.record }] as const]
        : [],
    ),
  );
  sheets.heading('Torque targets and record').table(
    [
      { title: 'Unit', share: 1 },
      { title: 'Stud', share: 0.7 },
      { title: 'Target', share: 1.3 },
      { title: 'Origin', share: 2.4 },
      { title: 'Applied', share: 1.2 },
      { title: 'Verdict', share: 0.9 },
      { title: 'Who, tool', share: 2.4 },
    ],
    h.runs.map((r) => {
      const done = applied.get(r.inverter.id);
      return [
        r.inverter.tag,
        `M${r.type.bay.studM}`,
        r.torque ? `${r.torque.lowNm}–${r.torque.highNm} N·m` : 'not known',
        r.torque?.source ?? '–',
        done ? `${done.values.appliedNm} N·m × ${done.values.joints}` : 'not recorded',
        done?.verdict ?? '–',
        done ? `${done.by.by}, ${done.by.instrument?.name ?? ''} ${done.by.instrument?.serial ?? ''}` : '–',
      ];
    }),
  );
}
