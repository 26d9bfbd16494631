import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import type { DcCable } from '../../site/dcSide';
import type { Place, Plane, PvString, SiteDesign, SiteInverter, Survey } from '../../site/siteDesign';
import type { WindowAnswer } from '../window';
import { windowOnSite } from '../window';

/** A string where it hangs: everything its checks look at. */
export interface Hung {
  readonly string: PvString;
  readonly place: Place;
  readonly plane: Plane;
  readonly module: ModuleType;
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly answer: WindowAnswer;
  readonly lengthM: number | null;
  /** Strings on its tracker, itself among them. */
  readonly parallel: number;
  readonly cable: DcCable;
  readonly school: Survey['school'];
}

/** One inverter with its strings, and the tables of the design to look them up in. */
export interface UnitOfStrings {
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly strings: readonly PvString[];
  readonly planes: ReadonlyMap<string, Plane>;
  readonly modules: ReadonlyMap<string, ModuleType>;
  readonly lengths: ReadonlyMap<string, number | null>;
}

/** The strings of an inverter, with plane, sheet and window looked up once. */
export function hangings(design: SiteDesign, of: UnitOfStrings): Hung[] {
  const { unit, type } = of;
  const answers = new Map<string, WindowAnswer>();
  const onTracker = new Map<number, number>();
  for (const { place } of of.strings) if (place) onTracker.set(place.tracker, (onTracker.get(place.tracker) ?? 0) + 1);
  return of.strings.flatMap((string): Hung[] => {
    const plane = of.planes.get(string.planeId);
    const module = plane && of.modules.get(plane.moduleTypeId);
    if (!string.place || !plane || !module) return [];
    const answer = answers.get(plane.id) ?? windowOnSite(design, plane, module, type);
    answers.set(plane.id, answer);
    return [
      {
        string,
        place: string.place,
        plane,
        module,
        unit,
        type,
        answer,
        lengthM: of.lengths.get(string.id) ?? null,
        parallel: onTracker.get(string.place.tracker) ?? 1,
        cable: design.dcCable,
        school: design.survey.school,
      },
    ];
  });
}
