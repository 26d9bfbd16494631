import { ROUNDING } from '../../kernel/rounding';
import { lineOf } from '../../site/line';
import { placeKey } from '../../site/parts';
import type { PvString } from '../../site/parts';
import type { StringsDesign } from '../part';

/** How two layouts of one site differ, unit by unit and string by string. */
export interface UnitDifference {
  readonly inverterId: string;
  readonly tag: string;
  readonly stringsA: number;
  readonly stringsB: number;
  readonly ratioA: number;
  readonly ratioB: number;
}

export interface StringDifference {
  readonly number: number;
  readonly what: string;
}

export interface LayoutDifference {
  readonly units: readonly UnitDifference[];
  readonly strings: readonly StringDifference[];
  /** Modules on inputs. */
  readonly usedA: number;
  readonly usedB: number;
}

/** What differs between two sets of strings on the planes and inverters of a design. Units and strings that are alike are left out. */
export function compareLayouts(
  design: StringsDesign,
  a: readonly PvString[],
  b: readonly PvString[],
): LayoutDifference {
  const line = lineOf(design);
  const byUnit = (strings: readonly PvString[]) => {
    const groups = new Map<string, PvString[]>(design.inverters.map((u) => [u.id, []]));
    for (const s of strings) if (s.place) groups.get(s.place.inverterId)?.push(s);
    return groups;
  };
  const [onA, onB] = [byUnit(a), byUnit(b)];
  const dcW = (strings: readonly PvString[]) => strings.reduce((sum, s) => sum + line.stringW(s), 0);
  const used = (strings: readonly PvString[]) => strings.reduce((sum, s) => sum + (s.place ? s.modules : 0), 0);
  const at = (s: PvString) =>
    s.place ? `${line.tag(s.place.inverterId)}.${s.place.tracker}.${s.place.input}` : 'no input';
  const inB = new Map(b.map((s) => [s.id, s]));
  const inA = new Map(a.map((s) => [s.id, s]));
  return {
    units: design.inverters.flatMap((u): UnitDifference[] => {
      const [ofA, ofB] = [onA.get(u.id) ?? [], onB.get(u.id) ?? []];
      const ratedW = line.inverterType(u.typeId)?.ratedW ?? 1;
      const [ratioA, ratioB] = [dcW(ofA) / ratedW, dcW(ofB) / ratedW];
      const same = ofA.length === ofB.length && Math.abs(ratioA - ratioB) < ROUNDING;
      return same ? [] : [{ inverterId: u.id, tag: u.tag, stringsA: ofA.length, stringsB: ofB.length, ratioA, ratioB }];
    }),
    strings: [
      ...a.flatMap((s): StringDifference[] => {
        const now = inB.get(s.id);
        if (!now) return [{ number: s.number, what: `${at(s)}, ${s.modules} modules: gone` }];
        const parts = [
          ...(s.modules !== now.modules ? [`${s.modules} → ${now.modules} modules`] : []),
          ...((s.place && placeKey(s.place)) !== (now.place && placeKey(now.place)) ? [`${at(s)} → ${at(now)}`] : []),
        ];
        return parts.length ? [{ number: s.number, what: parts.join(', ') }] : [];
      }),
      ...b.flatMap((s): StringDifference[] =>
        inA.has(s.id) ? [] : [{ number: s.number, what: `new on ${at(s)}, ${s.modules} modules` }],
      ),
    ],
    usedA: used(a),
    usedB: used(b),
  };
}
