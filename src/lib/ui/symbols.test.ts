import { describe, expect, it } from 'vitest';
import { piecesOf } from './symbols';

const shown = (line: string) =>
  piecesOf(line)
    .map((p) => (p.below ? `<${p.text}>` : p.text))
    .join('');

describe('indices of symbols', () => {
  it('stand below the line', () => {
    expect(shown('n × U_oc,cold = 17 × 52.1 V')).toBe('n × U<oc,cold> = 17 × 52.1 V');
    expect(shown('1.5 × g_b × I_sc ≤ I_z')).toBe('1.5 × g<b> × I<sc> ≤ I<z>');
    expect(shown('ΔU_dc = R_s·I')).toBe('ΔU<dc> = R<s>·I');
  });
  it('end where a word goes on', () => {
    expect(shown('U_oc, then I_sc')).toBe('U<oc>, then I<sc>');
  });
  it('are none in names and numbers', () => {
    expect(shown('pitched_gap and file_name, 12_000')).toBe('pitched_gap and file_name, 12_000');
    expect(shown('')).toBe('');
    expect(shown('plain')).toBe('plain');
  });
});
