import { inPrintedOrder, lineOf } from '../site/line';
import { homeRunLengths } from './homeRun';
import { openCircuitV } from './moduleAt';
import type { StringsDesign } from './part';

/** Cell temperatures for which a plug-in sheet gives the voltage to expect, °C. */
export const PLUG_IN_C = [15, 25, 35] as const;

export interface PlugInRow {
  readonly stringId: string;
  readonly number: number;
  readonly label: string;
  readonly tracker: number;
  readonly input: number;
  readonly branch: 1 | 2;
  readonly plane: string;
  readonly modules: number;
  /** Open-circuit voltage at 15, 25 and 35 °C cell temperature in full light, V. */
  readonly expectedV: readonly number[];
  readonly lengthM: number | null;
}

export interface PlugInSheet {
  readonly inverterId: string;
  readonly tag: string;
  readonly typeName: string;
  readonly rows: readonly PlugInRow[];
  /** Inputs that stay empty: they want a cap. */
  readonly caps: readonly string[];
}

/** Which tag goes to which input, in the printed order of the inputs, with what the meter should show: n · U_oc(T). */
export function plugInSheets(design: StringsDesign): PlugInSheet[] {
  const line = lineOf(design);
  const lengths = homeRunLengths(design);
  return line.units.map(({ unit, type, strings }): PlugInSheet => {
    const rows = inPrintedOrder(strings, [unit.id]).flatMap((s): PlugInRow[] => {
      const on = line.plane(s.planeId);
      if (!s.place || !on) return [];
      const { tracker, input, branch } = s.place;
      return [
        {
          stringId: s.id,
          number: s.number,
          label: `${unit.tag}.${tracker}.${input}${branch === 2 ? ' Y' : ''}`,
          tracker,
          input,
          branch,
          plane: on.plane.label,
          modules: s.modules,
          expectedV: PLUG_IN_C.map((c) => s.modules * openCircuitV(on.module, c)),
          lengthM: lengths.get(s.id) ?? null,
        },
      ];
    });
    const used = new Set(rows.map((r) => `${r.tracker}.${r.input}`));
    const caps = Array.from({ length: type.trackers }, (_, t) =>
      Array.from({ length: type.inputsPerTracker }, (_i, i) => `${t + 1}.${i + 1}`),
    )
      .flat()
      .filter((at) => !used.has(at));
    return { inverterId: unit.id, tag: unit.tag, typeName: type.name, rows, caps };
  });
}
