import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { LOOP } from './loop';

/** The worked loop: 630 kVA of 4 % with 6.5 kW of losses, as good as no network, 80 m of 150 mm² aluminium and 50 mm² copper. */
const worked = (over: NonNullable<Parameters<typeof acRun>[0]> = {}) =>
  acRun({
    ...over,
    run: { metal: 'Al', sectionMm2: 150, peMm2: 50, lengthM: 80, ...over.run },
    survey: {
      transformerKva: 630,
      transformerImpedancePercent: 4,
      transformerLossKw: 6.5,
      upstreamMva: 100_000,
      ...over.survey,
    },
    // A main cable of no account.
    board: { mainLengthM: 1e-6, ...over.board },
  });
const set = (magneticA: number) => worked({ run: { magneticA } });

edges(LOOP, () => ({
  holds: [worked(), acRun(), set(2722)],
  stops: [set(2723), worked({ run: { peMm2: 25 } }), worked({ run: { breakerTrip: 'D', breakerA: 200 } })],
  without: {
    'impedance of the fault loop': worked({ survey: { upstreamMva: null } }),
    'trip of the breaker': worked({ run: { magneticA: null } }),
  },
  says: [
    [
      worked(),
      /^Z_s = 0\.0671 Ω, hot, there and back: 0\.95 · U_0\/Z_s = 326[67] A$/,
      /^trips at once at 1\.2 · 2000 A set = 2400 A$/,
      /two thirds/,
    ],
    [worked({ run: { breakerTrip: 'C', breakerA: 200 } }), /./, /^trips at once at curve C: 10 · 200 A = 2000 A$/, /./],
    [worked({ run: { breakerTrip: 'B', breakerA: null } }), /^Missing: breaker$/],
    [worked({ survey: { service: 'high-leg delta' } }), /^Missing: the loop of a supply “high-leg delta”/],
    [
      worked({ survey: { transformerLossKw: null, upstreamMva: null, service: null }, board: { mainPeMm2: null } }),
      /^Missing: supply and its earthing, load losses of the transformer, short-circuit power of the network, PE of the main cable$/,
    ],
    [
      worked({ run: { peMm2: null, peMetal: null, peInCable: null } }),
      /^Missing: PE section, metal of the PE, whether the PE/,
    ],
    [worked({ board: { mainLengthM: null } }), /^Missing: length of the main cable$/],
  ],
}));

/** An electrode of so many ohms, and a residual-current device or none (IEC 60364-4-41, 411.5.3: R_A · I_Δn ≤ 50 V; recalled). */
const tt = (electrodeOhm: number | null, residualMa: number | null, rcdFitted: boolean | null = true) =>
  acRun({ run: { residualType: 'B', residualMa }, survey: { service: 'earthed wye, TT', electrodeOhm, rcdFitted } });

edges(LOOP, () => ({
  holds: [
    tt(50, 1000),
    tt(16.6, 3000),
    acRun({
      run: { residualFitted: true, residualMa: 1000 },
      survey: { service: 'earthed wye, TT', electrodeOhm: 50, rcdFitted: false },
    }),
  ],
  stops: [tt(50.1, 1000), tt(16.7, 3000), tt(5, null, false)],
  without: { 'impedance of the fault loop': tt(null, 1000), 'trip of the breaker': tt(50, null) },
  numbers: [[tt(50, 1000), { value: 1, limit: 1, margin: 0 }]],
  says: [
    [
      tt(25, 1000),
      /^TT: 50 V over 25 Ω of electrode = 2\.000 A$/,
      /^cleared by the residual-current device at 1000 mA$/,
    ],
    [tt(5, null, false), /^TT/, /^no residual-current device/],
    [tt(5, 1000, null), /^Missing: whether residual-current devices are fitted$/],
    [tt(null, 1000), /^Missing: resistance of the earth electrode$/],
  ],
}));

/** A star that is earthed nowhere: the second fault counts (411.6.4: Z_s ≤ √3·U_0/(2·I_a) without, U_0/(2·I_a) with a neutral; recalled). */
const it_ = (magneticA: number, wiring: '3-wire plus PE' | '5-wire' = '3-wire plus PE') =>
  worked({ run: { magneticA }, type: { wiring }, survey: { service: 'IT wye, dedicated transformer' } });
/** Half of √3 of the earth fault of the same loop, 3267 A within its third digit. */
const SECOND = (3267 * Math.sqrt(3)) / 2;

edges(LOOP, () => ({
  holds: [it_((0.999 * SECOND) / 1.2), it_((0.999 * 3267) / 2 / 1.2, '5-wire')],
  stops: [it_((1.001 * SECOND) / 1.2), it_((1.001 * 3267) / 2 / 1.2, '5-wire')],
  without: {
    'impedance of the fault loop': worked({ survey: { service: 'delta ungrounded, shared', upstreamMva: null } }),
    'trip of the breaker': worked({ run: { magneticA: null }, survey: { service: 'IT wye, shared' } }),
  },
  says: [[it_(2000), /second fault of an IT system: 0\.95 · √3 · U_0/, /^trips at once/]],
}));
