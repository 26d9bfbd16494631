import type { InverterType } from '$core/equipment/inverterType';
import type { ModuleMounting } from '$core/equipment/moduleMounting';
import type { ModuleType } from '$core/equipment/moduleType';
import type { DC_CABLE_MODES, DC_SECTIONS_MM2 } from '$core/conductor/laid';
import { homeRunOhm } from '$core/conductor/pvCable';
import { known, lacking } from '$core/kernel/answer';
import type { COLD_METHODS } from '$core/site/survey';
import { trackerCurrents } from '$core/strings/currents';
import { moduleModel, parametersAt } from '$core/strings/curve/diode';
import { evenString, trackerMaximum } from '$core/strings/curve/tracker';
import { stringFuse } from '$core/strings/fuses';
import { homeRunDrop } from '$core/strings/homeRun';
import { rearGain } from '$core/strings/moduleAt';
import { CABLE_CURRENT } from '$core/strings/rules/string/cableCurrent';
import type { WindowInputs } from '$core/strings/window';

export interface Shelf {
  readonly modules: readonly ModuleType[];
  readonly inverters: readonly InverterType[];
}

export const inRange = (x: number | null, lo: number, hi: number): boolean => x !== null && x >= lo && x <= hi;
/** A number inside its range; null where it is not typed, or lies outside. */
const within = (x: number | null, lo: number, hi: number): number | null => (inRange(x, lo, hi) ? x : null);

/** What lies on the bench, and what follows from it. Nothing is kept. */
export class BenchState {
  readonly #shelf: () => Shelf;
  moduleId = $state('');
  typeId = $state('');
  mounting = $state<ModuleMounting>('pitched_gap');
  school = $state<WindowInputs['school']>('IEC');
  building = $state<NonNullable<WindowInputs['building']>>('other building');
  /** Light behind over light in front: counts for modules that see behind, and is nobody’s until somebody types it. */
  rearShare = $state<number | null>(null);
  modules = $state(17);
  strings = $state(2);

  coldestC = $state<number | null>(null);
  hottestC = $state<number | null>(null);
  coldMethod = $state<(typeof COLD_METHODS)[number]>('coefficient');
  countTolerance = $state(false);

  sectionMm2 = $state<(typeof DC_SECTIONS_MM2)[number]>(6);
  mode = $state<(typeof DC_CABLE_MODES)[number]>('two adjacent on a surface');
  lengthM = $state<number | null>(null);
  ambientC = $state<number | null>(null);
  together = $state(1);

  irradiance = $state(1000);
  cellC = $state(25);

  constructor(shelf: () => Shelf) {
    this.#shelf = shelf;
  }

  readonly module = $derived.by(
    () => this.#shelf().modules.find((m) => m.id === this.moduleId) ?? this.#shelf().modules[0],
  );
  readonly inverter = $derived.by(
    () => this.#shelf().inverters.find((t) => t.id === this.typeId) ?? this.#shelf().inverters[0],
  );
  readonly counted = $derived.by(
    () =>
      Number.isInteger(this.modules) &&
      inRange(this.modules, 1, 60) &&
      Number.isInteger(this.strings) &&
      inRange(this.strings, 1, 24),
  );
  readonly gain = $derived.by(() => {
    if (!this.module) return null;
    if (this.module.bifaciality === 0) return 1;
    const share = within(this.rearShare, 0, 0.3);
    return share === null ? null : rearGain(this.module, share);
  });
  readonly windowInputs = $derived.by((): WindowInputs | null => {
    const { module, inverter, mounting, school, building } = this;
    if (!module || !inverter) return null;
    return {
      ...{ module, inverter, mounting, school, building },
      coldestC: within(this.coldestC, -60, 35),
      hottestC: within(this.hottestC, 0, 60),
      dcLegalMaxV: null,
      cold: {
        method: this.coldMethod,
        engineered: { uocColdV: null, document: '', school, siteW: null },
        countTolerance: this.countTolerance,
      },
    };
  });
  readonly fuse = $derived.by(() => {
    const { module, inverter, gain } = this;
    if (!module || !inverter || !this.counted || gain === null) return null;
    return stringFuse(
      module,
      gain,
      this.strings,
      this.school,
      trackerCurrents(module, inverter, gain, 1).trackerFactor,
    );
  });
  readonly drop = $derived.by(() => {
    const lengthM = within(this.lengthM, 0.1, 1000);
    if (!this.module || !this.counted || lengthM === null) return null;
    return homeRunDrop(homeRunOhm(lengthM, this.sectionMm2, 60), this.module.impA, this.modules * this.module.umpV);
  });
  /** Whether the cable carries its string, by the rule that asks it on a site. */
  readonly cableCheck = $derived.by(() => {
    const { module, school, sectionMm2, mode, fuse, gain } = this;
    if (!module || !this.counted) return null;
    const cable = {
      ...{ sectionMm2, mode },
      ambientC: within(this.ambientC, -25, 119),
      circuitsTogether: within(this.together, 1, 20),
      fuseA: fuse?.needed ? fuse.ratingA : null,
    };
    const about = { module, survey: { school }, cable, parallel: this.strings, joined: 1, sharedM: known(0) };
    return CABLE_CURRENT.check(
      { ...about, gain: gain === null ? lacking('light on the rear over light in front') : known(gain) },
      { element: 'string', path: `${sectionMm2} mm²` },
    );
  });
  readonly model = $derived.by(() => (this.module ? moduleModel(this.module) : null));
  readonly range = $derived.by(() => ({ minV: this.inverter?.mpptMinV ?? 0, maxV: this.inverter?.mpptMaxV ?? 0 }));
  readonly lit = $derived.by(() => {
    const { model, module } = this;
    if (!model || !module || !this.counted || !inRange(this.irradiance, 1, 1600) || !inRange(this.cellC, -40, 100))
      return null;
    return Array.from({ length: this.strings }, () =>
      evenString(parametersAt(model, this.irradiance, this.cellC), this.modules, module.bypassDiodes),
    );
  });
  readonly best = $derived.by(() => this.lit && trackerMaximum(this.lit, this.range));
}
