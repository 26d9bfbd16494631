import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import type { Memo } from '../../kernel/memo';
import { inverterTypesById, modulesById } from '../../site/edits';
import type { DcCable } from '../../site/dcSide';
import type { Place, Plane, PvString, SiteDesign, SiteInverter, Survey } from '../../site/siteDesign';
import { homeRunLengths } from '../dcCable';
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
  readonly cable: DcCable;
  readonly school: Survey['school'];
}

/** Every string of a design that hangs on an input, with its plane, sheets and window looked up once. */
export function hangings(design: SiteDesign, memo: Memo): Hung[] {
  const modules = modulesById(design);
  const types = inverterTypesById(design);
  const planes = new Map(design.planes.map((p) => [p.id, p]));
  const units = new Map(design.inverters.map((i) => [i.id, i]));
  const answers = new Map<string, WindowAnswer>();
  const lengths = homeRunLengths(design.strings, design.planes, design.inverters);
  return design.strings.flatMap((string): Hung[] => {
    const { place } = string;
    const plane = planes.get(string.planeId);
    const module = plane && modules.get(plane.moduleTypeId);
    const unit = place ? units.get(place.inverterId) : undefined;
    const type = unit && types.get(unit.typeId);
    if (!place || !plane || !module || !unit || !type) return [];
    const key = `${plane.id}|${type.id}`;
    let answer = answers.get(key);
    if (!answer) {
      answer = memo.keep(`window/${key}`, [design.survey, plane, module, type], () =>
        windowOnSite(design, plane, module, type),
      );
      answers.set(key, answer);
    }
    const lengthM = lengths.get(string.id) ?? null;
    return [
      {
        string,
        place,
        plane,
        module,
        unit,
        type,
        answer,
        lengthM,
        cable: design.dcCable,
        school: design.survey.school,
      },
    ];
  });
}

/** What the checks of one string rest on. */
export const restsOn = (h: Hung): readonly unknown[] => [
  h.string,
  h.plane,
  h.module,
  h.unit,
  h.type,
  h.answer,
  h.lengthM,
  h.cable,
  h.school,
];
