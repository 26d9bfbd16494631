import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { SECTION_LARGEST } from './sectionLargest';

const section = (sectionMm2: number | null, sectionMaxMm2: number | null = 120) =>
  acRun({ run: { sectionMm2 }, bay: { sectionMaxMm2 } });

edges(SECTION_LARGEST, () => ({
  holds: [section(120), section(95)],
  stops: [section(150)],
  without: { section: section(null), 'largest conductor, from the sheet': section(120, null) },
  numbers: [[section(95), { value: 95, limit: 120 }]],
  says: [[section(120, null), /^Missing: largest conductor of T100$/]],
}));
