import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import type { ModuleModel } from '../curve/diode';
import { moduleModel, parametersAt } from '../curve/diode';
import { sharedMaximum } from '../curve/parallel';
import type { LitPlane } from './litPlane';
import type { YearTracker } from './trackers';

/** Models of module sheets, fitted once each; null where a sheet describes no curve. */
export function modelsOf(): (m: ModuleType) => ModuleModel | null {
  const models = new Map<string, ModuleModel | null>();
  return (m) => {
    const known = models.get(m.id);
    if (known !== undefined) return known;
    const model = moduleModel(m);
    models.set(m.id, model);
    return model;
  };
}

/** What is left of the power of unlike strings when they share a tracker, 0…1; 1 where a sheet describes no curve. */
export function mixKept(
  t: YearTracker,
  lit: readonly (LitPlane | null)[],
  sheets: readonly (ModuleType | undefined)[],
  modelOf: (m: ModuleType) => ModuleModel | null,
  type: Pick<InverterType, 'mpptMinV' | 'mpptMaxV'>,
): number {
  const strings = [];
  for (const part of t.parts) {
    const [l, m] = [lit[part.plane], sheets[part.plane]];
    const model = m && modelOf(m);
    if (!l || !model) return 1;
    if (l.effectiveWm2 < 1) continue;
    const parameters = parametersAt(model, Math.min(1600, l.effectiveWm2), Math.min(120, l.cellC));
    for (let n = 0; n < part.strings; n++) strings.push({ parameters, modules: part.modules });
  }
  if (strings.length < 2) return 1;
  const { parallelW, separateW } = sharedMaximum(strings, { minV: type.mpptMinV, maxV: type.mpptMaxV });
  return separateW > 0 ? parallelW / separateW : 1;
}
