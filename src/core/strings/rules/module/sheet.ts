import type { ModuleType } from '../../../equipment/moduleType';
import { sheetFindings } from '../../../equipment/moduleType';
import { practice } from '../../../kernel/check';
import { rule } from '../../../kernel/rule';
import { sheetVerdict } from '../../sheetVerdict';

/** Whether a module's data sheet makes sense. */
export const SHEET = rule<ModuleType>()({
  id: 'module.sheet',
  title: 'Data sheet makes sense',
  unit: '',
  basis: practice('usual values of silicon modules, common practice'),
  needs: {},
  judge: (_, module) => sheetVerdict(sheetFindings(module)),
});
