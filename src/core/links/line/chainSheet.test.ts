import { describe, expect, it } from 'vitest';
import { wholeChain } from '../../testing/chains';
import { chainSheet } from './chainSheet';

describe('the sheet of a chain', () => {
  it('says of every device where it stands, what it is set to and what is read there', () => {
    const { facts, rows } = chainSheet(
      wholeChain(3, 60, {}, (_, i) => ({ address: i + 1, serial: i ? `S${i}` : null, unitLoads: 0.125 })),
    );
    expect(Object.fromEntries(facts)).toEqual({
      'Bit rate': '9600 bit/s',
      Cable: '60.0 m',
      Conductors: '0.50 mm²',
      Terminators: '120 Ω',
      Bias: '560 + 560 Ω on 5.0 V, at the first device',
    });
    expect(rows.map((r) => [r.place, r.device, r.address, r.serial, r.terminator, r.cable, r.ohms])).toEqual([
      ['1', 'INV-01', '1', '', 'on', '', '61.0 Ω'],
      ['2', 'INV-02', '2', 'S1', 'off', '30.0 m', '61.0 Ω'],
      ['3', 'INV-03', '3', 'S2', 'on', '30.0 m', '61.0 Ω'],
    ]);
    expect(rows[0]?.idle).toMatch(/^2\d\d mV$/);
  });
  it('leaves nothing out that is not known', () => {
    const lost = { areaMm2: null, terminatorOhm: null, biasAt: null };
    const { facts, rows } = chainSheet(wholeChain(2, 60, lost, () => ({ address: null })));
    expect(facts.filter(([, v]) => v === 'not known').map(([l]) => l)).toEqual(['Conductors', 'Terminators', 'Bias']);
    expect(rows[1]).toMatchObject({ address: 'not known', ohms: 'not known', idle: 'not known' });
  });
  it('has an open pair where no terminator is on, and a logger that asks', () => {
    const { rows, facts } = chainSheet(
      wholeChain(2, 60, { biasAt: 'nowhere' }, (_, i) => ({ terminated: false, kind: i ? 'inverter' : 'logger' })),
    );
    expect(rows.map((r) => [r.address === 'asks', r.ohms, r.idle])).toEqual([
      [true, 'open', ''],
      [false, 'open', ''],
    ]);
    expect(Object.fromEntries(facts).Bias).toBe('none');
  });
});
