import * as Comlink from 'comlink';
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';
import Papa from 'papaparse';
import type { SiteDesign } from '$core/site/siteDesign';
import type { FleetAnswer } from '$core/strings/layout/fleet';
import { fleetsFor } from '$core/strings/layout/fleet';
import type { DesignAnswer } from '$core/strings/layout/solveDesign';
import { solveDesign } from '$core/strings/layout/solveDesign';
import type { SolveProgress } from '$core/strings/layout/solve';
import type { YearAnswer } from '$core/strings/year/yearOfEnergy';
import { yearOfEnergy } from '$core/strings/year/yearOfEnergy';
import type { InverterType } from '$core/equipment/inverterType';
import { readEpw } from '$core/weather/epw';
import type { Stamp } from '$core/weather/weatherCsv';
import { weatherFromRows } from '$core/weather/weatherCsv';
import type { WeatherAnswer, WeatherYear } from '$core/weather/weatherYear';
import { highsSolver } from './highsSolver';

/** Long work of the string side, off the page's thread. To cancel, the page ends the worker. */
const work = {
  async layout(
    design: SiteDesign,
    timeLimitS: number,
    onProgress: (p: Omit<SolveProgress, 'counts'>) => void,
  ): Promise<DesignAnswer> {
    const highs = await highsLoader({ locateFile: () => wasmUrl });
    let told = -1;
    return solveDesign(design, highsSolver(highs), {
      timeLimitS,
      nowS: () => performance.now() / 1000,
      onProgress: ({ counts: _counts, ...p }) => {
        if (p.doing === 'Searching' && p.secondsUsed - told < 0.2) return;
        told = p.secondsUsed;
        onProgress(p);
      },
    });
  },

  fleets(design: SiteDesign, shelf: readonly InverterType[], ratioWanted: number): FleetAnswer[] {
    return fleetsFor(design, shelf, ratioWanted);
  },

  year(design: SiteDesign, year: number, weather: WeatherYear | null, onProgress: (share: number) => void): YearAnswer {
    return yearOfEnergy(design, { year, weather, onMonth: (month) => onProgress(month / 12) });
  },

  weather(text: string, name: string, stamp: Stamp): WeatherAnswer {
    if (/^\s*LOCATION,/.test(text)) return readEpw(text, name);
    const parsed = Papa.parse<string[]>(text, { skipEmptyLines: true });
    const [header = [], ...rows] = parsed.data;
    return weatherFromRows(header, rows, stamp, name);
  },
};

export type StringsWork = typeof work;
Comlink.expose(work);
