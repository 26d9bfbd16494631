import type { SaidBy } from '../saidBy';

/** A unit as it is set up, beside what survey, chain and sheet ask of it. */
export interface SetUpReading {
  readonly from: SaidBy;
  readonly gridCode: string;
  readonly nominalV: number;
  readonly nominalHz: number;
  /** Clock of the unit ahead of the phone, s. */
  readonly clockAheadS: number;
  readonly zoneSet: boolean;
  readonly address: number | null;
  readonly bitRate: number | null;
  readonly exportLimitKw: number | null;
  /** The newest letter of the operator on record, with its limit where it sets one; null: none is on record. */
  readonly permit: { readonly limitKw: number | null } | null;
  readonly insulationKohm: number;
  readonly passwordChanged: boolean;
  readonly firmware: string;
  /** Units of the same type that were set up before it. */
  readonly sisters: readonly { readonly tag: string; readonly firmware: string }[];
  /** What an export limit goes by; null: nobody said. */
  readonly meter: 'none' | 'current transformers' | 'bus meter' | null;
  /** Null: nobody said. */
  readonly rapidShutdown: boolean | null;
  readonly site: {
    readonly gridCode: string | null;
    readonly lineV: number | null;
    readonly frequencyHz: number | null;
    readonly address: number | null;
    readonly bitRate: number | null;
    /** Largest DC voltage of the unit, V. */
    readonly dcMaxV: number;
  };
}
