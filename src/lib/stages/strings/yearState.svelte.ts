import { untrack } from 'svelte';
import type { YearResult } from '$core/strings/year/yearResult';
import { CLEAR_SKY } from '$core/strings/year/yearResult';
import type { Stamp } from '$core/weather/weatherCsv';
import type { LineError, WeatherYear } from '$core/weather/weatherYear';
import { fixed } from '$core/kernel/quantity';
import { post } from '$lib/client/api';
import { LongTask } from '$lib/client/longTask.svelte';
import type { SiteState } from '$lib/client/siteState.svelte';

/** Largest weather file read, bytes. */
const FILE_MOST_BYTES = 30e6;

interface Loaded {
  readonly year: number;
  readonly weather: WeatherYear | null;
  readonly fingerprint: string | null;
  readonly newest: { readonly result: YearResult; readonly revision: number; readonly weather: string } | null;
}

/** The weather of a site and its year of energy: read, computed, and what either wants. */
export class YearState {
  readonly computing = new LongTask();
  readonly reading = new LongTask();
  weather = $state.raw<WeatherYear | null>(null);
  fingerprint = $state<string | null>(null);
  shown = $state.raw<Loaded['newest']>(null);
  /** Inputs the year cannot do without. */
  missing = $state.raw<readonly string[]>([]);
  /** What is wrong with the lines of a file that was not taken. */
  lineErrors = $state.raw<readonly LineError[]>([]);
  hint = $state('');
  stamp = $state<Stamp>('starts');
  readonly #site: SiteState;
  readonly #year: number;

  constructor(site: SiteState, loaded: Loaded) {
    this.#site = site;
    this.#year = untrack(() => loaded.year);
    this.weather = loaded.weather;
    this.fingerprint = loaded.fingerprint;
    this.shown = loaded.newest;
  }

  /** The design or its weather changed since the year on screen was computed. */
  readonly stale = $derived.by(
    () =>
      this.shown !== null &&
      (this.shown.revision !== this.#site.revision || this.shown.weather !== (this.fingerprint ?? CLEAR_SKY)),
  );

  async compute(): Promise<void> {
    this.missing = [];
    const { revision, design, siteId } = this.#site;
    const { weather } = this;
    const from = this.fingerprint ?? CLEAR_SKY;
    const answer = await this.computing.run(async ({ work, onProgress }) => {
      const found = await work.year(design, this.#year, weather, onProgress);
      if (found.value)
        await post(`/api/v1/sites/${siteId}/energy`, {
          revision,
          year: this.#year,
          weather: from,
          result: found.value,
        });
      return found;
    });
    if (answer?.value) this.shown = { result: answer.value, revision, weather: from };
    else this.missing = answer?.missing ?? [];
  }

  async read(file: File): Promise<void> {
    this.lineErrors = [];
    this.hint = '';
    if (file.size > FILE_MOST_BYTES) {
      this.reading.failure = `${file.name} has ${fixed(file.size / 1e6, 0)} MB; at most ${FILE_MOST_BYTES / 1e6} MB are read.`;
      return;
    }
    const { design, siteId } = this.#site;
    const { latitudeDeg, longitudeDeg } = design.survey;
    const place = latitudeDeg !== null && longitudeDeg !== null ? { latitudeDeg, longitudeDeg } : null;
    const { stamp } = this;
    const answer = await this.reading.run(async ({ work }) => {
      const { year, errors } = await work.weather(await file.text(), file.name, stamp, place);
      const kept = year
        ? await post<{ fingerprint: string }>(`/api/v1/sites/${siteId}/weather`, { weather: year })
        : null;
      return { year, errors, kept };
    });
    if (!answer) return;
    this.lineErrors = answer.errors;
    if (!answer.year || !answer.kept) return;
    this.weather = answer.year;
    this.fingerprint = answer.kept.fingerprint;
    this.hint = place
      ? ''
      : 'The survey does not say where the site is: nobody has held this file against the sun there.';
  }

  async forget(): Promise<void> {
    await post(`/api/v1/sites/${this.#site.siteId}/weather`, { weather: null });
    this.weather = null;
    this.fingerprint = null;
    this.hint = '';
  }

  stop(): void {
    this.computing.stop();
    this.reading.stop();
  }
}
