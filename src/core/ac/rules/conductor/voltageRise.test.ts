import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { VOLTAGE_RISE } from './voltageRise';

/** √3 · 160 A · 0.153 Ω/km · (1 + 0.00393 × 70) in per cent of 400 V, a metre (IEC 60228, recalled). */
const PERCENT_A_METRE = (100 * Math.sqrt(3) * 160 * (0.153 / 1000) * (1 + 0.00393 * 70)) / 400;
const rise = (percent: number) => acRun({ run: { lengthM: percent / PERCENT_A_METRE } });

edges(VOLTAGE_RISE, () => ({
  holds: [rise(0.5), rise(1)],
  tight: [rise(1.001), rise(2)],
  stops: [rise(2.001)],
  without: {
    'section, length and frequency': acRun({ run: { lengthM: null } }),
    'nominal line voltage': acRun({ survey: { lineV: null } }),
  },
  numbers: [[acRun({ run: { lengthM: 60 } }), { value: 60 * PERCENT_A_METRE, limit: 2 }]],
  says: [
    // 60 m at 0.153 Ω/km and 90 °C.
    [
      acRun({ run: { lengthM: 60 } }),
      /^R = 11\.705 mΩ a conductor at 90 °C/,
      /160\.0 A × 11\.705 mΩ × 1 = 3\.24 V = 0\.811 %/,
      // 346 · 0.91 · 0.82 = 258.2 A at 40 °C: 40 + 50 · (160/258.2)² = 59.2 °C, and R by 0.00393 a kelvin.
      /^at this current the conductor settles at 59\.2 °C: 0\.734 %$/,
      /1 %, at most 2 %/,
    ],
    // Without the current the cable may carry nothing is said of it; overloaded, nothing cooler.
    [acRun({ run: { lengthM: 60, ambientC: null } }), /^R = /, /^ΔU/, /^wanted/],
    [acRun({ run: { lengthM: 60, sectionMm2: 25, cableDiameterMm: null } }), /^R = /, /^ΔU/, /^wanted/],
  ],
}));
