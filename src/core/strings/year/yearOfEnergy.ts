import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { WeatherYear } from '../../weather/weatherYear';
import type { StringsDesign } from '../part';
import type { LeftInHeat } from './leftInHeat';
import type { LitHour } from './lightStates';
import { clearSkyHours, fileHours } from './lightStates';
import type { OnPower } from './sums';
import { YearSums } from './sums';
import { AC_EFFICIENCY } from './unitHour';
import type { YearResult } from './yearResult';

/** Clearness where nobody entered any (common practice; the result says that it rests on it). */
const CLEARNESS_WHERE_UNKNOWN = 0.6;

export interface YearOptions {
  readonly year: number;
  readonly weather: WeatherYear | null;
  /** What heat and altitude leave of each unit's rating; nothing is taken off where it is left out. */
  readonly leftInHeat?: LeftInHeat;
  readonly onPower?: OnPower;
  readonly onMonth?: (month: number) => void;
}

/**
 * Energy of a year, hour by hour.
 *   P_dc = P_stc·G_eff/1000·(1 + γ(T_c − 25))·(1 − loss), cable loss R·I² taken off, T_c by NOCT on the light of the plane
 *   P_ac = min(0.98·Σ P_dc, f·rating), f what the heat leaves of the unit · clipped = 100(1 − ΣP_ac/Σ 0.98·P_dc)
 * Unlike strings on one tracker are reckoned by their curves: the same power less what sharing a voltage costs.
 * Sun at mid-hour. Neither horizon, rows in front, snow nor the rear side are in it.
 * Source: NOCT method (IEC 61215), Hay & Davies 1980, De Soto 2006; common practice for losses.
 */
export function yearOfEnergy(design: StringsDesign, options: YearOptions): Answer<YearResult> {
  const { survey, energy } = design;
  const missing = [
    ...(survey.latitudeDeg === null ? ['latitude'] : []),
    ...(survey.longitudeDeg === null ? ['longitude'] : []),
    ...(options.weather === null && energy.monthlyMeanC === null
      ? ['monthly mean temperatures, or a weather file']
      : []),
    ...(design.strings.some((s) => s.place) ? [] : ['strings on inputs']),
  ];
  if (survey.latitudeDeg === null || survey.longitudeDeg === null || missing.length) return lacking(...missing);
  const offsetH = energy.utcOffsetH ?? Math.round(survey.longitudeDeg / 15);
  const hours: Iterable<LitHour> = options.weather
    ? fileHours(options.weather, survey.latitudeDeg, survey.longitudeDeg)
    : clearSkyHours({
        year: options.year,
        latitudeDeg: survey.latitudeDeg,
        longitudeDeg: survey.longitudeDeg,
        utcOffsetH: offsetH,
        clearness: energy.clearness ?? Array.from({ length: 12 }, () => CLEARNESS_WHERE_UNKNOWN),
        monthlyMeanC: energy.monthlyMeanC ?? [],
        dailyRangeK: energy.dailyRangeK,
      });
  const sums = new YearSums(design, options.leftInHeat, options.onPower);
  let month = -1;
  for (const hour of hours) {
    if (hour.month !== month) options.onMonth?.((month = hour.month));
    sums.add(hour);
  }
  const assumptions = assumptionsOf(design, options, offsetH);
  return known(sums.result(sums.mismatchComputed ? assumptions : [...assumptions, NO_CURVE]));
}

const NO_CURVE = 'A module sheet describes no real curve: mismatch on its trackers is not computed.';

/** For which units heat is taken off. */
function heatWords({ inverters }: StringsDesign, leftInHeat: LeftInHeat = () => null): string {
  const without = inverters.filter((u) => leftInHeat(u) === null).map((u) => u.tag);
  const named = `${without.slice(0, 8).join(', ')}${without.length > 8 ? ` and ${without.length - 8} more` : ''}`;
  if (without.length === 0) return 'Heat and altitude: by the usual curves of inverters, the data sheet wins.';
  return without.length === inverters.length
    ? 'Nothing is taken off for heat and altitude: the air at the units or the altitude is not known.'
    : `Nothing is taken off for heat and altitude of ${named}: the air there is not known.`;
}

function assumptionsOf(design: StringsDesign, { weather, leftInHeat }: YearOptions, offsetH: number): string[] {
  const { energy } = design;
  return [
    ...(weather
      ? [`Weather: ${weather.label}.`, ...weather.notes]
      : ['No weather file: a clear sky dimmed by monthly clearness. It shows proportions, not a yield to promise.']),
    ...(weather === null && energy.clearness === null
      ? [`Clearness ${CLEARNESS_WHERE_UNKNOWN} every month: nobody entered any.`]
      : []),
    ...(energy.utcOffsetH === null && weather === null
      ? [`Standard time taken as UTC${offsetH >= 0 ? '+' : '−'}${Math.abs(offsetH)} from the longitude.`]
      : []),
    `Losses ${energy.lossPercent} %, inverter ${100 * AC_EFFICIENCY} %, ground ${energy.albedo}.`,
    design.dcCable.sectionMm2 === null
      ? 'DC cable: section not known, no cable loss taken off.'
      : `DC cable ${design.dcCable.sectionMm2} mm².`,
    heatWords(design, leftInHeat),
    'Not in it: horizon, rows in front, snow, the rear side of modules.',
  ];
}
