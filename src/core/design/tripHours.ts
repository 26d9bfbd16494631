import type { VoltagePath } from '../ac/voltagePath/path';
import { voltagePicture } from '../ac/voltagePath/picture';
import { acResults } from '../ac/results';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import { Memo } from '../kernel/memo';
import { fixed } from '../kernel/quantity';
import type { YearOptions } from '../strings/year/yearOfEnergy';
import { yearOfEnergy } from '../strings/year/yearOfEnergy';
import type { SiteDesign } from '.';

/** One hour, or the clear or the overcast part of it: what the site feeds and the voltages it makes, line to line. */
export interface FedHour {
  /** Day of the year, 1…366, and hour of the day in standard time. */
  readonly day: number;
  readonly hour: number;
  /** Hours of the year it stands for. */
  readonly weightH: number;
  readonly powerW: number;
  readonly boardV: number;
  readonly worstV: number;
}

export interface TripYear {
  readonly restV: number;
  readonly tripV: number;
  /** Hours in which the voltage at some unit passes its trip level while all feed. */
  readonly hoursH: number;
  readonly units: readonly {
    readonly id: string;
    readonly tag: string;
    readonly hoursH: number;
    readonly kwh: number;
  }[];
  readonly fed: readonly FedHour[];
  readonly assumptions: readonly string[];
}

/** The way from the grid to the units of a design. */
export const pathOf = (design: SiteDesign): Answer<VoltagePath> => acResults(design, new Memo()).board.path;

/**
 * Hours of a year in which units pass their ten-minute trip level with the grid at rest at U_0, V, and the energy they feed in them, kWh: at most
 * lost, for a unit that trips lowers the voltage of the others. Every hour of the year of energy, its powers through the radial network.
 * U_0 as the survey has it where it is not given. Source: `yearOfEnergy` and `radialVoltages`.
 */
export function tripHours(design: SiteDesign, options: YearOptions, restV: number | null = null): Answer<TripYear> {
  const own = pathOf(design);
  if (own.value === null) return lacking(...own.missing);
  const path = { ...own.value, restV: restV ?? own.value.restV };
  const at = path.units.map((u) => design.inverters.findIndex((i) => i.id === u.id));
  const over = path.units.map(() => ({ hoursH: 0, wattHours: 0 }));
  const fed: FedHour[] = [];
  let [hoursH, unsolvedH] = [0, 0];
  const year = yearOfEnergy(design, {
    ...options,
    onPower: ({ day, hour }, weightH, acW) => {
      const powerW = acW.reduce((sum, w) => sum + w, 0);
      if (powerW <= 0) return;
      const watts = at.map((i) => acW[i] ?? 0);
      const picture = voltagePicture(path, (_, k) => ({ activeW: watts[k] ?? 0, reactiveVar: 0 }));
      if (!picture) {
        unsolvedH += weightH;
        return;
      }
      fed.push({ day, hour, weightH, powerW, boardV: picture.boardV, worstV: picture.worst.terminalV });
      if (picture.worst.marginPercent <= 0) hoursH += weightH;
      picture.units.forEach((u, k) => {
        const sum = over[k];
        // A unit that feeds nothing has nothing to lose.
        if (!sum || u.marginPercent > 0 || !watts[k]) return;
        sum.hoursH += weightH;
        sum.wattHours += weightH * (watts[k] ?? 0);
      });
    },
  });
  if (year.value === null) return lacking(...year.missing);
  return known({
    restV: path.restV,
    tripV: path.tripV,
    hoursH,
    units: path.units.map(({ id, tag }, k) => ({
      id,
      tag,
      hoursH: over[k]?.hoursH ?? 0,
      kwh: (over[k]?.wattHours ?? 0) / 1000,
    })),
    fed,
    assumptions: [
      `The grid at rest stands at ${fixed(path.restV, 1)} V all year; unity power factor; conductors as hot as full load makes them.`,
      'Hourly powers stand for the ten-minute mean: passing clouds, and steps of the grid, are not in it.',
      'The energy is the most that is lost: a unit that trips lowers the voltage of the others.',
      ...(unsolvedH ? [`${fixed(unsolvedH, 0)} h left out: the network cannot carry their power.`] : []),
      ...year.value.assumptions,
    ],
  });
}

/** The hours of one day, the clear part of each where there are two. */
export function dayFed(fed: readonly FedHour[], day: number): readonly FedHour[] {
  const most = new Map<number, FedHour>();
  for (const h of fed) if (h.day === day && h.powerW >= (most.get(h.hour)?.powerW ?? 0)) most.set(h.hour, h);
  return [...most.values()].sort((a, b) => a.hour - b.hour);
}

/** The day on which the voltage stands highest; null where nothing is fed. */
export const worstDay = (fed: readonly FedHour[]): number | null =>
  fed.reduce<FedHour | null>((worst, h) => (worst && worst.worstV >= h.worstV ? worst : h), null)?.day ?? null;
