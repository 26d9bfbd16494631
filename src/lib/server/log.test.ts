import { expect, it } from 'vitest';
import { withoutValues } from './log';

it('says what failed, and nothing of what was asked', () => {
  const database = Object.assign(new Error('invalid input syntax for type uuid: "a secret"'), {
    severity: 'ERROR',
    code: '22P02',
    table: 'site',
  });
  const query = new Error('Failed query: select 1\nparams: a secret', { cause: database });
  expect(withoutValues(query)).toBe('database 22P02 site');
  expect(withoutValues(new Error('Failed query: x\nparams: y', { cause: new Error('socket hang up') }))).toBe(
    'Error: socket hang up',
  );
  expect(withoutValues('a secret')).toBe('string');
});
