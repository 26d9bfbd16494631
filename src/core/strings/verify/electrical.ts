import { lineOf } from '../../site/line';
import type { StringsDesign } from '../part';
import type { Placed } from './placed';
import { classKey } from './placed';
import { brightA, coldModuleV, fewestModules, fuseKeeps, mostV } from './sheetLimits';
import type { Violation } from './violation';
import { say } from './violation';

/** V02: the length tracks and starts in the heat and keeps under the limit in the cold; V11: the limit alone, said in volts. */
export function lengths(design: StringsDesign, placed: readonly Placed[]): Violation[] {
  const { survey } = design;
  const siteW = lineOf(design).ratedW;
  return placed.flatMap(({ s, plane, module, unit, type }) => {
    const oneV = coldModuleV(module, plane, survey, siteW);
    const limitV = mostV(module, type, survey);
    const fewest = fewestModules(module, plane, type, survey);
    const found: Violation[] = [];
    const most = oneV === null ? null : Math.floor(limitV / oneV + 1e-9);
    if ((fewest !== null && s.modules < fewest) || (most !== null && s.modules > most))
      found.push(
        say(
          'V02',
          `String ${s.number} has ${s.modules} modules; ${unit.tag} takes ${fewest ?? '?'} to ${most ?? '?'}.`,
        ),
      );
    if (oneV !== null && s.modules * oneV > limitV * (1 + 1e-9))
      found.push(
        say('V11', `String ${s.number}: ${(s.modules * oneV).toFixed(1)} V on the coldest morning; limit ${limitV} V.`),
      );
    return found;
  });
}

/** V03: one class and one length a tracker; V05: its currents and those of its connectors; V12: fuses where strings need them. */
export function trackers(design: StringsDesign, placed: readonly Placed[]): Violation[] {
  const groups = new Map<string, Placed[]>();
  for (const h of placed) {
    const key = `${h.unit.tag}.${h.place.tracker}`;
    const group = groups.get(key);
    if (group) group.push(h);
    else groups.set(key, [h]);
  }
  const oneA = (h: Placed) => brightA(h.module, h.plane);
  return [...groups].flatMap(([name, group]) => {
    const [first] = group;
    if (!first) return [];
    const { type, module } = first;
    const found: Violation[] = [];
    const unlike = group.some(
      (h) => classKey(h) !== classKey(first) || h.module !== module || h.s.modules !== first.s.modules,
    );
    if (unlike) {
      const kinds = new Set(
        group.map(
          (h) => `${h.module.name}, ${h.plane.tiltDeg}° tilt, ${h.plane.azimuthDeg}° azimuth, ${h.s.modules} modules`,
        ),
      );
      found.push(say('V03', `${name} mixes ${[...kinds].join(' and ')}.`));
    }
    const amps = group.reduce((sum, h) => sum + (type.shortCircuitLimitIsStc ? 1 : 1.25) * oneA(h), 0);
    if (amps > type.trackerShortCircuitMaxA * (1 + 1e-9))
      found.push(say('V05', `${name}: ${amps.toFixed(1)} A on ${type.trackerShortCircuitMaxA} A.`));
    for (const input of new Set(group.map((h) => h.place.input))) {
      const inputA = group.filter((h) => h.place.input === input).reduce((sum, h) => sum + 1.25 * oneA(h), 0);
      if (type.connectorMaxA !== null && inputA > type.connectorMaxA * (1 + 1e-9))
        found.push(say('V05', `${name}.${input}: ${inputA.toFixed(1)} A on a ${type.connectorMaxA} A connector.`));
    }
    const reverseA = group.reduce((sum, h) => sum + 1.25 * oneA(h), 0) - Math.min(...group.map((h) => 1.25 * oneA(h)));
    const fuseMaxA = Math.min(...group.map((h) => h.module.fuseMaxA));
    const { fuseA } = design.dcCable;
    const fused = group.every((h) => fuseKeeps(fuseA, h.module, oneA(h), design.survey));
    if (reverseA > fuseMaxA * (1 + 1e-9) && !fused)
      found.push(
        say(
          'V12',
          `${name}: ${group.length} strings need fuses (${reverseA.toFixed(1)} A back into one; module fuse ${fuseMaxA} A)${fuseA === null ? '' : `, and ${fuseA} A is none for them`}.`,
        ),
      );
    return found;
  });
}

/** V06: maximum DC power of an inverter. */
export function power(design: StringsDesign, placed: readonly Placed[]): Violation[] {
  const watts = new Map<string, number>();
  for (const h of placed) watts.set(h.unit.id, (watts.get(h.unit.id) ?? 0) + h.s.modules * h.module.pmaxW);
  return design.inverters.flatMap((unit) => {
    const [own, limit] = [watts.get(unit.id) ?? 0, lineOf(design).inverterType(unit.typeId)?.dcMaxW ?? null];
    return limit !== null && own > limit * (1 + 1e-9)
      ? [say('V06', `${unit.tag}: ${(own / 1000).toFixed(1)} kW on ${(limit / 1000).toFixed(1)} kW.`)]
      : [];
  });
}
