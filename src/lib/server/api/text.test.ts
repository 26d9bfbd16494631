import { expect, it } from 'vitest';
import { Problem, unfit } from '../problem';
import { bodyJson } from './answer';
import { textFlaws } from './text';

const NUL = '\u0000';
const HALF = '\ud83d';

it('finds what no database keeps, wherever it stands', () => {
  expect(textFlaws({ name: `a${NUL}b`, list: ['fine', { deep: HALF }], [HALF]: 1 })).toEqual([
    { pointer: '/name', detail: 'holds a NUL character: take it out' },
    { pointer: '/list/1/deep', detail: 'holds half a character (a lone surrogate): type it again' },
    { pointer: '', detail: 'a field name holds half a character (a lone surrogate): type it again' },
  ]);
  expect(textFlaws({ name: 'Ålesund 😀 – ½', n: 1, none: null, list: [true] })).toEqual([]);
});

it('is looked for at the door, also where it is written as an escape', async () => {
  for (const bad of ['\\u0000', '\\ud83d', 'x\\ude00'])
    await expect(
      bodyJson(
        new Request('http://127.0.0.1/', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: `{"name":"${bad}"}`,
        }),
      ),
    ).rejects.toMatchObject({ status: 422, errors: [{ pointer: '/name' }] });
});

it('names fifty flaws at most, and counts the rest', () => {
  const many = Array.from({ length: 130 }, (_, i) => ({ pointer: `/list/${i}`, detail: 'is wrong' }));
  const problem = unfit(many, 'The input');
  expect(problem).toBeInstanceOf(Problem);
  expect(problem.errors).toHaveLength(50);
  expect(problem.detail).toBe('The input has 130 errors, of which 50 are named. First: /list/0 is wrong');
  expect(unfit(many.slice(0, 2), 'The input').detail).toBe('The input has 2 errors. First: /list/0 is wrong');
});
