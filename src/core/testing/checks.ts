import type { SiteDesign } from '../design';
import { DISCIPLINES } from '../design';
import { assessDiscipline } from '../design/assess';
import type { Check } from '../kernel/check';
import { Memo } from '../kernel/memo';

type Name = (typeof DISCIPLINES)[number]['name'];

/** Every check that one discipline makes of a design. */
export function checksOf(name: Name, design: SiteDesign): Check[] {
  const discipline = DISCIPLINES.find((d) => d.name === name);
  if (!discipline) throw new RangeError(`name must be that of a discipline (got ${name})`);
  return assessDiscipline(discipline, design, new Memo()).flat();
}
