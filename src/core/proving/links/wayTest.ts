import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { ask } from '../../kernel/rule';
import { enumOf, partId, quantity } from '../../kernel/schema';
import type { OtherWays } from '../../links/otherWays';
import type { Entry } from '../entry';
import { measured, onSite } from '../judging';
import type { Judgement } from '../kind';
import type { WayReading } from '../readings/wayReading';
import { PROVING_RULES as RULES } from '../rules';

/** A way beside the bus as it was tried: every unit asked over it. */

/** Ways that are tried, each with what it is called. Service ports carry nothing to be tried. */
export const TRIED_WAYS = { ethernet: 'Ethernet', radio: 'radio link', carriers: 'carrier' } as const;
export type TriedWay = keyof typeof TRIED_WAYS;
const TRIED = Object.keys(TRIED_WAYS) as [TriedWay, ...TriedWay[]];
/** When it was tried: a carrier at the two hours at which it is worst. */
export const WHEN = ['at full power', 'at night', 'at another hour'] as const;
export type When = (typeof WHEN)[number];

const units = (what: string) => quantity(0, 247, 'units', what).int();
export const wayValues = z
  .object({
    way: enumOf(TRIED).meta({ description: 'Kind of way' }),
    wayId: partId.meta({ description: 'Which of them' }),
    when: enumOf(WHEN).meta({ description: 'Tried' }),
    unitsOn: units('Units on it, all of them powered'),
    unitsAnswered: units('Units that answered'),
    polls: quantity(1, 10_000, '', 'Questions to each unit').int(),
    worstGood: quantity(0, 10_000, '', 'Came back from the unit that answers worst').int(),
  })
  .refine((v) => v.unitsAnswered <= v.unitsOn, {
    path: ['unitsAnswered'],
    message: 'No more answer than are on it.',
  })
  .refine((v) => v.worstGood <= v.polls, { path: ['worstGood'], message: 'No more come back than were asked.' });
export type WayValues = z.output<typeof wayValues>;

/** A way of a design that is tried. */
export interface WayOfDesign {
  readonly way: TriedWay;
  readonly id: string;
  readonly label: string;
  /** Units that the plan has on it; null where it does not say, undefined where it never does. */
  readonly units: number | null | undefined;
}
export const waysOf = ({ ethernet, radio, carriers }: OtherWays): WayOfDesign[] => [
  ...ethernet.map(({ id, label, units: n }) => ({ way: 'ethernet' as const, id, label, units: n })),
  ...radio.map(({ id, label }) => ({ way: 'radio' as const, id, label, units: undefined })),
  ...carriers.map(({ id, label }) => ({ way: 'carriers' as const, id, label, units: undefined })),
];

/** What a trial of a way says of the gate of the buses, by itself. */
export function judgedWay(
  { chain: { otherWays } }: SiteDesign,
  entry: Entry & { readonly values: WayValues },
  day: string,
): Judgement {
  const v = entry.values;
  const planned = waysOf(otherWays).find((w) => w.way === v.way && w.id === v.wayId) ?? null;
  const reading: WayReading = {
    ...v,
    planned,
    shares: [{ label: 'the unit that answers worst', share: v.worstGood / v.polls }],
  };
  const where = onSite('inverter', `${TRIED_WAYS[v.way]} ${planned?.label ?? v.wayId}`);
  return measured(
    entry,
    day,
    ['S-BUS'],
    where,
    [RULES.way, RULES.asked].flatMap((rules) => ask(rules, reading, where)),
  );
}
