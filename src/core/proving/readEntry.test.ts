import { describe, expect, it } from 'vitest';
import { upgradedEntry } from './readEntry';

describe('an entry of the first edition, which named neither device nor licence', () => {
  const old = { kind: 'torque', values: { appliedNm: 25 }, subject: { scope: 'inverter', id: 'inv-1' } };
  it('stays as it was said and proves nothing', () =>
    expect(upgradedEntry(old)).toEqual({
      kind: 'older',
      values: { kind: 'torque', said: '{"appliedNm":25}' },
      subject: old.subject,
      device: null,
      licensedUntil: null,
      instrument: null,
      corrects: null,
    }));
  it('reads the same where its kind proves nothing', () => {
    for (const kind of ['open-point', 'signature'])
      expect(upgradedEntry({ ...old, kind })).toEqual({
        ...old,
        kind,
        device: null,
        licensedUntil: null,
        instrument: null,
      });
  });
  it('is kept in 2000 characters, and with nothing where it said nothing', () => {
    const { values } = upgradedEntry({ ...old, values: { seen: 'x'.repeat(3000) } }) as { values: { said: string } };
    expect(values.said).toHaveLength(2000);
    expect(upgradedEntry({ kind: 'gate' })).toMatchObject({ values: { kind: 'gate', said: '{}' } });
  });
  it('is none that names a device, or is of a kind that came after it, and nothing that is no document at all', () => {
    for (const body of [
      { ...old, device: null },
      { ...old, kind: 'happening' },
      { ...old, kind: undefined },
      null,
      undefined,
      'torque',
      25,
      [old],
    ])
      expect(upgradedEntry(body)).toBe(body);
  });
});
