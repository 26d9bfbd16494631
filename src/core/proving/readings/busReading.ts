import type { Answer } from '../../kernel/answer';
import type { Finding } from '../../links/field/compare';
import type { SaidBy } from '../saidBy';

/** One pair of a bus, measured at its first device, plugs in and everything off, beside its meter sheet. */
export interface PairReading {
  /** Where, in words. */
  readonly at: string;
  /** Ω; null: not read. */
  readonly pairOhm: number | null;
  readonly expectedOhm: Answer<number>;
  /** Ends planned with a capacitor: what all of them and the cable have, nF; null: with none. */
  readonly expectedNf: Answer<number> | null;
  readonly pairNf: number | null;
  /** What that reading says of the pair, in words. */
  readonly means: string;
}

/** Units that were asked many times over. */
export interface AskedUnits {
  /** Questions to each. */
  readonly polls: number;
  /** Those planned, with the share of questions that came back well, 0…1. */
  readonly shares: readonly { readonly label: string; readonly share: number }[];
}

/** A bus that was asked, unit by unit, and measured with its plugs in and everything off, beside what the plan says. */
export interface BusReading extends AskedUnits {
  readonly from: SaidBy;
  readonly bitRate: number;
  readonly plannedBitRate: number | null;
  /** Devices of the chain that have no address yet. */
  readonly unaddressed: readonly string[];
  /** Plan against found, whoever answered at all; none where no device has an address. */
  readonly findings: readonly Finding[];
  /** Its pair, and behind every repeater the next. */
  readonly pairs: readonly PairReading[];
  /** Largest D0 to local earth, V rms, before the reference was landed. */
  readonly groundV: number;
}
