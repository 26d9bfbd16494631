/** Least rated residual current beside a unit, mA: the larger of 300 mA and 10 mA for each kVA (IEC 62109-2, 4.8.3.5, as a floor; recalled). */
export const residualFloorMa = (apparentKva: number): number => Math.max(300, 10 * apparentKva);

/** From where to where a reading has to lie, both edges in it; null: no lower edge. */
export interface Band {
  readonly from: number | null;
  readonly to: number;
}

/** Trip times by how many times the rated current flows, ms: general, and delayed (type S) (IEC 61008-1, Table 1; recalled). */
const TRIP_MS = {
  general: { 1: { from: null, to: 300 }, 5: { from: null, to: 40 } },
  delayed: { 1: { from: 130, to: 500 }, 5: { from: 50, to: 150 } },
} as const;
export const tripBandMs = (times: 1 | 5, delayed: boolean): Band => TRIP_MS[delayed ? 'delayed' : 'general'][times];

/** Where a ramp has to trip, mA: 0.5 to 1 of the rating, to 2 of it where the ramp is smooth (IEC 61008-1; IEC 62423; recalled). */
export const rampBandMa = (ratedMa: number, smooth: boolean): Band => ({
  from: 0.5 * ratedMa,
  to: (smooth ? 2 : 1) * ratedMa,
});

export const isIn = ({ from, to }: Band, value: number): boolean => value <= to && (from === null || value >= from);

/** The edge of a band to which a reading lies nearest. */
export const nearestEdge = ({ from, to }: Band, value: number): number =>
  from !== null && value - from < to - value ? from : to;

export const bandText = ({ from, to }: Band, unit: string): string =>
  from === null ? `at most ${to} ${unit}` : `${from} to ${to} ${unit}`;
