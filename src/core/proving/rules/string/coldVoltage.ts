import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { StringReading } from '../../readings/stringReading';

/** Reserve wanted under the limit, per cent, and how far a string may lie from its design figure (common practice). */
const RESERVE_PERCENT = 2;
const FROM_DESIGN_PERCENT = 3;

/** A measured string carried to the coldest morning by the site's own method, V, against the DC limit where it hangs. */
export const MEASURED_COLD = rule<StringReading>()({
  id: 'proving.cold-voltage',
  title: 'Measured string on the coldest morning',
  unit: 'V',
  basis: practice('reading carried to the lowest design temperature; 2 % wanted in hand'),
  reads: 'DC voltage',
  needs: {
    cold: { as: 'lowest design temperature', answer: (t) => t.cold },
    coldV: { as: 'lowest design temperature', of: (t) => t.coldV, missing: (t) => t.cold.missing },
    limitV: { as: 'DC limit', answer: (t) => t.limitV },
  },
  judge: ({ cold, coldV, limitV }, { voltageV, cellC, irradianceWm2, coldestC, modules }) => {
    const j = atMost(
      {
        value: Math.max(voltageV, coldV),
        limit: limitV,
        working: () => [
          `${fixed(voltageV, 1)} V at ${fixed(cellC, 1)} °C and ${fixed(irradianceWm2, 0)} W/m² → ${fixed(coldV, 1)} V at ${coldestC} °C; limit ${limitV} V`,
        ],
      },
      RESERVE_PERCENT,
    );
    const designV = modules * cold.uocColdV;
    const off = 100 * (coldV / designV - 1);
    if (j.verdict !== 'holds' || !(Math.abs(off) > FROM_DESIGN_PERCENT)) return j;
    return withVerdict(j, 'tight', () => [
      `${fixed(off, 1)} % from the design figure ${fixed(designV, 1)} V: check model and count.`,
    ]);
  },
});
