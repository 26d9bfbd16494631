import { z } from 'zod';
import { known, lacking } from '../../kernel/answer';
import { fixed } from '../../kernel/quantity';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import type { StringOnLine } from '../../site/line';
import { lineOf } from '../../site/line';
import { sameClass } from '../../site/parts';
import { coldOnSite } from '../../strings/coldVoltage';
import { dcLimitOn } from '../../strings/dcLimit';
import type { SiteDesign } from '../../design';
import { guarded, instrumentChecks, lightChecks, notThere, onString, resultOf } from '../judging';
import type { About } from '../kind';
import { kind } from '../kind';
import type { StringReading, StringTest } from '../readings/stringReading';
import { stringReading } from '../readings/stringReading';
import { SISTERS_MIN, SISTERS_WITHIN_MS } from '../sisters';
import { PROVING_RULES as RULES } from '../rules';
import type { Check, Subject } from '../../kernel/check';
import type { Entry } from '../entry';
import { lightShape } from '../light';

const values = z.object({
  voltageV: quantity(-2000, 3000, 'V', 'Open-circuit voltage, negative when reversed'),
  ...lightShape,
  currentA: quantity(-100, 100, 'A', 'Current').nullable(),
});
type Values = z.output<typeof values>;

/** Every check of a string before it is plugged: polarity, coldest morning, sisters or expected value, cause. Basis: IEC 62446-1, 6.3 and 6.5. */
export function stringChecks(t: StringReading, subject: Subject): Check[] {
  const beside = t.sistersV.length >= SISTERS_MIN ? RULES.sisters : RULES.alone;
  return ask(RULES.string, t, subject).concat(ask(beside, t, subject));
}

/** A string before it is plugged: sign and open-circuit voltage, in its light, beside its sisters. */
export const STRING_TEST = kind({
  kind: 'string-test',
  title: 'A string at the plug',
  scopes: ['string'],
  values,
  instrument: ['PV tester', 'multimeter'],
  measured: ({ voltageV, irradianceWm2 }) => [
    { of: 'DC voltage', value: voltageV, path: 'voltageV' },
    { of: 'irradiance', value: irradianceWm2, path: 'irradianceWm2' },
  ],
  gates: ['D-POL', 'D-VOC'],
  correctable: true,
  judge(about) {
    const on = lineOf(about.design).string(about.subject.id);
    if (!on) return notThere(['D-POL', 'D-VOC']);
    const subject = onString(on);
    const reading = stringReading(stringTestOf(on, about));
    const checks = guarded(stringChecks(reading, subject), about.entry);
    const polarity = checks.filter((c) => c.id === 'proving.polarity');
    const all = checks.concat(
      instrumentChecks(about.entry, about.day, subject),
      lightChecks(about.entry, about.values.lightAt, subject),
    );
    return {
      checks: all,
      says: [
        { gate: 'D-POL', result: resultOf(polarity) },
        { gate: 'D-VOC', result: resultOf(all) },
      ],
    };
  },
  form: () => ({
    schema: values.omit({ lightAt: true }),
    blank: { voltageV: null, cellC: null, irradianceWm2: null, currentA: null },
    groups: [{ title: 'Voltage before plugging', paths: ['voltageV', 'cellC', 'irradianceWm2', 'currentA'] }],
    caution:
      'A string in light cannot be switched off. Gloves class 0, meter and leads rated for the string. Never open a plug under current.',
  }),
  line: ({ voltageV, cellC, irradianceWm2, currentA }) =>
    `${fixed(voltageV, 1)} V at ${fixed(cellC, 1)} °C, ${irradianceWm2} W/m²${currentA === null ? '' : `, ${currentA} A`}`,
  printed: {
    title: 'Strings before plugging',
    columns: [
      { title: 'Voltage', share: 1, right: true },
      { title: 'Cell', share: 0.9, right: true },
      { title: 'Light', share: 1.1, right: true },
      { title: 'Current', share: 0.9, right: true },
    ],
    row: (v) => [
      `${fixed(v.voltageV, 1)} V`,
      `${fixed(v.cellC, 1)} °C`,
      `${v.irradianceWm2} W/m²`,
      v.currentA === null ? '–' : `${v.currentA} A`,
    ],
  },
});

/** What every reading of one string has in common: its limit, its cold morning, the other length it could be mistaken for. */
type Asked = Pick<StringTest, 'module' | 'modules' | 'coldestC' | 'cold' | 'limitV' | 'otherModules'>;
const ASKED = new WeakMap<StringOnLine, Asked>();
function askedOf(on: StringOnLine, design: SiteDesign): Asked {
  const earlier = ASKED.get(on);
  if (earlier) return earlier;
  const { string, plane, module } = on;
  const limit = dcLimitOn(on, design.survey) ?? lacking<never>('an input');
  const made = {
    module,
    modules: string.modules,
    coldestC: design.survey.coldestC,
    cold: coldOnSite(design.survey, plane, module, lineOf(design).ratedW || null),
    limitV: limit.value ? known(limit.value.limitV) : lacking(...limit.missing),
    otherModules: otherLength(design, string.modules),
  };
  ASKED.set(on, made);
  return made;
}

/** Everything a reading of a string is judged by, from the design it was made for and the entries beside it. */
function stringTestOf(on: StringOnLine, about: About<Values>): StringTest {
  const { voltageV, currentA, cellC, irradianceWm2 } = about.values;
  const { module, modules, coldestC, cold, limitV, otherModules } = askedOf(on, about.design);
  return {
    module,
    modules,
    coldestC,
    cold,
    limitV,
    otherModules,
    voltageV,
    currentA,
    cellC,
    irradianceWm2,
    sistersV: sistersOf(on, about),
  };
}

/** Latest readings of like modules within ten minutes, of whatever length: carried to this one's, V. */
function sistersOf(own: StringOnLine, { entry, atMs, design, beside }: About<Values>): number[] {
  const line = lineOf(design);
  const near = beside.near('string-test', atMs, SISTERS_WITHIN_MS);
  const carried: number[] = [];
  // A handful at most: a set made for each of thousands of readings costs more than looking through.
  const met: StringOnLine[] = [];
  // The newest stand last: of several readings of one string the later counts.
  for (let i = near.length - 1; i >= 0; i--) {
    const r = near[i] as Entry;
    if (!STRING_TEST.is(r) || r.values.voltageV <= 0 || r.subject.id === entry.subject.id) continue;
    const other = line.string(r.subject.id);
    if (!other || !sameClass(other.plane, own.plane) || met.includes(other)) continue;
    met.push(other);
    carried.push((r.values.voltageV / other.string.modules) * own.string.modules);
  }
  return carried;
}

const LENGTHS = new WeakMap<SiteDesign, readonly number[]>();
/** The other length of the plan nearest to this one: what a swapped home run would bring. */
function otherLength(design: SiteDesign, modules: number): number | null {
  const lengths = LENGTHS.get(design) ?? [...new Set(design.strings.map((s) => s.modules))];
  LENGTHS.set(design, lengths);
  return lengths.filter((n) => n !== modules).sort((a, b) => Math.abs(a - modules) - Math.abs(b - modules))[0] ?? null;
}
