import type { Check } from '../../kernel/check';
import { atMost, practice, withVerdict } from '../../kernel/check';
import { fixed } from '../../kernel/quantity';
import { withStrings } from '../../site/edits';
import type { PvString, SiteDesign } from '../../site/siteDesign';

/** One of two strings that would share a tracker. */
export interface MixPart {
  readonly planeId: string;
  readonly modules: number;
}

/** The design with these two strings on tracker 1 of a unit and nothing else: what a year of it loses is what mixing them costs. */
export function onlyMixed(design: SiteDesign, inverterId: string, parts: readonly [MixPart, MixPart]): SiteDesign {
  const strings = parts.map(({ planeId, modules }, i): PvString => ({
    id: `mix-${i + 1}`,
    number: i + 1,
    planeId,
    modules,
    place: { inverterId, tracker: 1, input: i + 1, branch: 1 },
    start: null,
    lengthM: null,
  }));
  return withStrings({ ...design, locks: [] }, strings);
}

/** Loss of a year by mixing: up to this it is let pass, and up to the second it is borne (common practice). */
const LET_PASS_PERCENT = 0.5;
const BORNE_PERCENT = 2;

/** How mixing two orientations on a tracker stands over a year. Unequal lengths stop whatever they lose: they push current back. */
export function judgeMixing(lossPercent: number, parts: readonly [MixPart, MixPart]): Check {
  const check = atMost(
    {
      id: 'strings.mixing',
      subject: { element: 'tracker', path: `${parts[0].modules} beside ${parts[1].modules} modules` },
      title: 'Loss of a year by sharing a tracker',
      unit: '%',
      basis: practice('0.5 % let pass, 2 % borne; one class and one length a tracker is the rule'),
      value: lossPercent,
      limit: BORNE_PERCENT,
      working: [`1 − P_parallel/ΣP_separate over the year = ${fixed(lossPercent, 3)} %`],
    },
    100 * (1 - LET_PASS_PERCENT / BORNE_PERCENT),
  );
  return parts[0].modules === parts[1].modules
    ? check
    : withVerdict(check, 'stop', 'Unequal lengths: the longer string pushes current back into the shorter one.');
}
