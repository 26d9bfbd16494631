import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import { sheetFindings } from '../equipment/moduleType';
import type { Check, Question, Subject } from '../kernel/check';
import { atLeast, atMost, dataSheet, practice, published, rule, unknown, withVerdict } from '../kernel/check';
import { fixed } from '../kernel/quantity';
import { classOf, inverterTypesById, modulesById } from '../site/edits';
import type { Plane, PvString, SiteDesign, SiteInverter } from '../site/siteDesign';
import { trackerCurrents } from './currents';
import { temperaturesOf } from './layout';
import type { StringWindow, WindowAnswer } from './window';
import { coldReserveK, stringWindow } from './window';

const IEC_STRINGS = 'IEC 62548-1, string voltage and current';
const a = (x: number) => `${fixed(x, 2)} A`;
const V = (x: number) => `${fixed(x, 1)} V`;

/** A string where it hangs: everything its checks look at. */
interface Hung {
  readonly string: PvString;
  readonly plane: Plane;
  readonly module: ModuleType;
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly answer: WindowAnswer;
}

/** Every check of modules, strings and trackers. */
export function assessStrings(design: SiteDesign): Check[] {
  const hung = hangings(design);
  const byTracker = new Map<string, Hung[]>();
  for (const h of hung) {
    const key = `${h.unit.id}/${h.string.place?.tracker}`;
    const group = byTracker.get(key);
    if (group) group.push(h);
    else byTracker.set(key, [h]);
  }
  return [
    ...design.equipment.modules.flatMap(assessSheet),
    ...hung.flatMap(assessString),
    ...looseStrings(design),
    ...[...byTracker.values()].flatMap(assessTracker),
    ...assessInverters(design, hung),
    ...assessPlanes(design),
  ];
}

function hangings(design: SiteDesign): Hung[] {
  const modules = modulesById(design);
  const types = inverterTypesById(design);
  const planes = new Map(design.planes.map((p) => [p.id, p]));
  const units = new Map(design.inverters.map((i) => [i.id, i]));
  const answers = new Map<string, WindowAnswer>();
  return design.strings.flatMap((string): Hung[] => {
    const plane = planes.get(string.planeId);
    const module = plane && modules.get(plane.moduleTypeId);
    const unit = string.place ? units.get(string.place.inverterId) : undefined;
    const type = unit && types.get(unit.typeId);
    if (!plane || !module || !unit || !type) return [];
    const key = `${module.id}|${type.id}|${plane.mounting}`;
    const answer =
      answers.get(key) ?? stringWindow({ module, inverter: type, mounting: plane.mounting, ...temperaturesOf(design) });
    answers.set(key, answer);
    return [{ string, plane, module, unit, type, answer }];
  });
}

function assessSheet(module: ModuleType): Check[] {
  const q: Question = {
    id: 'module.sheet',
    subject: { element: 'module', path: module.name, id: module.id },
    title: 'Data sheet makes sense',
    unit: '',
    basis: practice('usual values of silicon modules, common practice'),
  };
  const findings = sheetFindings(module);
  if (findings.length === 0) return [rule(q, 'holds', ['No finding on the data sheet'])];
  const worst = findings.some((f) => f.severity === 'error') ? 'stop' : 'tight';
  return [
    rule(
      q,
      worst,
      findings.map((f) => `${f.code} ${f.field}: ${f.text}`),
    ),
  ];
}

function assessString(h: Hung): Check[] {
  const { string: s, module: m, type: t, answer } = h;
  const subject: Subject = {
    element: 'string',
    path: `${h.unit.tag} / tracker ${s.place?.tracker} / input ${s.place?.input} / string ${s.number}`,
    id: s.id,
  };
  const questions: readonly Question[] = [
    {
      id: 'strings.uoc-cold',
      subject,
      title: 'Open-circuit voltage on the coldest morning',
      unit: 'V',
      basis: published(IEC_STRINGS),
    },
    {
      id: 'strings.ump-hot',
      subject,
      title: 'Tracks in the heat',
      unit: 'V',
      basis: dataSheet('lower end of the tracking range'),
    },
    { id: 'strings.start', subject, title: 'Starts in the heat', unit: 'V', basis: dataSheet('start-up voltage') },
    {
      id: 'strings.full-power',
      subject,
      title: 'Keeps full power at both ends',
      unit: 'modules',
      basis: dataSheet('full-power range'),
    },
  ];
  const [cold, hot, start, full] = questions as [Question, Question, Question, Question];
  const w = answer.window;
  if (!w) return questions.map((q) => unknown(q, answer.missing));
  return [
    coldCheck(cold, h, w),
    atLeast({
      ...hot,
      value: s.modules * w.umpHotV,
      limit: t.mpptMinV,
      working: [
        `n × U_mp,hot = ${s.modules} × ${fixed(w.umpHotV, 2)} V = ${V(s.modules * w.umpHotV)} ≥ ${t.mpptMinV} V`,
      ],
    }),
    t.startV === null
      ? unknown(start, [`start-up voltage of ${t.name}`])
      : atLeast({
          ...start,
          value: s.modules * w.uocHotV,
          limit: t.startV,
          working: [
            `n × U_oc,hot = ${s.modules} × ${fixed(w.uocHotV, 2)} V = ${V(s.modules * w.uocHotV)} ≥ ${t.startV} V`,
          ],
        }),
    fullPowerCheck(full, s.modules, m, t, w),
  ];
}

function coldCheck(q: Question, h: Hung, w: StringWindow): Check {
  const n = h.string.modules;
  const check = atMost(
    {
      ...q,
      value: n * w.uocColdV,
      limit: w.limitV,
      working: [
        ...w.working.slice(0, 2),
        `n × U_oc,cold = ${n} × ${fixed(w.uocColdV, 2)} V = ${V(n * w.uocColdV)} ≤ ${w.limitV} V`,
      ],
    },
    1,
  );
  return check.verdict === 'tight'
    ? withVerdict(
        check,
        'tight',
        `A coldest morning ${fixed(coldReserveK(h.module, w, n), 1)} K colder than entered breaks this.`,
      )
    : check;
}

function fullPowerCheck(q: Question, n: number, m: ModuleType, t: InverterType, w: StringWindow): Check {
  if (t.fullPowerMinV === null || t.fullPowerMaxV === null) return unknown(q, [`full-power range of ${t.name}`]);
  const hotV = n * w.umpHotV;
  const coldV = n * w.umpColdV;
  const upperV = Math.min(t.fullPowerMaxV, t.mpptMaxV);
  const lost = [
    ...(hotV < t.fullPowerMinV ? [`In the heat ${V(hotV)} lies under ${t.fullPowerMinV} V: power is lost there.`] : []),
    ...(coldV > upperV ? [`In the cold ${V(coldV)} lies over ${upperV} V: power is lost there.`] : []),
  ];
  const working = [
    `${m.name}: ${V(hotV)} hot, ${V(coldV)} cold; full power from ${t.fullPowerMinV} V to ${upperV} V`,
    ...lost,
  ];
  const margin = Math.min((100 * (hotV - t.fullPowerMinV)) / t.fullPowerMinV, (100 * (upperV - coldV)) / upperV);
  return { ...rule(q, lost.length ? 'tight' : 'holds', working), value: n, margin: lost.length ? null : margin };
}

function looseStrings(design: SiteDesign): Check[] {
  return design.strings
    .filter((s) => s.place === null)
    .map((s) =>
      unknown(
        {
          id: 'strings.hung',
          subject: { element: 'string', path: `string ${s.number}`, id: s.id },
          title: 'Hangs on an input',
          unit: '',
          basis: practice('a string that hangs nowhere cannot be judged'),
        },
        ['an input'],
      ),
    );
}

function assessTracker(group: readonly Hung[]): Check[] {
  const [first] = group;
  if (!first) return [];
  const { unit, type, module, plane } = first;
  const subject: Subject = {
    element: 'tracker',
    path: `${unit.tag} / tracker ${first.string.place?.tracker}`,
    id: `${unit.id}/${first.string.place?.tracker}`,
  };
  const kinds = [...new Set(group.map((h) => `${classOf(h.plane)}|${h.string.modules}`))];
  const mix = rule(
    {
      id: 'strings.tracker-mix',
      subject,
      title: 'One type, tilt, azimuth and length',
      unit: '',
      basis: practice('modules on one tracker share one voltage: never mix; unequal lengths push current back'),
    },
    kinds.length > 1 ? 'stop' : 'holds',
    kinds.length > 1
      ? group.map(
          (h) =>
            `string ${h.string.number}: ${h.plane.label}, ${h.module.name}, ${h.plane.tiltDeg}° / ${h.plane.azimuthDeg}°, ${h.string.modules} modules`,
        )
      : [`${group.length} × ${first.string.modules} modules of ${plane.label}`],
  );
  const parts = group.map((h) => trackerCurrents(h.module, type, h.plane.mounting, 1));
  const shortA = parts.reduce((sum, c) => sum + c.shortCircuitA, 0);
  const operatingA = parts.reduce((sum, c) => sum + c.operatingA, 0);
  const inputA = Math.max(...parts.map((c) => c.inputA));
  const reverseA =
    parts.length > 1 ? parts.reduce((sum, c) => sum + c.inputA, 0) - Math.min(...parts.map((c) => c.inputA)) : 0;
  const one = parts[0];
  const k = one?.trackerFactor ?? 1.25;
  const gain = fixed(one?.rearGain ?? 1, 3);
  const overload = operatingA / type.trackerOperatingMaxA;
  const operating = atMost({
    id: 'strings.tracker-operating',
    subject,
    title: 'Operating current of the tracker',
    unit: 'A',
    basis: dataSheet('maximum operating current a tracker'),
    value: operatingA,
    limit: type.trackerOperatingMaxA,
    working: [
      `g_b × I_mp × N_p = ${gain} × ${module.impA} A × ${group.length} = ${a(operatingA)} on ${a(type.trackerOperatingMaxA)}`,
    ],
  });
  const connector: Question = {
    id: 'strings.input-connector',
    subject,
    title: 'Current of one input on its connector',
    unit: 'A',
    basis: dataSheet('DC connector rating'),
  };
  return [
    mix,
    atMost({
      id: 'strings.tracker-short-circuit',
      subject,
      title: 'Short-circuit current of the tracker',
      unit: 'A',
      basis: published('NFPA 70 690.8(A)(1); IEC 62548-1'),
      value: shortA,
      limit: type.trackerShortCircuitMaxA,
      working: [
        `k × g_b × I_sc × N_p = ${k} × ${gain} × ${module.iscA} A × ${group.length} = ${a(shortA)} on ${a(type.trackerShortCircuitMaxA)}`,
        ...(k === 1 ? ['k = 1: the maker states this limit for standard test conditions'] : []),
      ],
    }),
    overload > 1
      ? withVerdict(
          operating,
          'tight',
          `Over by ${fixed(100 * (overload - 1), 1)} %: harms nothing, loses energy ${overload > 1.1 ? 'on most clear days' : 'in the best hours'}.`,
        )
      : operating,
    type.connectorMaxA === null
      ? unknown(connector, [`connector rating of ${type.name}`])
      : atMost({
          ...connector,
          value: inputA,
          limit: type.connectorMaxA,
          working: [`1.25 × ${gain} × ${module.iscA} A = ${a(inputA)}`],
        }),
    atMost({
      id: 'strings.reverse-current',
      subject,
      title: 'Reverse current into a shorted string, unfused',
      unit: 'A',
      basis: published('IEC 62548-1; NFPA 70 690.9(A) exception'),
      value: reverseA,
      limit: module.fuseMaxA,
      working: [
        `(N_p − 1) × 1.25 × g_b × I_sc = ${group.length - 1} × ${a(inputA)} = ${a(reverseA)}; module fuse ${module.fuseMaxA} A`,
      ],
    }),
  ];
}

function assessInverters(design: SiteDesign, hung: readonly Hung[]): Check[] {
  const types = inverterTypesById(design);
  const dcW = new Map<string, number>();
  for (const h of hung) dcW.set(h.unit.id, (dcW.get(h.unit.id) ?? 0) + h.string.modules * h.module.pmaxW);
  return design.inverters.flatMap((unit) => {
    const type = types.get(unit.typeId);
    if (!type) return [];
    const subject: Subject = { element: 'inverter', path: unit.tag, id: unit.id };
    const watts = dcW.get(unit.id);
    const power: Question = {
      id: 'strings.dc-power',
      subject,
      title: 'DC power on the inverter',
      unit: 'kW',
      basis: dataSheet('maximum DC power'),
    };
    const ratio: Question = {
      id: 'strings.dc-ac-ratio',
      subject,
      title: 'DC/AC ratio',
      unit: '%',
      basis: practice('90 to 150 % is usual'),
    };
    if (watts === undefined) return [unknown(power, ['strings']), unknown(ratio, ['strings'])];
    const percent = (100 * watts) / type.ratedW;
    const text = `${fixed(watts / 1000, 2)} kW / ${fixed(type.ratedW / 1000, 1)} kW = ${fixed(percent, 1)} %`;
    return [
      type.dcMaxW === null
        ? unknown(power, [`maximum DC power of ${type.name}`])
        : atMost({
            ...power,
            value: watts / 1000,
            limit: type.dcMaxW / 1000,
            working: [`${fixed(watts / 1000, 2)} kW on ${fixed(type.dcMaxW / 1000, 1)} kW`],
          }),
      {
        ...rule(ratio, percent >= 90 && percent <= 150 ? 'holds' : 'tight', [
          text,
          ...(percent < 90 ? ['The inverter is larger than needed.'] : percent > 150 ? ['Above the usual 150 %.'] : []),
        ]),
        value: percent,
        limit: 150,
        margin: percent > 150 ? null : (100 * (150 - percent)) / 150,
      },
    ];
  });
}

function assessPlanes(design: SiteDesign): Check[] {
  const strung = new Map<string, number>();
  for (const s of design.strings) if (s.place) strung.set(s.planeId, (strung.get(s.planeId) ?? 0) + s.modules);
  return design.planes.map((plane) => {
    const used = strung.get(plane.id) ?? 0;
    const q: Question = {
      id: 'strings.modules-used',
      subject: { element: 'module', path: plane.label, id: plane.id },
      title: 'Modules that hang on a string',
      unit: 'modules',
      basis: practice('every module drawn should be wired'),
    };
    if (design.strings.length === 0) return unknown(q, ['strings']);
    const working = [`${used} of ${plane.moduleCount} modules hang on an input`];
    const verdict = used > plane.moduleCount ? 'stop' : used < plane.moduleCount ? 'tight' : 'holds';
    return { ...rule(q, verdict, working), value: used, limit: plane.moduleCount };
  });
}
