import type { AcRun } from './part';

/** A run's cable as schedules say it, as far as it is known: 2 × 5-core 120 mm² Cu XLPE. */
export function cableWords(run: AcRun): string {
  const { parallel, cores, sectionMm2, metal, insulation } = run;
  if (sectionMm2 === null) return 'not known';
  const sets = parallel === null ? '? × ' : parallel > 1 ? `${parallel} × ` : '';
  return sets + [cores, `${sectionMm2} mm²`, metal, insulation].filter((word) => word !== null).join(' ');
}
