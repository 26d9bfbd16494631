import type { ModuleType } from '../../equipment/moduleType';
import { lineOf } from '../../site/line';
import type { StringsDesign } from '../part';
import type { LitHour } from './lightStates';
import type { LitPlane } from './litPlane';
import { litPlane } from './litPlane';
import { mixKept, modelsOf } from './mixKept';
import type { YearTracker } from './trackers';
import { yearTrackers } from './trackers';
import { trackerHour, unitHour } from './unitHour';
import type { LeftInHeat } from './leftInHeat';
import type { UnitYear, YearResult } from './yearResult';

const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Told of every hour, state of light by state of light, with its weight in hours: AC power of every inverter, W, in the order of the design. */
export type OnPower = (hour: LitHour, weight: number, acW: readonly number[]) => void;

/** Running sums of a year, kWh where nothing else is said. */
export class YearSums {
  private readonly sheets: readonly (ModuleType | undefined)[];
  private readonly trackers: readonly YearTracker[];
  private readonly units;
  private readonly kept: number;
  private readonly modelOf = modelsOf();
  private readonly trackerKwh: number[];
  private readonly mismatchKwh: number[];
  private readonly limitedKwh: number[];
  private readonly planeWh: number[];
  private readonly heat = Array.from({ length: 12 }, () => Array.from({ length: 24 }, () => 0));
  private readonly monthlyKwh = Array.from({ length: 12 }, () => 0);
  private cableWh = 0;
  private globalWh = 0;

  constructor(
    private readonly design: StringsDesign,
    leftInHeat: LeftInHeat = () => null,
    private readonly onPower?: OnPower,
  ) {
    const line = lineOf(design);
    this.sheets = design.planes.map((p) => line.plane(p.id)?.module);
    this.trackers = yearTrackers(design);
    this.units = design.inverters.map((unit) => ({
      unit,
      type: line.inverterType(unit.typeId),
      leftInHeat: leftInHeat(unit),
      own: this.trackers.flatMap((tracker, index) =>
        design.inverters[tracker.unit] === unit ? [{ tracker, index }] : [],
      ),
      sums: { dc: 0, ac: 0, clipped: 0, heat: 0, clippedHours: 0, waiting: 0 },
    }));
    this.kept = 1 - design.energy.lossPercent / 100;
    this.trackerKwh = this.trackers.map(() => 0);
    this.mismatchKwh = this.trackers.map(() => 0);
    this.limitedKwh = this.trackers.map(() => 0);
    this.planeWh = design.planes.map(() => 0);
  }

  /** Whether every module on a mixed tracker has a curve, so that mismatch is computed. */
  get mismatchComputed(): boolean {
    return this.sheets.every(
      (m, i) => !m || !this.trackers.some((t) => t.mixed && t.parts.some((p) => p.plane === i)) || this.modelOf(m),
    );
  }

  /** Adds one hour, state of light by state of light. */
  add(hour: LitHour): void {
    for (const { weight, light } of hour.states) {
      this.globalWh += weight * light.globalWm2;
      const lit = this.design.planes.map((plane, p): LitPlane | null => {
        const m = this.sheets[p];
        if (!m) return null;
        const on = litPlane(plane, m, hour, light, this.design.energy.albedo);
        this.planeWh[p] = (this.planeWh[p] ?? 0) + weight * on.totalWm2;
        return on;
      });
      const acW = this.addUnits(weight, lit, hour.ambientC);
      const row = this.heat[hour.month];
      this.onPower?.(hour, weight, acW);
      for (const w of acW) {
        if (row) row[hour.hour] = (row[hour.hour] ?? 0) + (weight * w) / 1000;
        this.monthlyKwh[hour.month] = (this.monthlyKwh[hour.month] ?? 0) + (weight * w) / 1000;
      }
    }
  }

  /** Adds every inverter in one state of light; their AC power, W, 0 where nothing hangs. */
  private addUnits(weight: number, lit: readonly (LitPlane | null)[], ambientC: number): number[] {
    const mixes = new Map<string, number>();
    return this.units.map(({ type, own, sums, leftInHeat }) => {
      if (!type || own.length === 0) return 0;
      const shareKept = (t: YearTracker): number => {
        const share = mixes.get(t.mixKey) ?? mixKept(t, lit, this.sheets, this.modelOf, type);
        mixes.set(t.mixKey, share);
        return share;
      };
      let [dcW, openV] = [0, 0];
      for (const { tracker, index } of own) {
        const t = trackerHour(tracker, lit, this.kept, type.trackerOperatingMaxA, shareKept);
        this.limitedKwh[index] = (this.limitedKwh[index] ?? 0) + (weight * t.limitedW) / 1000;
        this.cableWh += weight * t.cableW;
        this.trackerKwh[index] = (this.trackerKwh[index] ?? 0) + (weight * t.powerW) / 1000;
        this.mismatchKwh[index] = (this.mismatchKwh[index] ?? 0) + (weight * t.mismatchW) / 1000;
        dcW += t.powerW;
        openV = Math.max(openV, t.openV);
      }
      const { acW, clippedW, heatW, clips, waits } = unitHour(dcW, openV, type, leftInHeat?.(ambientC));
      sums.heat += (weight * heatW) / 1000;
      sums.dc += (weight * dcW) / 1000;
      sums.ac += (weight * acW) / 1000;
      sums.clipped += (weight * clippedW) / 1000;
      if (clips) sums.clippedHours += weight;
      if (waits) sums.waiting += weight;
      return acW;
    });
  }

  /** The year as it is shown. */
  result(assumptions: readonly string[]): YearResult {
    const units = this.unitYears();
    const total = (of: (u: UnitYear) => number) => units.reduce((sum, u) => sum + of(u), 0);
    const acKwh = total((u) => u.acKwh);
    const clippedKwh = total((u) => u.clippedKwh);
    const wantedKwh = acKwh + clippedKwh + total((u) => u.heatKwh);
    const dcW = total((u) => u.dcW);
    return {
      units,
      trackers: this.trackers.map((t, i) => ({
        inverterId: this.design.inverters[t.unit]?.id ?? '',
        tracker: t.tracker,
        strings: t.parts.reduce((sum, p) => sum + p.strings, 0),
        dcKwh: this.trackerKwh[i] ?? 0,
        limitedKwh: this.limitedKwh[i] ?? 0,
        mismatchKwh: this.mismatchKwh[i] ?? 0,
      })),
      heatMapKw: this.heat.map((row, m) => row.map((kwh) => kwh / (DAYS[m] ?? 30))),
      monthlyKwh: this.monthlyKwh,
      planes: this.design.planes.map((p, i) => ({
        planeId: p.id,
        label: p.label,
        kwhM2: (this.planeWh[i] ?? 0) / 1000,
      })),
      globalKwhM2: this.globalWh / 1000,
      dcKwh: total((u) => u.dcKwh),
      acKwh,
      clippedPercent: wantedKwh > 0 ? (100 * clippedKwh) / wantedKwh : 0,
      limitedKwh: this.limitedKwh.reduce((a, b) => a + b, 0),
      heatKwh: total((u) => u.heatKwh),
      mismatchKwh: this.mismatchKwh.reduce((a, b) => a + b, 0),
      cableKwh: this.cableWh / 1000,
      kwhPerKwp: dcW > 0 ? acKwh / (dcW / 1000) : 0,
      assumptions: [...assumptions],
    };
  }

  private unitYears(): UnitYear[] {
    const partW = (t: YearTracker) =>
      t.parts.reduce((w, p) => w + p.strings * p.modules * (this.sheets[p.plane]?.pmaxW ?? 0), 0);
    return this.units.map(({ unit, type, own, sums: s }) => ({
      inverterId: unit.id,
      tag: unit.tag,
      dcW: own.reduce((sum, { tracker }) => sum + partW(tracker), 0),
      ratedW: type?.ratedW ?? 0,
      dcKwh: s.dc,
      acKwh: s.ac,
      clippedKwh: s.clipped,
      heatKwh: s.heat,
      clippedPercent: s.ac + s.clipped > 0 ? (100 * s.clipped) / (s.ac + s.clipped + s.heat) : 0,
      clippedHours: s.clippedHours,
      waitingHours: s.waiting,
    }));
  }
}
