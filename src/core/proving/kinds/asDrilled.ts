import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { fixed } from '../../kernel/quantity';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { mountingResults } from '../../mounting/results';
import type { Hole } from '../../mounting/setOut/setOutSheet';
import { setOutSheet } from '../../mounting/setOut/setOutSheet';
import { lineOf } from '../../site/line';
import { onUnit } from '../judging';
import { SAYS_NOTHING, kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const mm = (description: string) => quantity(-200_000, 200_000, 'mm', description);
const values = z.object({
  /** As measured, from the plumb line and the level line of the wall. */
  holes: z
    .array(z.object({ name: z.string().min(1).max(10), xMm: mm('X, as drilled'), yMm: mm('Y, as drilled') }))
    .min(2, 'Measure two holes at least.')
    .max(24),
});

/** The holes of a unit's bracket as the set-out of its wall names them. */
function holesOf(design: SiteDesign, unitId: string): readonly Hole[] {
  const { hung } = mountingResults(design);
  const own = hung.find((h) => h.unit.id === unitId);
  if (!own) return [];
  return setOutSheet(hung.filter((h) => h.wall === own.wall)).holes.filter(
    (h) => h.tag === own.unit.tag && h.kind === 'bracket',
  );
}

/** The holes of a bracket as they were drilled, held against the set-out: whether it goes on, and what to do with the worst. It closes no gate. */
export const AS_DRILLED = kind({
  kind: 'as-drilled',
  title: 'Holes as drilled',
  scopes: ['inverter'],
  values,
  instrument: null,
  gates: [],
  signer: 'helper',
  correctable: true,
  judge({ design, subject, values: v }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return SAYS_NOTHING;
    const found = new Map(v.holes.map((h) => [h.name, h]));
    const holes = holesOf(design, subject.id);
    // The unit hangs nowhere, or its sheet gives no holes: what was measured is kept, and says nothing.
    if (holes.length < 2) return SAYS_NOTHING;
    const { slotMm, boltMm } = on.type.body;
    const drilled = {
      names: holes.map((h) => h.name),
      nominal: holes,
      measured: holes.map((h) => found.get(h.name) ?? null),
      slotMm,
      boltMm,
    };
    return { checks: ask(RULES.drilled, drilled, onUnit(on, 'wall', 'holes as drilled')), says: [] };
  },
  form: (design, subject) => {
    const holes = holesOf(design, subject.id);
    if (holes.length < 2) return null;
    const field = (h: Hole, axis: 'X' | 'Y', nominal: number) => mm(`${h.name} ${axis}, set out ${fixed(nominal, 0)}`);
    const schema = z.object(
      Object.fromEntries(
        holes.flatMap((h, i) => [
          [`x${i}`, field(h, 'X', h.xMm)],
          [`y${i}`, field(h, 'Y', h.yMm)],
        ]),
      ),
    );
    return {
      schema,
      blank: Object.fromEntries(Object.keys(schema.shape).map((k) => [k, null])),
      groups: [{ title: 'As measured, from plumb line and level line', paths: Object.keys(schema.shape) }],
      toValues: (typed) => ({
        holes: holes.map((h, i) => ({ name: h.name, xMm: typed[`x${i}`], yMm: typed[`y${i}`] })),
      }),
      caution: 'Goggles and dust extraction. Nobody under the drill; the detector before every hole.',
    };
  },
  line: (v) => `${v.holes.length} holes measured`,
  printed: {
    title: 'Holes as drilled',
    columns: [{ title: 'X / Y from plumb line and level line, mm', share: 4 }],
    row: (v) => [v.holes.map((h) => `${h.name} ${fixed(h.xMm, 0)} / ${fixed(h.yMm, 0)}`).join('; ')],
  },
});
