import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import { sheetFindings } from '../../equipment/moduleType';
import type { Check, Question, Subject } from '../../kernel/check';
import { atMost, dataSheet, practice, rule, unknown } from '../../kernel/check';
import { fixed } from '../../kernel/quantity';
import type { SiteDesign, SiteInverter } from '../../site/siteDesign';
import type { Hung } from './hung';

/** Whether a module sheet makes sense. */
export function assessSheet(module: ModuleType): Check[] {
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

/** Strings that hang nowhere. */
export function looseStrings(design: SiteDesign): Check[] {
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

/** DC power and DC/AC ratio of one inverter. */
export function assessInverter(unit: SiteInverter, type: InverterType, hung: readonly Hung[]): Check[] {
  const subject: Subject = { element: 'inverter', path: unit.tag, id: unit.id };
  const watts = hung.length ? hung.reduce((sum, h) => sum + h.string.modules * h.module.pmaxW, 0) : undefined;
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
}

/** Whether the modules drawn on each plane hang on strings. */
export function assessPlanes(design: SiteDesign): Check[] {
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
