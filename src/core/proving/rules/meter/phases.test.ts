import { describe, expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { reading } from '../../../testing/meterReadings';
import { meterSignature, meterStep } from '../../measure/meterSignature';
import { METER_PHASES } from './phases';

edges(METER_PHASES, () => ({
  holds: [reading(), reading({ changeKw: [17 * 1.149, 17 * 0.851, 17] })],
  stops: [
    reading({ changeKw: [17, -17, 17] }),
    reading({ changeKw: [17, 0, 17] }),
    reading({ changeKw: [17.1, -8.6, -8.4] }),
  ],
  without: { 'change of every phase, with the load steady': reading({ changeKw: [17, 17, 4.5] }) },
  says: [
    [reading(), /L1 1.006: right; L2 1.000: right; L3 0.994: right/],
    [reading({ changeKw: [8.4, 8.5, 8.6] }), /./, /all alike at 0.50/],
  ],
}));

describe('current transformers (worked values)', () => {
  it('tells two exchanged from two turned', () => {
    const s = meterSignature([17.1, -8.6, -8.4], 51);
    expect(s.each).toEqual(['right', 'wrong phase', 'wrong phase']);
    expect(s.ratios.map((r) => Number(r.toFixed(9)))).toEqual([1.005882353, -0.505882353, -0.494117647]);
    expect(s).toMatchObject({ ratioSuspect: null, verdict: 'stop' });
  });
  it('suspects the ratio where all are off alike', () => {
    expect(meterSignature([8.4, 8.5, 8.6], 51).ratioSuspect).toBeCloseTo(0.5, 9);
    expect(meterSignature([17, 17, 17], 51).ratioSuspect).toBeNull();
    expect(meterSignature([8.4, 8.5, 9.5], 51).ratioSuspect).toBeNull();
    expect(meterSignature([0.5, 0.5, 0.5], 51).ratioSuspect).toBeNull();
  });
  it('allows the larger of 3 % of the rating and 5 % of the power', () => {
    expect(meterStep(-38.2, 11.9, 51, 100)).toMatchObject({ limitKw: 3, verdict: 'holds' });
    expect(meterStep(-38.2, 11.9, 51, 100).errorKw).toBeCloseTo(0.9, 9);
  });
});
