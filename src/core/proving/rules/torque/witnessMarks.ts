import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { JointReading } from '../../readings/torqueReading';

/** Whether every joint is marked, so that a turned nut is seen. */
export const WITNESS_MARKS = rule<JointReading>()({
  id: 'proving.witness-marks',
  title: 'Witness marks across nut, washer and palm',
  unit: '',
  basis: practice(),
  needs: {},
  judge: (_, { marked }) => (marked ? found('holds', () => ['marked']) : found('tight', () => ['no mark recorded'])),
});
