import type { ModuleType } from '../../../equipment/moduleType';
import { sheetFindings } from '../../../equipment/moduleType';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';

/** Whether a module's data sheet makes sense. */
export const SHEET = rule<ModuleType>()({
  id: 'module.sheet',
  title: 'Data sheet makes sense',
  unit: '',
  basis: practice('usual values of silicon modules, common practice'),
  needs: {},
  judge: (_, module) => {
    const findings = sheetFindings(module);
    if (findings.length === 0) return found('holds', () => ['No finding on the data sheet']);
    const worst = findings.some((f) => f.severity === 'error') ? 'stop' : 'tight';
    return found(worst, () => findings.map((f) => `${f.code} ${f.field}: ${f.text}`));
  },
});
