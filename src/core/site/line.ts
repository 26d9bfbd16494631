import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import type { Base } from './base';
import type { Place, Plane, PvString, SiteInverter } from './parts';
import { placeKey } from './parts';

/** What the index reads: the base, and the strings where a design has them. */
export type LineDesign = Pick<Base, 'equipment' | 'planes' | 'inverters'> & { readonly strings?: readonly PvString[] };

/** A plane with the module that lies on it. */
export interface PlaneOnLine {
  readonly plane: Plane;
  readonly module: ModuleType;
}

/** An inverter with its sheet and the strings that hang on it, in the order in which they were listed. */
export interface UnitOnLine {
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly strings: readonly PvString[];
}

/** A string with everything it touches. Unit and type are null while it hangs on nothing. */
export interface StringOnLine extends PlaneOnLine {
  readonly string: PvString;
  readonly place: Place | null;
  readonly unit: SiteInverter | null;
  readonly type: InverterType | null;
}

/** The line of one design, looked up once: from any id to everything that hangs on it. Built where it is first asked for. */
export class Line {
  #modules: ReadonlyMap<string, ModuleType> | null = null;
  #types: ReadonlyMap<string, InverterType> | null = null;
  #planes: ReadonlyMap<string, Plane> | null = null;
  #inverters: ReadonlyMap<string, SiteInverter> | null = null;
  #units: ReadonlyMap<string, UnitOnLine> | null = null;
  #byPlace: ReadonlyMap<string, PvString> | null = null;
  #strings: ReadonlyMap<string, PvString> | null = null;
  readonly #byId = new Map<string, StringOnLine>();
  #printed: readonly PvString[] | null = null;
  readonly #placed = new Map<PvString, StringOnLine>();

  constructor(private readonly design: LineDesign) {}

  moduleType(id: string): ModuleType | undefined {
    return (this.#modules ??= new Map(this.design.equipment.modules.map((m) => [m.id, m]))).get(id);
  }

  inverterType(id: string): InverterType | undefined {
    return (this.#types ??= new Map(this.design.equipment.inverters.map((t) => [t.id, t]))).get(id);
  }

  plane(id: string): PlaneOnLine | undefined {
    this.#planes ??= new Map(this.design.planes.map((p) => [p.id, p]));
    const plane = this.#planes.get(id);
    const module = plane && this.moduleType(plane.moduleTypeId);
    return plane && module && { plane, module };
  }

  /** Every inverter whose type is known, in the order of the design. */
  get units(): readonly UnitOnLine[] {
    return [...this.#byUnit().values()];
  }

  unit(id: string): UnitOnLine | undefined {
    return this.#byUnit().get(id);
  }

  string(id: string): StringOnLine | undefined {
    const known = this.#byId.get(id);
    if (known) return known;
    this.#strings ??= new Map((this.design.strings ?? []).map((s) => [s.id, s]));
    const string = this.#strings.get(id);
    const made = string && this.placed(string);
    if (made) this.#byId.set(id, made);
    return made;
  }

  /** An inverter, whether its type is known or not. */
  inverter(id: string): SiteInverter | undefined {
    return (this.#inverters ??= new Map(this.design.inverters.map((u) => [u.id, u]))).get(id);
  }

  /** The string on an input, by the key of its place. */
  stringAt(placeKeyed: string): PvString | undefined {
    this.#byPlace ??= new Map(
      (this.design.strings ?? []).flatMap((s) => (s.place ? [[placeKey(s.place), s] as const] : [])),
    );
    return this.#byPlace.get(placeKeyed);
  }

  /** Name of a plane; its id where it is not there. */
  planeLabel(planeId: string): string {
    return this.plane(planeId)?.plane.label ?? planeId;
  }

  /** A string with everything it touches; undefined where its plane or module is not there. */
  placed(string: PvString): StringOnLine | undefined {
    const known = this.#placed.get(string);
    if (known) return known;
    const on = this.plane(string.planeId);
    if (!on) return undefined;
    const at = string.place && this.unit(string.place.inverterId);
    const made = { ...on, string, place: string.place, unit: at?.unit ?? null, type: at?.type ?? null };
    this.#placed.set(string, made);
    return made;
  }

  /** Strings in the printed order: inverter by inverter, tracker, input, branch; those that hang on nothing last, by number. */
  get printedStrings(): readonly PvString[] {
    return (this.#printed ??= inPrintedOrder(
      this.design.strings ?? [],
      this.design.inverters.map((u) => u.id),
    ));
  }

  /** Tag of an inverter; its id where it is not there. */
  tag(inverterId: string): string {
    return this.inverter(inverterId)?.tag ?? inverterId;
  }

  /** DC power that hangs on an inverter, W at standard conditions: Σ n·P_max. */
  hungW(inverterId: string): number {
    return (this.unit(inverterId)?.strings ?? []).reduce((sum, s) => sum + this.stringW(s), 0);
  }

  stringW(string: PvString): number {
    return string.modules * (this.plane(string.planeId)?.module.pmaxW ?? 0);
  }

  /** DC power drawn on the planes, W. */
  get drawnW(): number {
    return this.design.planes.reduce((sum, p) => sum + p.moduleCount * (this.plane(p.id)?.module.pmaxW ?? 0), 0);
  }

  /** Rated AC power of all inverters, W. */
  get ratedW(): number {
    return this.units.reduce((sum, u) => sum + u.type.ratedW, 0);
  }

  #byUnit(): ReadonlyMap<string, UnitOnLine> {
    if (this.#units) return this.#units;
    const hanging = new Map<string, PvString[]>(this.design.inverters.map((u) => [u.id, []]));
    for (const s of this.design.strings ?? []) if (s.place) hanging.get(s.place.inverterId)?.push(s);
    this.#units = new Map(
      this.design.inverters.flatMap((unit): [string, UnitOnLine][] => {
        const type = this.inverterType(unit.typeId);
        return type ? [[unit.id, { unit, type, strings: hanging.get(unit.id) ?? [] }]] : [];
      }),
    );
    return this.#units;
  }
}

/** Strings by inverter in the order of the ids, tracker, input and branch; those that hang on nothing last, by number. */
export function inPrintedOrder(strings: readonly PvString[], inverterIds: readonly string[]): PvString[] {
  const at = new Map(inverterIds.map((id, i) => [id, i]));
  const rank = ({ place, number }: PvString) =>
    place
      ? (at.get(place.inverterId) ?? 0) * 1e6 + place.tracker * 1e3 + place.input * 10 + place.branch
      : 1e12 + number;
  return [...strings].sort((a, b) => rank(a) - rank(b));
}

const LINES = new WeakMap<object, Line>();

/** The one index of a design, made once: designs are never changed in place. */
export function lineOf(design: LineDesign): Line {
  const known = LINES.get(design);
  if (known) return known;
  const line = new Line(design);
  LINES.set(design, line);
  return line;
}
