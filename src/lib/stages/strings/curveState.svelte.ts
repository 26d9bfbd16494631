import type { Check } from '$core/kernel/check';
import { lineOf } from '$core/site/line';
import type { ModuleModel } from '$core/strings/curve/diode';
import { moduleModel, parametersAt } from '$core/strings/curve/diode';
import { evenString, mismatch, trackerCurve, trackerMaximum } from '$core/strings/curve/tracker';
import { MIXING } from '$core/strings/rules/year/mixing';
import type { MixPart } from '$core/strings/year/mixing';
import { onlyMixed } from '$core/strings/year/mixing';
import type { WeatherYear } from '$core/weather/weatherYear';
import { LongTask } from '$lib/client/longTask.svelte';
import type { SiteState } from '$lib/client/siteState.svelte';

/** Light on a plane, W/m², and temperature of its cells, °C. */
interface Light {
  readonly g: number;
  readonly c: number;
}
const USUAL: Light = { g: 1000, c: 50 };
const isSound = ({ g, c }: Light): boolean => g >= 0 && g <= 1600 && c >= -40 && c <= 100;
const isCount = (n: number): boolean => Number.isInteger(n) && n >= 1 && n <= 60;

/** One tracker looked at in a light that somebody sets, and what mixing two strings on it would cost. */
export class CurveState {
  readonly #site: SiteState;
  readonly overYear = new LongTask();
  unitId = $state('');
  tracker = $state(1);
  light = $state<Record<string, Light>>({});
  planeA = $state('');
  planeB = $state('');
  modulesA = $state(17);
  modulesB = $state(17);
  yearly = $state.raw<{ readonly kwh: number; readonly percent: number; readonly check: Check } | null>(null);
  missing = $state.raw<readonly string[]>([]);

  constructor(site: SiteState) {
    this.#site = site;
  }

  readonly #design = $derived.by(() => this.#site.design);
  readonly models = $derived.by(
    () => new Map(this.#design.equipment.modules.map((m) => [m.id, moduleModel(m)] as [string, ModuleModel | null])),
  );
  readonly unit = $derived.by(
    () => this.#design.inverters.find((u) => u.id === this.unitId) ?? this.#design.inverters[0],
  );
  readonly type = $derived.by(() => this.unit && lineOf(this.#design).inverterType(this.unit.typeId));
  readonly range = $derived.by(() => ({ minV: this.type?.mpptMinV ?? 0, maxV: this.type?.mpptMaxV ?? 0 }));
  readonly onTracker = $derived.by(() =>
    this.#design.strings.filter((s) => s.place?.inverterId === this.unit?.id && s.place?.tracker === this.tracker),
  );
  readonly sound = $derived.by(() => this.#design.planes.every((p) => isSound(this.lightOf(p.id))));
  readonly curve = $derived.by(() => {
    const strings = this.sound
      ? this.onTracker.map((s) => this.#even(s.planeId, s.modules)).filter((s) => s !== null)
      : [];
    return strings.length ? { points: trackerCurve(strings), best: trackerMaximum(strings, this.range) } : null;
  });
  readonly parts = $derived.by((): readonly [MixPart, MixPart] => {
    const { planes } = this.#design;
    return [
      { planeId: this.planeA || (planes[0]?.id ?? ''), modules: this.modulesA },
      { planeId: this.planeB || (planes[1]?.id ?? planes[0]?.id ?? ''), modules: this.modulesB },
    ];
  });
  readonly whole = $derived.by(() => isCount(this.modulesA) && isCount(this.modulesB));
  /** What the two lose on one tracker in the light set; null where that cannot be said. */
  readonly now = $derived.by(() => {
    if (!this.sound || !this.whole) return null;
    const pair = this.parts.map((p) => this.#even(p.planeId, p.modules)).filter((s) => s !== null);
    return pair.length === 2 ? mismatch(pair, this.range) : null;
  });
  readonly checks = $derived.by(() => [
    ...this.#site.assessment.checks.filter((c) => c.subject.id === `${this.unit?.id}/${this.tracker}`),
    ...(this.yearly ? [this.yearly.check] : []),
  ]);

  lightOf(planeId: string): Light {
    return this.light[planeId] ?? USUAL;
  }

  #even(planeId: string, count: number) {
    const module = lineOf(this.#design).plane(planeId)?.module;
    const model = module && this.models.get(module.id);
    const { g, c } = this.lightOf(planeId);
    return module && model ? evenString(parametersAt(model, g, c), count, module.bypassDiodes) : null;
  }

  /** Computes what the two would lose over a year, and has the rule say what that means. */
  async mixOverYear(year: number, weather: WeatherYear | null): Promise<void> {
    if (!this.unit) return;
    const pair = [{ ...this.parts[0] }, { ...this.parts[1] }] as const;
    const mixed = onlyMixed(this.#design, this.unit.id, pair);
    this.yearly = null;
    this.missing = [];
    const answer = await this.overYear.run(
      async ({ work, onProgress }) => await work.year(mixed, year, weather, onProgress),
    );
    if (!answer) return;
    this.missing = answer.missing;
    if (!answer.value) return;
    const { mismatchKwh, dcKwh } = answer.value;
    const percent = dcKwh + mismatchKwh > 0 ? (100 * mismatchKwh) / (dcKwh + mismatchKwh) : 0;
    const path = `${pair[0].modules} beside ${pair[1].modules} modules`;
    const check = MIXING.check({ lossPercent: percent, parts: pair }, { element: 'tracker', path });
    this.yearly = { kwh: mismatchKwh, percent, check };
  }
}
