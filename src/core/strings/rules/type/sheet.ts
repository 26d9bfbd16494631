import { inverterFindings } from '../../../equipment/inverterSheet';
import type { InverterType } from '../../../equipment/inverterType';
import { practice } from '../../../kernel/check';
import { rule } from '../../../kernel/rule';
import { sheetVerdict } from '../../sheetVerdict';

/** Whether an inverter's data sheet makes sense. */
export const INVERTER_SHEET = rule<InverterType>()({
  id: 'inverter.sheet',
  title: 'Data sheet of the inverter makes sense',
  unit: '',
  basis: practice('what the figures of a sheet say of each other, common practice'),
  needs: {},
  judge: (_, type) => sheetVerdict(inverterFindings(type)),
});
