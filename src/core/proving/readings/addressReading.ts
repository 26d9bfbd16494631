import type { SaidBy } from '../saidBy';

/** The bus address of a unit as it was set, beside what the plan says. */
export interface AddressReading {
  readonly from: SaidBy;
  readonly address: number;
  /** Serial that was read back at the address; null: nobody asked. */
  readonly serial: string | null;
  readonly plannedAddress: number | null;
  readonly plannedSerial: string | null;
}
