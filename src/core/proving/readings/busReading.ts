import type { Answer } from '../../kernel/answer';
import type { Finding } from '../../links/field/compare';
import type { SaidBy } from '../saidBy';

/** A bus that was asked, unit by unit, and measured with its plugs in and everything off, beside what the plan says. */
export interface BusReading {
  readonly from: SaidBy;
  /** Questions to each unit. */
  readonly polls: number;
  readonly bitRate: number;
  readonly plannedBitRate: number | null;
  /** Devices of the chain that have no address yet. */
  readonly unaddressed: readonly string[];
  /** Plan against found, whoever answered at all; none where no device has an address. */
  readonly findings: readonly Finding[];
  /** Planned units with the share of questions that came back well, 0…1. */
  readonly shares: readonly { readonly label: string; readonly share: number }[];
  /** Across the pair at the first device, Ω. */
  readonly pairOhm: number;
  readonly expectedOhm: Answer<number>;
  /** What that reading says of the chain, in words. */
  readonly means: string;
  /** Largest D0 to local earth, V rms, before the reference was landed. */
  readonly groundV: number;
}
