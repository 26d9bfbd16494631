import { describe, expect, it } from 'vitest';
import { bendingSpaceMm } from './bendingSpace';
import { SIZE_NAMES } from './tables/sizes';
import { BENDING_312_6 } from './tables/bendingSpace';

/** NFPA 70, Table 312.6(B) (recalled). */
describe('bending space of the NEC school', () => {
  it.each([
    [8.37, 38.1],
    [85.03, 165.1],
    [126.68, 215.9],
    [253.35, 355.6],
    [380.03, 431.8],
  ])('%s mm² wants %s mm', (area, mm) => expect(bendingSpaceMm(area, 1).value).toBeCloseTo(mm, 9));

  it('rises with the size, of sizes that there are', () => {
    const spaces = BENDING_312_6.rows.map(([, inches]) => inches ?? 0);
    expect(spaces).toEqual([...spaces].sort((a, b) => a - b));
    const sizes = new Set(SIZE_NAMES.map(([area]) => area));
    expect(BENDING_312_6.rows.filter(([area]) => !sizes.has(area))).toEqual([]);
  });

  it('has no answer off the table or for two wires a terminal', () => {
    expect(bendingSpaceMm(120, 1).missing[0]).toMatch(/^a bending space for 120 mm²/);
    expect(bendingSpaceMm(5.26, 1).missing[0]).toMatch(/10 AWG/);
    expect(bendingSpaceMm(85.03, 2).missing[0]).toMatch(/2 wires/);
  });
});
