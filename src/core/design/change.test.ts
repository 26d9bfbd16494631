import { expect, it } from 'vitest';
import { applyEdit } from '.';
import { plane, siteOf } from '../testing/examples';
import { checkedChange } from './change';

const site = siteOf(2, [plane('south', 40)]);

it('hands a sound change on as the very same object', () => {
  const after = applyEdit(site, { kind: 'bit-rate', bitRate: 4800 });
  expect(checkedChange(site, after).design).toBe(after);
});
it('tidies only what the schema tidies', () => {
  const after = { ...site, board: { ...site.board, label: '  Main  ' } };
  const { design } = checkedChange(site, after);
  expect(design?.board.label).toBe('Main');
  expect(design?.planes).toBe(site.planes);
});
it('refuses what no schema or reference allows, with its place', () => {
  const long = { ...site, board: { ...site.board, label: '' } };
  expect(checkedChange(site, long).flaws[0]).toMatchObject({ path: ['board', 'label'] });
  const twice = { ...site, planes: [...site.planes, ...site.planes] };
  expect(checkedChange(site, twice).flaws[0]).toEqual({
    path: ['planes', 1, 'id'],
    message: 'Plane south is used twice.',
  });
  const lost = { ...site, runs: [{ ...site.runs[0]!, inverterId: 'ghost' }] };
  expect(checkedChange(site, lost).flaws).toEqual([
    { path: ['runs', 0, 'inverterId'], message: 'There is no inverter ghost.' },
  ]);
});
