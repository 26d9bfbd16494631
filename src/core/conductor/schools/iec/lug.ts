import { exactly } from '../../../kernel/publishedTable';
import type { MeasuredPalm } from '../../laid';
import type { Metal } from '../../metal';
import type { Lug } from '../../school';
import { LUGS_ALUMINIUM } from './tables/lugsAluminium';
import { LUGS_COPPER } from './tables/lugsCopper';

type PalmColumn = 'palm M8' | 'palm M10' | 'palm M12' | 'palm M16';

/** Growth of the conductor in the crimp, mm (common practice). */
const stripAllowanceMm = (sectionMm2: number) => (sectionMm2 <= 50 ? 2 : 4);

/**
 * The lug for a section and stud (DIN 46235 copper, DIN 46329 aluminium; recalled). Undefined where the series knows no such section, or no
 * such hole and nobody measured the palm of the lug in hand: another maker's lug may have it.
 * Measured palm figures outrank the table. Aluminium lugs have no standard palm: null until measured or read off their sheet.
 */
export function lugFor(metal: Metal, sectionMm2: number, studM: number, measured: MeasuredPalm): Lug | undefined {
  const table = metal === 'Cu' ? LUGS_COPPER : LUGS_ALUMINIUM;
  const dieCode = exactly(table, sectionMm2, 'die code');
  if (dieCode === undefined) return undefined;
  const palm =
    metal === 'Cu' && studM >= 8 ? exactly(LUGS_COPPER, sectionMm2, `palm M${studM}` as PalmColumn) : undefined;
  if (metal === 'Cu' && palm === undefined && measured.palmWidthMm === null) return undefined;
  const bound = metal === 'Cu' ? exactly(LUGS_COPPER, sectionMm2, 'palm thickness bound') : undefined;
  const depth = metal === 'Cu' ? exactly(LUGS_COPPER, sectionMm2, 'barrel depth') : undefined;
  return {
    sectionMm2,
    studM,
    dieCode,
    palmWidthMm: measured.palmWidthMm ?? palm ?? null,
    palmThicknessMm: measured.palmThicknessMm ?? bound ?? null,
    thicknessIsBound: measured.palmThicknessMm === null,
    crimps: metal === 'Cu' ? (exactly(LUGS_COPPER, sectionMm2, 'crimps 5 mm die') ?? null) : null,
    barrelOuterMm: metal === 'Cu' ? (exactly(LUGS_COPPER, sectionMm2, 'barrel outer') ?? null) : null,
    barrelDepthMm: depth ?? null,
    stripMm: depth === undefined ? null : depth + stripAllowanceMm(sectionMm2),
    source: table.source,
  };
}
