import type { Verdict } from '$core/kernel/check';
import type { InverterType } from '$core/equipment/inverterType';
import type { PvString, SiteInverter } from '$core/site/parts';
import type { SiteDesign } from '$core/design';
import { lineOf } from '$core/site/line';

/** What one inverter shows on the peg board. The same object as before while nothing on it changed, so that it is not drawn again. */
export interface UnitView {
  readonly unit: SiteInverter;
  readonly index: number;
  readonly type: InverterType;
  readonly strings: readonly PvString[];
  /** Verdicts of its strings and trackers, by id. */
  readonly verdicts: Readonly<Record<string, Verdict>>;
  readonly ratio: number | null;
  readonly locked: readonly string[];
}

function sameView(a: UnitView, b: UnitView): boolean {
  const keys = Object.keys(b.verdicts);
  return (
    a.unit === b.unit &&
    a.index === b.index &&
    a.type === b.type &&
    a.ratio === b.ratio &&
    a.strings.length === b.strings.length &&
    a.strings.every((s, i) => s === b.strings[i]) &&
    a.locked.length === b.locked.length &&
    a.locked.every((s, i) => s === b.locked[i]) &&
    keys.length === Object.keys(a.verdicts).length &&
    keys.every((k) => a.verdicts[k] === b.verdicts[k])
  );
}

/** The views of all inverters, taking over those of before that did not change. */
export function unitViews(
  design: SiteDesign,
  verdicts: ReadonlyMap<string, Verdict>,
  ratios: ReadonlyMap<string | undefined, number | null>,
  before: readonly UnitView[],
): UnitView[] {
  const line = lineOf(design);
  const locked = new Set(design.locks.flatMap((l) => (l.kind === 'string' ? [l.stringId] : [])));
  const was = new Map(before.map((v) => [v.unit.id, v]));
  return design.inverters.flatMap((unit, index): UnitView[] => {
    const on = line.unit(unit.id);
    if (!on) return [];
    const { type, strings } = on;
    const trackers = new Set(strings.map((s) => `${unit.id}/${s.place?.tracker}`));
    const own = [...strings.map((s) => s.id), ...trackers];
    const view: UnitView = {
      unit,
      index,
      type,
      strings,
      verdicts: Object.fromEntries(own.flatMap((id) => (verdicts.has(id) ? [[id, verdicts.get(id) as Verdict]] : []))),
      ratio: ratios.get(unit.id) ?? null,
      locked: strings.filter((s) => locked.has(s.id)).map((s) => s.id),
    };
    const old = was.get(unit.id);
    return [old && sameView(old, view) ? old : view];
  });
}
