import { describe, expect, it } from 'vitest';
import { siteOf } from '../../testing/examples';
import { wholeChain } from '../../testing/chains';
import type { ChainResult } from '../results';
import { busMarks, chainLabels, chainName, chainSheet } from './chainSheet';

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

describe('labels of a chain', () => {
  it('are one for a device and two for a piece of cable, each end naming the other', () => {
    const chain = wholeChain(3, 60, {}, (_, i) =>
      i === 0 ? { kind: 'logger', label: 'LOG' } : { address: i, serial: `S-${i}` },
    );
    const labels = chainLabels(chain, [chain]);
    expect(labels.map((l) => [l.on, l.title])).toEqual([
      ['device', 'LOG'],
      ['device', 'INV-02'],
      ['device', 'INV-03'],
      ['cable end', 'LOG → INV-02'],
      ['cable end', 'INV-02 → LOG'],
      ['cable end', 'INV-02 → INV-03'],
      ['cable end', 'INV-03 → INV-02'],
    ]);
    expect(labels[0]?.lines.slice(0, 2)).toEqual(['asks, 9600 bit/s', 'terminator on']);
    expect(labels[1]?.lines).toEqual(['address 1, 9600 bit/s', 'terminator off', 'S-1']);
    expect(labels[3]?.lines).toEqual(['RS-485', '30.0 m']);
    const lost = wholeChain(2, 60, {}, (_, i) => ({ address: null, serial: null, ...(i ? { hopM: null } : {}) }));
    const bare = chainLabels(lost, [lost]);
    expect(bare[1]?.lines).toEqual(['address not known, 9600 bit/s', 'terminator on']);
  });
  it('name the bus where there are several: an address stands once on each', () => {
    const [one, two] = [wholeChain(2, 60), wholeChain(2, 60)].map((c, i) => ({
      ...c,
      bus: i + 1,
      chain: { ...c.chain, devices: c.chain.devices.map((d) => ({ ...d, bus: i + 1, serial: null })) },
    })) as [ChainResult, ChainResult];
    const labels = chainLabels(two, [one, two]);
    expect(labels[0]?.lines).toEqual(['address 1, 9600 bit/s', 'terminator on', 'RS-485 bus 2']);
    expect(labels.at(-1)?.lines).toEqual(['RS-485 bus 2', '60.0 m']);
    expect([chainName(two, [one, two]), chainName(two, [two])]).toEqual(['RS-485 bus 2', 'RS-485 chain']);
  });
});

describe('marks beside the terminals', () => {
  it('are those of the model, D1 first; none where its sheet has not both', () => {
    const d = siteOf(1, []);
    const [device] = d.chain.devices as [(typeof d.chain.devices)[number]];
    expect(busMarks(d)(device)).toBe('B / A');
    expect(busMarks(d)({ ...device, inverterId: null })).toBe('');
    const half = d.equipment.inverters.map((t) => ({ ...t, busD0: null }));
    expect(busMarks({ ...d, equipment: { ...d.equipment, inverters: half } })(device)).toBe('');
    expect(chainSheet(wholeChain(2, 60), () => 'B / A').rows[0]?.marks).toBe('B / A');
    expect(chainSheet(wholeChain(2, 60)).rows[0]?.marks).toBe('');
  });
});
