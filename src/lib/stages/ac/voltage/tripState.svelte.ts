import { untrack } from 'svelte';
import type { TripYear } from '$core/design/tripHours';
import { worstDay } from '$core/design/tripHours';
import type { WeatherYear } from '$core/weather/weatherYear';
import { LongTask } from '$lib/client/longTask.svelte';
import type { SiteState } from '$lib/client/siteState.svelte';

interface Loaded {
  readonly year: number;
  readonly weather: WeatherYear | null;
}

/** The hours of a year in which units trip: counted off the page, for a grid that stands where it is asked. */
export class TripState {
  readonly task = new LongTask();
  /** The grid at rest to count for, V; null as the survey has it. */
  restV = $state<number | null>(null);
  shown = $state.raw<{ readonly year: TripYear; readonly revision: number } | null>(null);
  missing = $state.raw<readonly string[]>([]);
  /** The day that is drawn, 1…366. */
  day = $state(172);
  readonly calendarYear: number;
  readonly #site: SiteState;
  readonly #weather: WeatherYear | null;

  constructor(site: SiteState, loaded: Loaded) {
    this.#site = site;
    this.calendarYear = untrack(() => loaded.year);
    this.#weather = untrack(() => loaded.weather);
  }

  /** The design changed since the hours on screen were counted. */
  readonly stale = $derived.by(() => this.shown !== null && this.shown.revision !== this.#site.revision);

  async count(): Promise<void> {
    this.missing = [];
    const { revision, design } = this.#site;
    const { restV } = this;
    const answer = await this.task.run(
      async ({ work, onProgress }) => await work.trips(design, this.calendarYear, this.#weather, restV, onProgress),
    );
    if (!answer) return;
    this.missing = answer.missing;
    if (!answer.value) return;
    this.shown = { year: answer.value, revision };
    this.day = worstDay(answer.value.fed) ?? this.day;
  }
}
