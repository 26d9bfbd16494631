import { fixed } from '$core/kernel/quantity';
import { lineOf } from '$core/site/line';
import { DC_INSULATION } from '$core/proving/kinds/dcInsulation';
import { STRING_TEST } from '$core/proving/kinds/stringTest';
import type { HandOver } from '../../services/handOver';
import type { Sheets } from '../pdf';
import { known, tagOf, when } from './words';

/** Which string hangs on which input, in printed order. */
export function stringMapPage(sheets: Sheets, { design }: HandOver): void {
  const line = lineOf(design);
  sheets
    .newPage()
    .heading('String map')
    .table(
      [
        { title: 'Inverter', share: 1.2 },
        { title: 'Tracker', share: 0.8, right: true },
        { title: 'Input', share: 0.7, right: true },
        { title: 'String', share: 0.8, right: true },
        { title: 'Modules', share: 0.9, right: true },
        { title: 'Plane', share: 2.4 },
        { title: 'Tilt / azimuth', share: 1.3 },
      ],
      line.printedStrings.map((s) => {
        const plane = line.plane(s.planeId)?.plane;
        return [
          s.place ? line.tag(s.place.inverterId) : 'on no input',
          String(s.place?.tracker ?? '–'),
          String(s.place?.input ?? '–'),
          String(s.number),
          String(s.modules),
          plane?.label ?? '–',
          `${plane?.tiltDeg}° / ${plane?.azimuthDeg}°`,
        ];
      }),
      'No string is laid out.',
    );
  sheets.paragraph('Cap every unused input. Plug in the order of the numbers printed on the unit.');
}

/** Every string as it was measured. */
export function stringTestsPage(sheets: Sheets, h: HandOver): void {
  const line = lineOf(h.design);
  const insulation = new Map(
    h.judged.flatMap((j) => (DC_INSULATION.is(j.record) ? [[j.record.subject.id, j.record.values] as const] : [])),
  );
  const rows = h.judged.flatMap((j) => {
    if (!STRING_TEST.is(j.record)) return [];
    const s = line.string(j.record.subject.id)?.string;
    const v = j.record.values;
    const irValues = insulation.get(j.record.subject.id) ?? null;
    const reference =
      j.checks.find((c) => c.id === 'proving.likeness' || c.id === 'proving.expected-voltage')?.limit ?? null;
    return [
      [
        s?.place ? `${tagOf(h, s.place.inverterId)}.${s.place.tracker}.${s.place.input}` : '–',
        String(s?.number ?? '–'),
        `${fixed(v.voltageV, 1)} V`,
        known(reference, 'V'),
        `${fixed(v.cellC, 1)} °C`,
        `${v.irradianceWm2}`,
        j.why ? 'no proof' : j.verdict,
        irValues ? `${irValues.megohm} MΩ at ${irValues.testV} V` : '–',
        j.record.by,
        when(j.record.doneAt),
      ],
    ];
  });
  sheets
    .newPage()
    .heading('String tests')
    .table(
      [
        { title: 'Input', share: 1.3 },
        { title: 'String', share: 0.7, right: true },
        { title: 'U_oc', share: 1, right: true },
        { title: 'Reference', share: 1.1, right: true },
        { title: 'Cell', share: 0.9, right: true },
        { title: 'W/m²', share: 0.7, right: true },
        { title: 'Verdict', share: 0.9 },
        { title: 'Insulation', share: 1.7 },
        { title: 'By', share: 1.3 },
        { title: 'When', share: 1.6 },
      ],
      rows,
      'No string is measured yet.',
    );
}
