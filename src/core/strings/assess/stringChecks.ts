import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import type { Check, Question, Subject } from '../../kernel/check';
import {
  atLeast,
  atMost,
  dataSheet,
  missingOf,
  practice,
  published,
  rule,
  unknown,
  withVerdict,
} from '../../kernel/check';
import { fixed } from '../../kernel/quantity';
import { IRRADIANCE_FACTOR, rearGainOf } from '../currents';
import { cableNeedA, dcAmpacityA, homeRunDrop, homeRunOhm } from '../dcCable';
import type { StringWindow } from '../window';
import { coldReserveK } from '../window';
import type { Hung } from './hung';

const IEC_STRINGS = 'IEC 62548-1, string voltage and current';
const V = (x: number) => `${fixed(x, 1)} V`;

/** Checks of one string: cold, heat, start-up, full power, home run and cable. */
export function assessString(h: Hung): Check[] {
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
  if (!w) return [...questions.map((q) => unknown(q, answer.missing)), ...cableChecks(h, subject)];
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
    ...cableChecks(h, subject),
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

/** Drop at standard conditions: wanted and borne, per cent (common practice). */
const DROP_WANTED_PERCENT = 1;
const DROP_MOST_PERCENT = 2;

function cableChecks(h: Hung, subject: Subject): Check[] {
  const { cable, module: m, lengthM } = h;
  const drop: Question = {
    id: 'strings.home-run-drop',
    subject,
    title: 'Voltage drop of the home run',
    unit: '%',
    basis: practice('1 % wanted, 2 % at most, common practice; resistance IEC 60228 class 5, recalled'),
  };
  const current: Question = {
    id: 'strings.cable-current',
    subject,
    title: 'DC cable carries the string',
    unit: 'A',
    basis: published('EN 50618, A.3; IEC 62548-1'),
  };
  return [dropCheck(drop, h, lengthM, m), currentCheck(current, h, cable)];
}

function dropCheck(q: Question, h: Hung, lengthM: number | null, m: ModuleType): Check {
  const { sectionMm2, conductorC, dropReason } = h.cable;
  const missing = missingOf({
    'section of the DC cable': sectionMm2,
    'length of the home run, or both places': lengthM,
  });
  if (sectionMm2 === null || lengthM === null) return unknown(q, missing);
  const ohm = homeRunOhm(lengthM, sectionMm2, conductorC);
  const d = homeRunDrop(ohm, m.impA, h.string.modules * m.umpV);
  const check = atMost(
    {
      ...q,
      value: d.dropPercent,
      limit: DROP_MOST_PERCENT,
      working: [
        `R = 2 × ${fixed(lengthM, 1)} m, ${sectionMm2} mm², ${conductorC} °C = ${fixed(ohm, 4)} Ω`,
        `ΔU = R × ${m.impA} A = ${fixed(d.dropV, 2)} V of ${fixed(h.string.modules * m.umpV, 1)} V = ${fixed(d.dropPercent, 2)} %; ${fixed(d.lossW, 0)} W lost`,
      ],
    },
    100 * (1 - DROP_WANTED_PERCENT / DROP_MOST_PERCENT),
  );
  return check.verdict === 'stop' && dropReason ? withVerdict(check, 'tight', `Accepted: ${dropReason}`) : check;
}

function currentCheck(q: Question, h: Hung, cable: Hung['cable']): Check {
  if (h.school === 'NEC') return unknown(q, ['an ampacity table of the NEC school for DC cable']);
  const { sectionMm2, mode, ambientC, circuitsTogether } = cable;
  const missing = missingOf({
    'section of the DC cable': sectionMm2,
    'how the DC cable lies': mode,
    'hottest ambient at the DC cable': ambientC,
    'DC circuits in one bundle': circuitsTogether,
  });
  if (sectionMm2 === null || mode === null || ambientC === null || circuitsTogether === null)
    return unknown(q, missing);
  const mayA = dcAmpacityA(sectionMm2, mode, ambientC, circuitsTogether);
  if (mayA === undefined) return unknown(q, ['a grouping factor above 20 circuits: split the bundle (SC06)']);
  const oneA = IRRADIANCE_FACTOR * rearGainOf(h.module, h.plane.mounting) * h.module.iscA;
  const needA = cableNeedA(oneA, h.parallel, cable.fuseA);
  return atMost({
    ...q,
    value: needA,
    limit: mayA,
    working: [
      `I_z = ${sectionMm2} mm², ${mode}, ${ambientC} °C, ${circuitsTogether} together = ${fixed(mayA, 1)} A`,
      cable.fuseA === null
        ? `max(1, N_p − 1) × 1.25 × g_b × I_sc, N_p = ${h.parallel}: ${fixed(needA, 2)} A`
        : `1.25 × g_b × I_sc = ${fixed(oneA, 2)} A, string fuse ${cable.fuseA} A: ${fixed(needA, 2)} A`,
    ],
  });
}
