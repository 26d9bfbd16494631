import { GUST_MOST_MS } from '$core/mounting/lift/gusts';
import { liftPlan, sharesOf } from '$core/mounting/lift/liftPlan';
import type { HungUnit } from '$core/mounting/results';
import { MOUNTING_RULES } from '$core/mounting/rules';
import { HANDLES } from '$core/mounting/rules/lift/handles';
import { fixed, formatQuantity } from '$core/kernel/quantity';
import type { Check } from '$core/kernel/check';
import { ask } from '$core/kernel/rule';
import type { Pen } from '../pdf';
import { Sheets } from '../pdf';

/** A unit as it is lifted onto its wall: what its card is made from. */
export interface LiftOnPaper {
  readonly site: string;
  /** Letter or revision of the design it was made from. */
  readonly state: string;
  readonly unit: HungUnit;
}

/** Height of the drawing of a unit's handles, points. */
const DRAWING_PT = 110;

/** One page to take along: crew, way, gear, what each handle carries, every check of the lift, go or no-go, who accepts what. */
export async function liftCard({ site, state, unit }: LiftOnPaper, madeAt = new Date()): Promise<Buffer> {
  const { tag } = unit.unit;
  const made = madeAt.toISOString().slice(0, 16).replace('T', ' ');
  const sheets = new Sheets({
    title: `Lift of ${tag}`,
    subject: 'Lift of a unit',
    footer: `${site} · lift of ${tag} · ${state} · made ${made} UTC · Bolt Yard`,
  });
  const { crew, team, onePerson } = liftPlan(unit);
  const { lift, label } = unit.wall;
  const checks = ask(MOUNTING_RULES.lift, unit, { element: 'wall', path: `${tag} on ${label}`, id: unit.unit.id });
  const or = <T>(value: T | null, words: (v: T) => string) => (value === null ? 'not known' : words(value));
  sheets.title(`Lift of ${tag}`, `${site} · ${unit.type.name} onto ${label} · ${state}`).facts([
    ['Mass', or(unit.type.massKg, (kg) => `${kg} kg`)],
    ['Goes up by', or(lift.by, (by) => by)],
    ['People planned', or(lift.people, (n) => String(n))],
    ['People at least', crew.value ? `${crew.value.people}, gear ${crew.value.gear}` : crew.missing.join(', ')],
    ['Hands at, hooking on', crew.value ? `${fixed(crew.value.handsM, 2)} m` : 'not known'],
    ['Lower edge over the floor', `${unit.at.yMm} mm`],
    [
      'One person may lift',
      or(onePerson, (p) => `${fixed(p.startKg, 1)} kg from the floor, ${fixed(p.endKg, 1)} kg up there`),
    ],
    ['Lifting index of the crew', or(team, (t) => fixed(t.index, 1))],
  ]);
  const shares = checks.find((c) => c.id === HANDLES.id)?.value ?? null;
  if (shares !== null)
    sheets.heading('What each handle carries').figure(handleWords(unit), DRAWING_PT, (pen) => drawHandles(pen, unit));
  sheets
    .heading('The plan')
    .table(
      [
        { title: 'What', share: 2 },
        { title: 'Verdict', share: 0.8 },
        { title: 'Value / limit', share: 1.5, right: true },
        { title: 'How', share: 4.5 },
      ],
      checks.map((c) => [c.title, c.verdict, againstLimit(c), c.working.join('; ')]),
    )
    .heading('Go or no-go')
    .list([
      `Gusts to ${GUST_MOST_MS.hoist} m/s with gear, ${GUST_MOST_MS.hand} m/s by hand; read them at the place, just before.`,
      'Way and place free, nobody below, area barred. Ladders are no lift platform; over 2 m edge protection.',
      'Gear looked at: tags, hooks, ropes. Handles unlocked, eye bolts seated to the shoulder; out again afterwards.',
      'One person gives the words; anybody may stop it. Hold until both hooks and every safety screw are in.',
      'The lifting equation covers neither teams, stairs nor one hand. Local rules and the lift’s own supervisor come first.',
    ])
    .heading('Who accepts what')
    .table(
      [
        { title: 'Name', share: 2 },
        { title: 'Leads or carries', share: 1.2 },
        { title: 'Accepts, because', share: 3.5 },
        { title: 'Gusts, m/s', share: 0.8 },
        { title: 'Time', share: 0.8 },
        { title: 'Signature', share: 1.7 },
      ],
      Array.from({ length: Math.max(3, lift.people ?? 0) }, () => Array.from({ length: 6 }, () => ' \n ')),
    );
  return sheets.bytes();
}

const againstLimit = ({ value, limit, unit }: Check): string =>
  [value, limit].flatMap((x) => (x === null ? [] : [formatQuantity(x, unit)])).join(' / ') || '–';

function handleWords({ type }: HungUnit): string {
  const kg = sharesOf(type).value?.sharesKg ?? [];
  return `${type.name} from the front; handles carry ${kg.map((x) => `${fixed(x, 0)} kg`).join(', ')}`;
}

function drawHandles(pen: Pen, { type }: HungUnit): void {
  const { widthMm, heightMm, handles, centreXMm, centreYMm } = type.body;
  const shares = sharesOf(type).value;
  if (widthMm === null || heightMm === null || centreXMm === null || centreYMm === null || !shares) return;
  const scale = Math.min((pen.width - 160) / widthMm, (DRAWING_PT - 10) / heightMm);
  const x = (mm: number) => 60 + mm * scale;
  const y = (mm: number) => 4 + (heightMm - mm) * scale;
  pen.box(x(0), y(heightMm), widthMm * scale, heightMm * scale);
  handles.forEach((h, i) => {
    const right = h.xMm > widthMm / 2;
    pen.box(x(h.xMm) - 2.5, y(h.yMm) - 2.5, 5, 5, true);
    pen.text(`${fixed(shares.sharesKg[i] ?? 0, 0)} kg`, x(h.xMm) + (right ? 6 : -6), y(h.yMm) - 4, 50, {
      size: 8,
      bold: true,
      ...(right ? {} : { align: 'right' as const }),
    });
  });
  const [cx, cy] = [x(centreXMm), y(centreYMm)];
  pen.line([
    [cx - 5, cy],
    [cx + 5, cy],
  ]);
  pen.line([
    [cx, cy - 5],
    [cx, cy + 5],
  ]);
  pen.text('centre of gravity', cx + 7, cy - 4, 90, { size: 6.5 });
  pen.text(`worst ${fixed(shares.worstKg, 0)} kg, where a hand gives way`, x(widthMm) + 60, 8, 190, { size: 7.5 });
}
