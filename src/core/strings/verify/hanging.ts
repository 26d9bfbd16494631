import type { StringsDesign } from '../part';
import type { Placed } from './placed';
import type { StatedLayout, Violation } from './violation';
import { say } from './violation';

/** V01: modules of every plane are strung or stated as left over. */
export function modulesAccountedFor(design: StringsDesign, stated: StatedLayout | undefined): Violation[] {
  const used = new Map<string, number>();
  for (const s of design.strings) used.set(s.planeId, (used.get(s.planeId) ?? 0) + s.modules);
  return design.planes.flatMap((plane) => {
    const strung = used.get(plane.id) ?? 0;
    const accounted = strung + (stated?.unused[plane.id] ?? 0);
    if (strung > plane.moduleCount)
      return say('V01', `${plane.label}: ${plane.moduleCount} modules drawn, ${strung} in strings.`);
    return stated && accounted !== plane.moduleCount
      ? say('V01', `${plane.label}: ${plane.moduleCount} modules drawn, ${accounted} accounted for.`)
      : [];
  });
}

/** V07: no string twice. */
export function stringsOnce(design: StringsDesign): Violation[] {
  const seen = new Set<string>();
  return design.strings.flatMap((s) => {
    if (seen.has(s.id)) return say('V07', `String ${s.number} appears twice.`);
    seen.add(s.id);
    return [];
  });
}

/** V04: every string on an input of its own that exists, a Y apart, which joins equal strings (V03). */
export function places(design: StringsDesign, placed: readonly Placed[]): Violation[] {
  const byInput = new Map<string, Placed[]>();
  const known = new Set(placed.map((h) => h.s.id));
  const nowhere = design.strings
    .filter((s) => s.place !== null && !known.has(s.id))
    .map((s) => say('V04', `String ${s.number} hangs on an inverter that does not exist.`));
  const off = placed.flatMap((h) => {
    const at = `${h.unit.tag}.${h.place.tracker}.${h.place.input}`;
    const exists = h.place.tracker <= h.type.trackers && h.place.input <= h.type.inputsPerTracker;
    const group = byInput.get(at);
    if (group) group.push(h);
    else byInput.set(at, [h]);
    return exists ? [] : [say('V04', `${at} does not exist.`)];
  });
  const twice = [...byInput].flatMap(([at, group]) => {
    const branches = new Set(group.map((h) => h.place.branch));
    if (branches.size < group.length) return [say('V04', `${at} is used twice.`)];
    if (group.length === 1 && group[0]?.place.branch === 2)
      return [say('V04', `${at} has the second branch of a Y alone.`)];
    return new Set(group.map((h) => h.s.modules)).size > 1
      ? [say('V03', `${at}: a Y joins strings of different length.`)]
      : [];
  });
  return [...nowhere, ...off, ...twice];
}
