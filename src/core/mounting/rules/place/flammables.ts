import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';

/** No unit hangs where flammables are stored. */
export const FLAMMABLES = rule<HungUnit>()({
  id: 'mounting.flammables',
  title: 'No flammables near',
  unit: '',
  basis: practice(),
  needs: { stored: { as: 'whether flammables are stored near', of: (h) => h.wall.flammables } },
  judge: ({ stored }) =>
    stored
      ? found('stop', () => ['flammables are stored near: another wall, or they go'])
      : found('holds', () => ['none stored near']),
});
