import type { SiteDesign } from '../site/siteDesign';
import { stringWindow } from './window';

/** A predicate of a legal layout that does not hold, in words. */
export interface Violation {
  readonly predicate: 'V01' | 'V02' | 'V03' | 'V04' | 'V05' | 'V06' | 'V07' | 'V11';
  readonly text: string;
}

/**
 * Looks at a layout with fresh eyes: from the design alone, with no code of the layout method. Empty when it is legal.
 * V01 no plane uses more modules than it has · V02 length inside the window · V03 one class and one length a tracker ·
 * V04 every string on an input of its own that exists · V05 tracker and connector currents · V06 maximum DC power ·
 * V07 no string twice · V11 coldest-morning voltage recomputed from the sheet.
 */
export function verifyLayout(design: SiteDesign): Violation[] {
  const found: Violation[] = [];
  const say = (predicate: Violation['predicate'], text: string) => found.push({ predicate, text });
  const seen = new Set<string>();
  const taken = new Set<string>();
  const onTracker = new Map<string, { name: string; classes: Set<string>; amps: number; limitA: number }>();
  const dcW = new Map<string, number>();
  const used = new Map<string, number>();

  for (const s of design.strings) {
    if (seen.has(s.id)) say('V07', `String ${s.number} appears twice.`);
    seen.add(s.id);
    used.set(s.planeId, (used.get(s.planeId) ?? 0) + s.modules);
    const plane = design.planes.find((p) => p.id === s.planeId);
    const module = design.equipment.modules.find((m) => m.id === plane?.moduleTypeId);
    if (!s.place || !plane || !module) continue;
    const { inverterId, tracker, input } = s.place;
    const unit = design.inverters.find((i) => i.id === inverterId);
    const type = design.equipment.inverters.find((t) => t.id === unit?.typeId);
    const at = `${unit?.tag ?? inverterId}.${tracker}.${input}`;
    if (!unit || !type || tracker > type.trackers || input > type.inputsPerTracker || taken.has(at)) {
      say('V04', `${at} does not exist or is used twice.`);
      continue;
    }
    taken.add(at);

    const { coldestC, hottestC, dcLegalMaxV } = design.survey;
    const { window: w } = stringWindow({
      module,
      inverter: type,
      mounting: plane.mounting,
      coldestC,
      hottestC,
      dcLegalMaxV,
    });
    if (w && (s.modules < w.minModules || s.modules > w.maxModules)) {
      say('V02', `String ${s.number} has ${s.modules} modules; ${unit.tag} takes ${w.minModules} to ${w.maxModules}.`);
    }
    if (coldestC !== null && dcLegalMaxV !== null) {
      const coldV = s.modules * module.uocV * (1 + module.betaUocPerK * (coldestC - 25));
      const limitV = Math.min(type.dcMaxV, module.systemMaxV, dcLegalMaxV);
      if (coldV > limitV * (1 + 1e-9))
        say('V11', `String ${s.number}: ${coldV.toFixed(1)} V on the coldest morning; limit ${limitV} V.`);
    }

    const rear = 1 + module.bifaciality * REAR_SHARE[plane.mounting];
    const key = `${inverterId}/${tracker}`;
    const group = onTracker.get(key) ?? {
      name: `${unit.tag}.${tracker}`,
      classes: new Set<string>(),
      amps: 0,
      limitA: type.trackerShortCircuitMaxA,
    };
    group.classes.add(`${module.name}, ${plane.tiltDeg}° tilt, ${plane.azimuthDeg}° azimuth, ${s.modules} modules`);
    group.amps += (type.shortCircuitLimitIsStc ? 1 : 1.25) * rear * module.iscA;
    onTracker.set(key, group);
    if (type.connectorMaxA !== null && 1.25 * rear * module.iscA > type.connectorMaxA) {
      say('V05', `${at}: ${(1.25 * rear * module.iscA).toFixed(1)} A on a ${type.connectorMaxA} A connector.`);
    }
    dcW.set(inverterId, (dcW.get(inverterId) ?? 0) + s.modules * module.pmaxW);
  }

  for (const group of onTracker.values()) {
    if (group.classes.size > 1) say('V03', `${group.name} mixes ${[...group.classes].join(' and ')}.`);
    if (group.amps > group.limitA * (1 + 1e-9))
      say('V05', `${group.name}: ${group.amps.toFixed(1)} A on ${group.limitA} A.`);
  }
  for (const unit of design.inverters) {
    const type = design.equipment.inverters.find((t) => t.id === unit.typeId);
    const watts = dcW.get(unit.id) ?? 0;
    if (type?.dcMaxW != null && watts > type.dcMaxW * (1 + 1e-9)) {
      say('V06', `${unit.tag}: ${(watts / 1000).toFixed(1)} kW on ${(type.dcMaxW / 1000).toFixed(1)} kW.`);
    }
  }
  for (const plane of design.planes) {
    const strung = used.get(plane.id) ?? 0;
    if (strung > plane.moduleCount)
      say('V01', `${plane.label}: ${plane.moduleCount} modules drawn, ${strung} in strings.`);
  }
  return found;
}

/** Share of light on the rear side by mounting, common practice; written down a second time on purpose, so that a slip in one shows. */
const REAR_SHARE: Readonly<Record<SiteDesign['planes'][number]['mounting'], number>> = {
  ground_rack: 0.1,
  tracker: 0.12,
  flat_roof_low: 0.03,
  flat_roof_white: 0.06,
  pitched_gap: 0,
  pitched_close: 0,
  flush: 0,
};
