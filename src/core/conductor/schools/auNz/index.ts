import { schoolToCome } from '../../notYet';

/** Wiring rules of Australia and New Zealand. Standard and table numbers recalled. */
export const AU_NZ = schoolToCome('AU/NZ', {
  ampacity: 'AS/NZS 3008.1.1, current-carrying capacity and rating factors',
  conductorOhmPerM: 'AS/NZS 3008.1.1, resistance of cables',
  adiabaticK: 'AS/NZS 3008.1.1, short-circuit temperatures',
  protectiveEarthMm2: 'AS/NZS 3000, Table 5.1',
  externalEarthMm2: 'AS/NZS 3000, Table 5.1',
  standardSectionMm2: 'AS/NZS 1125, conductor sizes',
  breakerNeed: 'AS/NZS 3000, 2.5.3, and the breaker’s own derating',
  nextBreakerA: 'AS/NZS IEC 60947-2, rated currents',
  boardA: 'AS/NZS 4777.1, connection of inverters to a board',
  lug: 'a lug series for AS/NZS 1125 conductors',
  diameter: 'outer diameters of AS/NZS 5000.1 cables, or a measured cable diameter',
  dcAmpacity: 'AS/NZS 5033 and 3008.1.1, current of PV cable',
});
