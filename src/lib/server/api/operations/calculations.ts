import { CALCULATIONS } from '../calculations';
import type { Operation } from '../operation';

export const calculationOperations: readonly Operation[] = Object.entries(CALCULATIONS).map(([name, c]) => ({
  path: `/api/v1/calculations/${name}`,
  method: 'post',
  summary: c.summary,
  request: c.input,
  response: c.output,
}));
