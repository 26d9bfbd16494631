import { fixed, formatQuantity } from '$core/kernel/quantity';
import { USUAL_ORDER } from '$core/proving/energise';
import type { RecordOf } from '$core/proving/record';
import type { HandOver } from '../services/handOver';
import { Sheets } from './pdf';

/** The hand-over as one PDF: real text, numbered pages, built from the released design and the live record. */
export async function handOverPack(h: HandOver, madeAt = new Date()): Promise<Buffer> {
  const { summary: s } = h;
  const made = madeAt.toISOString().slice(0, 16).replace('T', ' ');
  const released = h.release ? `release ${h.release.letter}` : 'NOT RELEASED';
  const sheets = new Sheets({
    title: `Hand-over ${s.name}`,
    subject: 'Hand-over of a PV site',
    footer: `${s.name} · ${released} · made ${made} UTC · Bolt Yard`,
  });
  sheets.title(s.name, `Hand-over · ${s.place || 'place not known'} · ${released}`);
  site(sheets, h);
  openPoints(sheets, h);
  limits(sheets);
  stringMap(sheets, h);
  acSchedule(sheets, h);
  torque(sheets, h);
  stringTests(sheets, h);
  unitTests(sheets, h);
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
  return sheets.bytes();
}

const when = (iso: string) => iso.slice(0, 16).replace('T', ' ');
const tagOf = (h: HandOver, id: string) => h.design.inverters.find((i) => i.id === id)?.tag ?? id;
const known = (value: number | null, unit: string) => (value === null ? 'not known' : formatQuantity(value, unit));

function site(sheets: Sheets, { summary: s, design: { survey: v, equipment } }: HandOver): void {
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

function openPoints(sheets: Sheets, h: HandOver): void {
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
      w.kind === 'waiver' || w.kind === 'gate' ? w.values.gate : w.kind,
      tagOf(h, w.subject.id),
      w.reason ?? '',
      `${w.by}, ${w.doneAt.slice(0, 10)}`,
    ]),
  );
}

function limits(sheets: Sheets): void {
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

function stringMap(sheets: Sheets, { design }: HandOver): void {
  const planes = new Map(design.planes.map((p) => [p.id, p]));
  const units = new Map(design.inverters.map((i, n) => [i.id, { ...i, n }]));
  const order = (s: (typeof design.strings)[number]) =>
    s.place ? 1e6 * (units.get(s.place.inverterId)?.n ?? 0) + 1e3 * s.place.tracker + s.place.input : 1e9;
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
      [...design.strings]
        .sort((a, b) => order(a) - order(b))
        .map((s) => {
          const plane = planes.get(s.planeId);
          return [
            s.place ? (units.get(s.place.inverterId)?.tag ?? '–') : 'on no input',
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

function acSchedule(sheets: Sheets, h: HandOver): void {
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
      `${fixed(r.design.currentA, 1)} A`,
      known(r.run.breakerA, 'A'),
      r.run.sectionMm2 === null
        ? 'not known'
        : `${r.run.parallel > 1 ? `${r.run.parallel} × ` : ''}${r.run.cores} ${r.run.sectionMm2} mm² ${r.run.metal} ${r.run.insulation}`,
      r.run.method,
      known(r.run.lengthM, 'm'),
      known(r.ampacity.ampacity?.izA ?? null, 'A'),
      known(r.risePercent, '%'),
      known(r.run.peMm2, 'mm²'),
      known(r.run.externalEarthMm2, 'mm²'),
      r.lug ? `${r.lug.sectionMm2}-M${r.lug.studM}` : '–',
    ]),
  );
}

function torque(sheets: Sheets, h: HandOver): void {
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

function stringTests(sheets: Sheets, h: HandOver): void {
  const of = new Map(h.design.strings.map((s) => [s.id, s]));
  const insulation = new Map(
    h.judged.flatMap((j) => (j.record.kind === 'insulation' ? [[j.record.subject.id, j] as const] : [])),
  );
  const rows = h.judged.flatMap((j) => {
    if (j.record.kind !== 'string-test') return [];
    const s = of.get(j.record.subject.id);
    const v = j.record.values;
    const ir = insulation.get(j.record.subject.id);
    const irValues = ir?.record.kind === 'insulation' ? ir.record.values : null;
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
        j.verdict,
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

function unitTests(sheets: Sheets, h: HandOver): void {
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
