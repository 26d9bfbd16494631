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
    [worked({ survey: { service: 'earthed wye, TT' } }), /^Missing: the loop of a supply “earthed wye, TT”/],
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
