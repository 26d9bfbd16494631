/** What the hand-over says in figures. */
export interface HandOverSummary {
  readonly name: string;
  readonly place: string;
  /** Letter of the release that is built; null where none is. */
  readonly release: string | null;
  readonly units: number;
  readonly onGrid: number;
  readonly strings: number;
  readonly stringsProved: number;
  readonly dcKw: number;
  readonly acKw: number;
  readonly lowestInsulationMohm: number | null;
  readonly worstVoltagePercent: number | null;
  readonly openPoints: number;
  readonly entries: number;
}
