import { z } from 'zod';
import type { SiteDesign } from '../../design';
import type { Check, Subject } from '../../kernel/check';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { LIFT_MEANS } from '../../mounting/lift/liftWay';
import { mountingResults } from '../../mounting/results';
import { MOUNTING_RULES } from '../../mounting/rules';
import { CREW } from '../../mounting/rules/lift/crew';
import { HANDLES } from '../../mounting/rules/lift/handles';
import { lineOf } from '../../site/line';
import { onUnit } from '../judging';
import { SAYS_NOTHING, kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const values = z.object({
  by: enumOf(LIFT_MEANS).meta({ description: 'It goes up by' }),
  people: quantity(1, 12, 'people', 'People at the unit').int(),
  gustMs: quantity(0, 60, 'm/s', 'Gusts, read now'),
  wayFree: z.boolean().meta({ description: 'Way and place free' }),
  nobodyBelow: z.boolean().meta({ description: 'Nobody below, area barred' }),
  gearSeen: z.boolean().meta({ description: 'Gear looked at: tags, hooks, ropes' }),
  handlesReady: z.boolean().meta({ description: 'Handles unlocked or eye bolts seated' }),
  accepted: z.string().trim().max(300).meta({ description: 'Accepted although tight, because' }),
});

/** What the plan says of a unit's lift, by other means and people than planned if need be. */
function plannedOf(
  design: SiteDesign,
  unitId: string,
  { by, people }: Pick<z.output<typeof values>, 'by' | 'people'>,
  where: Subject,
): readonly Check[] {
  const h = mountingResults(design).hung.find((x) => x.unit.id === unitId);
  if (!h) return [];
  const asked = ask(MOUNTING_RULES.lift, { ...h, wall: { ...h.wall, lift: { ...h.wall.lift, by, people } } }, where);
  // Handles are what hands hold: on the hook or the table they carry nothing. Crew and gear are what `people` is held against.
  return asked.filter((c) => c.id !== CREW.id && (by === 'hand' || c.id !== HANDLES.id));
}

/** A lift just before it: who, how, the wind, what was looked at, and what the lead accepts. It closes no gate. */
export const LIFT = kind({
  kind: 'lift',
  title: 'Lift, go or no-go',
  scopes: ['inverter'],
  values,
  instrument: null,
  gates: [],
  signer: 'lead',
  correctable: true,
  judge({ design, subject, values: v }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return SAYS_NOTHING;
    const where = onUnit(on, 'wall', 'lift');
    const planned = plannedOf(design, subject.id, v, where);
    return { checks: [...ask(RULES.lift, { ...v, planned }, where), ...planned], says: [] };
  },
  form: (design, subject) => {
    const h = mountingResults(design).hung.find((x) => x.unit.id === subject.id);
    if (!h) return null;
    return {
      schema: values,
      blank: {
        by: h.wall.lift.by,
        people: null,
        gustMs: null,
        wayFree: false,
        nobodyBelow: false,
        gearSeen: false,
        handlesReady: false,
        accepted: '',
      },
      groups: [
        { title: '', paths: ['by', 'people', 'gustMs'] },
        { title: 'Looked at', paths: ['wayFree', 'nobodyBelow', 'gearSeen', 'handlesReady'] },
        { title: 'Whoever leads the lift', paths: ['accepted'] },
      ],
      caution: 'Nobody under the load, no ladder as a platform. One person gives the words; anybody may stop it.',
    };
  },
  line: (v) => `by ${v.by}, ${v.people} people, gusts ${v.gustMs} m/s${v.accepted ? `; accepted: ${v.accepted}` : ''}`,
  printed: {
    title: 'Lifts',
    columns: [
      { title: 'By', share: 0.8 },
      { title: 'People', share: 0.6, right: true },
      { title: 'Gusts, m/s', share: 0.7, right: true },
      { title: 'Accepted', share: 3 },
    ],
    row: (v) => [v.by, String(v.people), String(v.gustMs), v.accepted || '–'],
  },
});
