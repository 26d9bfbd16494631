import type { Check, Question, Subject } from '../../kernel/check';
import { atMost, dataSheet, practice, published, rule, unknown, withVerdict } from '../../kernel/check';
import { fixed } from '../../kernel/quantity';
import { classOf } from '../../site/edits';
import { trackerCurrents } from '../currents';
import { stringFuse } from '../fuses';
import type { Hung } from './hung';

const a = (x: number) => `${fixed(x, 2)} A`;

/** Checks of one tracker: what hangs on it together. */
export function assessTracker(group: readonly Hung[]): Check[] {
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
  const onInput = new Map<number, number>();
  group.forEach((h, i) => onInput.set(h.place.input, (onInput.get(h.place.input) ?? 0) + (parts[i]?.inputA ?? 0)));
  const [fullestInput, inputA] = [...onInput].reduce((a, b) => (b[1] > a[1] ? b : a));
  const joined = group.filter((h) => h.place.input === fullestInput).length;
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
          working: [
            `1.25 × ${gain} × ${module.iscA} A × ${joined} = ${a(inputA)} on input ${fullestInput}${joined > 1 ? ', a Y-branch' : ''}`,
          ],
        }),
    reverseCheck(group, subject),
  ];
}

/** Current that the others push into a shorted string, against the module's fuse, or against the string fuse that stands before it. */
function reverseCheck(group: readonly Hung[], subject: Subject): Check {
  const [first] = group;
  const parts = group.map((h) => trackerCurrents(h.module, h.type, h.plane.mounting, 1));
  const oneA = Math.max(...parts.map((c) => c.inputA));
  const reverseA =
    group.length > 1 ? parts.reduce((sum, c) => sum + c.inputA, 0) - Math.min(...parts.map((c) => c.inputA)) : 0;
  const q: Question = {
    id: 'strings.reverse-current',
    subject,
    title: 'Reverse current into a shorted string',
    unit: 'A',
    basis: published('IEC 62548-1; NFPA 70 690.9(A) exception; ratings IEC 60269-6'),
  };
  if (!first) return unknown(q, ['a string']);
  const { module, school, cable } = first;
  const fuse = stringFuse(module, parts[0]?.rearGain ?? 1, group.length, school, parts[0]?.trackerFactor);
  const sum = `(N_p − 1) × 1.25 × g_b × I_sc = ${group.length - 1} × ${a(oneA)} = ${a(reverseA)}; module fuse ${module.fuseMaxA} A`;
  const unfused = atMost({ ...q, value: reverseA, limit: module.fuseMaxA, working: [sum] });
  if (!fuse.needed) return unfused;
  const range = `A string fuse lies ${school === 'NEC' ? 'from' : 'above'} ${a(fuse.leastA)} and at most at ${a(fuse.mostA)}`;
  if (cable.fuseA === null)
    return withVerdict(
      unfused,
      'stop',
      fuse.ratingA === null
        ? `${range}: no standard rating does. Use at most ${fuse.maxUnfused} strings in parallel (SF01).`
        : `${range}: fit ${fuse.ratingA} A in both poles, or hang at most ${fuse.maxUnfused} strings.`,
    );
  const fits = cable.fuseA > fuse.leastA - (school === 'NEC' ? 1e-9 : 0) && cable.fuseA <= fuse.mostA + 1e-9;
  return {
    ...rule(q, fits ? 'holds' : 'stop', [sum, `${range}; ${cable.fuseA} A is fitted`]),
    value: cable.fuseA,
    limit: fuse.mostA,
    margin: fits ? (100 * (fuse.mostA - cable.fuseA)) / fuse.mostA : null,
  };
}
