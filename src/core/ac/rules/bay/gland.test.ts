import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { GLAND } from './gland';

const gland = (
  cableDiameterMm: number | null,
  glandClampMinMm: number | null = 35,
  glandClampMaxMm: number | null = 60,
) => acRun({ run: { cableDiameterMm, cores: '4-core' }, bay: { glandClampMinMm, glandClampMaxMm } });
/** 4 × 120 mm² builds up to 44.6 mm; a real one has 43.262 to 49.06 mm (IEC 60502-1, recalled; −3…+10 % common practice). */
const built = (min: number, max: number) => gland(null, min, max);

edges(GLAND, () => ({
  holds: [gland(35), gland(60), built(43.26, 49.07)],
  tight: [built(43.27, 60), built(35, 49), built(44.6, 60), built(35, 44.6)],
  stops: [gland(34.99), gland(60.01), built(44.61, 60), built(35, 44.59)],
  without: {
    'section or measured cable diameter': acRun({ run: { sectionMm2: null, cableDiameterMm: null } }),
    'clamping range of the gland': gland(40, 35, null),
  },
  numbers: [
    [gland(50), { value: 50, limit: 60, margin: (100 * 10) / 60 }],
    [gland(36), { value: 36, limit: 60, margin: (100 * 1) / 35 }],
    [gland(30), { value: 30, limit: 35, margin: (-100 * 5) / 35 }],
    [built(44, 60), { value: 44.6, margin: 0 }],
  ],
  says: [
    [gland(40, 35, null), /^Missing: gland of T100$/],
    [gland(40), /^40 mm measured in a gland for 35 to 60 mm$/, /^Keep the inner seal/],
    [built(43.27, 60), /./, /seal/, /measure it before drilling/],
  ],
}));
