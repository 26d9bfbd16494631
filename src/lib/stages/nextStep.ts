import type { SiteDesign } from '$core/design';
import type { Check } from '$core/kernel/check';
import type { EnteredAt } from './whereEntered';
import { enteredAt } from './whereEntered';

/** One input that is missing: in how many checks, and where it is entered. */
export interface MissingInput {
  readonly name: string;
  readonly checks: number;
  readonly at: EnteredAt | null;
  /** The part it is missing at first. */
  readonly partId: string | undefined;
}

/** What checks lack, what keeps most of them open first. */
export function missingInputs(checks: readonly Check[]): MissingInput[] {
  const found = new Map<string, { checks: number; partId: string | undefined }>();
  for (const { missing, subject } of checks)
    for (const name of missing ?? []) {
      const own = found.get(name);
      if (own) own.checks += 1;
      else found.set(name, { checks: 1, partId: subject.id });
    }
  return [...found]
    .map(([name, own]) => ({ name, ...own, at: enteredAt(name) }))
    .sort((a, b) => b.checks - a.checks || a.name.localeCompare(b.name));
}

/** One step on the way from an empty site to a released one. */
export interface Step {
  readonly words: string;
  readonly at: EnteredAt;
  readonly done: (design: SiteDesign) => boolean;
}

const STEPS: readonly Step[] = [
  {
    words: 'Say where the site is and how cold it gets',
    at: { stage: 'survey', field: 'coldestC' },
    done: ({ survey }) => survey.coldestC !== null && survey.hottestC !== null,
  },
  {
    words: 'Give the line voltage of the grid',
    at: { stage: 'survey', field: 'lineV' },
    done: ({ survey }) => survey.lineV !== null,
  },
  { words: 'Add the first plane of modules', at: { stage: 'survey' }, done: (d) => d.planes.length > 0 },
  { words: 'Hang the first inverter', at: { stage: 'survey' }, done: (d) => d.inverters.length > 0 },
  { words: 'Lay the strings out', at: { stage: 'strings' }, done: (d) => d.strings.some((s) => s.place !== null) },
  {
    words: 'Choose the DC cable',
    at: { stage: 'strings', field: 'sectionMm2' },
    done: (d) => d.dcCable.sectionMm2 !== null,
  },
  {
    words: 'Size the AC runs',
    at: { stage: 'ac', field: 'lengthM' },
    done: (d) => d.runs.length > 0 && d.runs.every((r) => r.sectionMm2 !== null && r.breakerA !== null),
  },
  {
    words: 'Put the chain in order, with its bit rate',
    at: { stage: 'links' },
    done: (d) => d.chain.bitRate !== null && d.chain.devices.some((c) => c.address !== null),
  },
];

/** The first step that is not done yet, with its number and how many there are; null where only the release is left. */
export function nextStep(design: SiteDesign): (Step & { readonly number: number; readonly of: number }) | null {
  const at = STEPS.findIndex((s) => !s.done(design));
  const step = STEPS[at];
  return step ? { ...step, number: at + 1, of: STEPS.length + 1 } : null;
}
