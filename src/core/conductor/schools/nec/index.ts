import { schoolToCome } from '../../notYet';

/** NFPA 70, the National Electrical Code. Article and table numbers recalled. */
export const NEC = schoolToCome('NEC', {
  ampacity: 'NFPA 70, Table 310.16 with 310.15 and 110.14(C)',
  conductorOhmPerM: 'NFPA 70, chapter 9, Tables 8 and 9',
  adiabaticK: 'ICEA P-32-382, withstand of insulated conductors',
  protectiveEarthMm2: 'NFPA 70, Table 250.122',
  externalEarthMm2: 'NFPA 70, Table 250.122 and 690.43',
  standardSectionMm2: 'NFPA 70, chapter 9, Table 8',
  breakerNeed: 'NFPA 70, 690.8 and 690.9(B): continuous duty at 125 %',
  nextBreakerA: 'NFPA 70, 240.6(A)',
  boardA: 'NFPA 70, 705.12(B)',
  lug: 'a lug series for AWG and kcmil',
  diameter: 'outer diameters of AWG cables, or a measured cable diameter',
  dcAmpacityA: 'an ampacity table of the NEC school for DC cable',
});
