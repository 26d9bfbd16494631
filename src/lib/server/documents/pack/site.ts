import { fixed } from '$core/kernel/quantity';
import type { HandOver } from '../../services/handOver';
import type { Sheets } from '../pdf';
import { known, tagOf } from './words';

/** What the site is, and how it stands. */
export function sitePage(sheets: Sheets, { summary: s, design: { survey: v, equipment } }: HandOver): void {
  sheets.heading('Site').facts([
    ['Place', v.place || 'not known'],
    [
      'Latitude, longitude',
      v.latitudeDeg === null || v.longitudeDeg === null ? 'not known' : `${v.latitudeDeg}°, ${v.longitudeDeg}°`,
    ],
    ['DC power', `${fixed(s.dcKw, 1)} kWp`],
    ['AC power', `${fixed(s.acKw, 0)} kW`],
    ['Units on grid', `${s.onGrid} of ${s.units}`],
    ['Strings proved', `${s.stringsProved} of ${s.strings}`],
    ['Lowest insulation', known(s.lowestInsulationMohm, 'MΩ')],
    [
      'Worst string voltage',
      s.worstVoltagePercent === null ? 'not measured' : `${fixed(s.worstVoltagePercent, 2)} % from its reference`,
    ],
    ['Design temperatures', `${known(v.coldestC, '°C')} to ${known(v.hottestC, '°C')}`],
    ['Legal DC limit', known(v.dcLegalMaxV, 'V')],
    ['Grid', `${known(v.lineV, 'V')}, ${v.frequencyHz ?? '–'} Hz, ${v.service ?? 'supply not known'}`],
    ['Transformer', `${known(v.transformerKva, 'kVA')}, ${known(v.transformerImpedancePercent, '%')}`],
    ['Grid code', v.gridCode ?? 'not known'],
    ['School', v.school],
  ]);
  sheets.heading('Equipment').table(
    [
      { title: 'Kind', share: 1 },
      { title: 'Type', share: 2 },
      { title: 'Rating', share: 3 },
    ],
    [
      ...equipment.modules.map((m) => [
        'module',
        m.name,
        `${m.pmaxW} W, U_oc ${m.uocV} V, I_sc ${m.iscA} A, system ${m.systemMaxV} V, fuse ${m.fuseMaxA} A`,
      ]),
      ...equipment.inverters.map((t) => [
        'inverter',
        t.name,
        `${t.ratedW / 1000} kW, ${t.maxApparentVa / 1000} kVA, ${t.nominalLineV} V, DC ${t.dcMaxV} V, ${t.trackers} × ${t.inputsPerTracker} inputs`,
      ]),
    ],
  );
}

/** What is still open, and what was waived. */
export function openPointsPage(sheets: Sheets, h: HandOver): void {
  sheets.heading('Open points').table(
    [
      { title: 'What', share: 4 },
      { title: 'Severity', share: 1 },
      { title: 'Owner', share: 1.4 },
      { title: 'Due', share: 1 },
    ],
    h.openPoints.map((p) => [p.text, p.severity, p.owner, p.due ?? '–']),
  );
  sheets.table(
    [
      { title: 'Check that does not hold', share: 2.4 },
      { title: 'Where', share: 2 },
      { title: 'Verdict', share: 0.8 },
      { title: 'Working', share: 3.4 },
    ],
    h.openChecks.slice(0, 40).map((c) => [c.title, c.subject.path, c.verdict, c.working.join('; ')]),
    'Every check of the design holds.',
  );
  if (h.openChecks.length > 40)
    sheets.paragraph(`and ${h.openChecks.length - 40} more; the project file holds the whole design.`);
  sheets.heading('Waivers and accepted cautions').table(
    [
      { title: 'Gate', share: 1 },
      { title: 'Part', share: 1 },
      { title: 'Reason', share: 4 },
      { title: 'Name, date', share: 1.6 },
    ],
    h.waivers.map((w) => [
      String(w.values['gate'] ?? w.kind),
      tagOf(h, w.subject.id),
      w.reason ?? '',
      `${w.by}, ${w.doneAt.slice(0, 10)}`,
    ]),
  );
}

/** What this document does not say. */
export function limitsPage(sheets: Sheets): void {
  sheets
    .heading('Limits of this document')
    .list([
      'Work on this site is for licensed electrical workers; local code rules, the equipment’s data sheets and the qualified electrician on the spot outrank every figure here.',
      'It is built from the released design and the entries on record when it was made; a later entry supersedes it. Corrected entries are left out; the project file keeps them.',
      'Table values marked as recalled in the program were written down from memory of the standard and want a look at the bought edition before release.',
      'Not covered: mounting, structural proof, fault withstand and disconnection times, lightning and surge protection, shading and yield.',
      'A clear reading is no permission. A stop button, an open AC breaker or darkness does not make DC dead.',
    ]);
}
