import * as Comlink from 'comlink';
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';
import Papa from 'papaparse';
import type { Cut, DrumPlan } from '$core/ac/schedule/drums';
import { drumPlan } from '$core/ac/schedule/drums';
import type { SiteDesign } from '$core/design';
import type { TripYear } from '$core/design/tripHours';
import { tripHours } from '$core/design/tripHours';
import type { ChainOrder, Ends } from '$core/links/order/chainOrder';
import { chainOrder } from '$core/links/order/chainOrder';
import type { SplitChain } from '$core/links/order/splitChain';
import { splitChain } from '$core/links/order/splitChain';
import { busResult, segmentOf } from '$core/links/results';
import type { ChainScope } from '$core/links/wave/chainScope';
import { chainScope } from '$core/links/wave/chainScope';
import type { FaultCase } from '$core/links/wave/faultCase';
import type { Wall } from '$core/mounting/part';
import { siteWallLayout, siteWallsLayout } from '$core/mounting/wall/siteWall';
import type { FleetAnswer } from '$core/strings/layout/fleet';
import { fleetsFor } from '$core/strings/layout/fleet';
import type { BestLayoutAnswer } from '$core/strings/layout/bestLayout';
import { bestLayout } from '$core/strings/layout/bestLayout';
import type { SearchProgress } from '$core/strings/layout/levelSearch';
import type { Answer } from '$core/kernel/answer';
import type { YearResult } from '$core/strings/year/yearResult';
import { leftInHeat } from '$core/mounting/siting/leftInHeat';
import { yearOfEnergy } from '$core/strings/year/yearOfEnergy';
import type { InverterType } from '$core/equipment/inverterType';
import { readEpw } from '$core/weather/epw';
import type { Stamp } from '$core/weather/weatherCsv';
import { weatherFromRows } from '$core/weather/weatherCsv';
import type { Place } from '$core/weather/weatherSense';
import { meantFor } from '$core/weather/weatherSense';
import type { WeatherAnswer, WeatherYear } from '$core/weather/weatherYear';
import { highsSolver } from './highsSolver';

const nowS = () => performance.now() / 1000;
const solver = async () => highsSolver(await highsLoader({ locateFile: () => wasmUrl }));

/** Long work of strings and walls, off the page's thread. To cancel, the page ends the worker. */
const work = {
  async layout(
    design: SiteDesign,
    timeLimitS: number,
    onProgress: (p: Omit<SearchProgress, 'counts'>) => void,
  ): Promise<BestLayoutAnswer> {
    let told = -1;
    return bestLayout(design, await solver(), {
      timeLimitS,
      nowS,
      onProgress: ({ counts: _counts, ...p }) => {
        if (p.doing === 'Searching' && p.secondsUsed - told < 0.2) return;
        told = p.secondsUsed;
        onProgress(p);
      },
    });
  },

  async wall(design: SiteDesign, wall: Wall, ids: readonly string[], timeLimitS: number) {
    return siteWallLayout(design, wall, ids, { timeLimitS, nowS, solver: await solver() });
  },

  async walls(design: SiteDesign, ids: readonly string[], timeLimitS: number, onProgress: (share: number) => void) {
    const time = { timeLimitS, nowS, solver: await solver() };
    return siteWallsLayout(design, ids, time, (done, of) => onProgress(done / of));
  },

  fleets(design: SiteDesign, shelf: readonly InverterType[], ratioWanted: number): FleetAnswer[] {
    return fleetsFor(design, shelf, ratioWanted);
  },

  year(
    design: SiteDesign,
    year: number,
    weather: WeatherYear | null,
    onProgress: (share: number) => void,
  ): Answer<YearResult> {
    return yearOfEnergy(design, {
      year,
      weather,
      leftInHeat: leftInHeat(design),
      onMonth: (month) => onProgress(month / 12),
    });
  },

  drums(cuts: readonly Cut[], drumM: number, store: readonly number[], timeLimitS: number): DrumPlan {
    return drumPlan(cuts, drumM, store, { timeLimitS, nowS });
  },

  chainOrder(design: SiteDesign, ends: Ends, timeLimitS: number): Answer<ChainOrder> {
    return chainOrder(design, ends, { kicks: Infinity, timeLimitS, nowS });
  },

  splitChain(design: SiteDesign, timeLimitS: number): Answer<SplitChain> {
    return splitChain(design, { kicks: Infinity, timeLimitS, nowS });
  },

  scope(
    design: SiteDesign,
    { bus, segment, faults }: { bus: number; segment: number; faults: readonly FaultCase[] },
    onProgress: (share: number) => void,
  ): Answer<ChainScope> {
    return chainScope(segmentOf(busResult(design, bus), segment), faults, onProgress);
  },

  /** `restV`: the grid at rest to ask for; null as the survey has it. */
  trips(
    design: SiteDesign,
    year: number,
    weather: WeatherYear | null,
    restV: number | null,
    onProgress: (share: number) => void,
  ): Answer<TripYear> {
    return tripHours(
      design,
      { year, weather, leftInHeat: leftInHeat(design), onMonth: (month) => onProgress(month / 12) },
      restV,
    );
  },

  /** `site`: null where the survey does not say where it is; then nothing can be held against the sun. */
  weather(text: string, name: string, stamp: Stamp, site: Place | null): WeatherAnswer {
    const read = (): WeatherAnswer => {
      if (/^\s*LOCATION,/.test(text)) return readEpw(text, name);
      const parsed = Papa.parse<string[]>(text, { skipEmptyLines: true });
      const [header = [], ...rows] = parsed.data;
      return weatherFromRows(header, rows, stamp, name);
    };
    return site ? meantFor(read(), site) : read();
  },
};

export type StringsWork = typeof work;
Comlink.expose(work);
