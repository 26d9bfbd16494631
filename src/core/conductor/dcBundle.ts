import type { Answer } from '../kernel/answer';
import { given } from '../kernel/answer';
import type { DcBundle, DcCableMode } from './laid';

/** A bundle of DC cables of which everything is said. */
export interface SaidBundle {
  readonly sectionMm2: number;
  readonly mode: DcCableMode;
  readonly ambientC: number;
  readonly circuitsTogether: number;
}

/** A bundle as every school asks for it. */
export const saidOfBundle = ({ sectionMm2, mode, ambientC, circuitsTogether }: DcBundle): Answer<SaidBundle> =>
  given(
    {
      'section of the DC cable': sectionMm2,
      'how the DC cable lies': mode,
      'hottest ambient at the DC cable': ambientC,
      'DC circuits in one bundle': circuitsTogether,
    },
    (k) => ({
      sectionMm2: k['section of the DC cable'],
      mode: k['how the DC cable lies'],
      ambientC: k['hottest ambient at the DC cable'],
      circuitsTogether: k['DC circuits in one bundle'],
    }),
  );
