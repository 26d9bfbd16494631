import { gridCodeOf, gridWindow } from '../site/gridCodes';
import { lineOf } from '../site/line';
import type { SiteDesign } from '../design';
import type { EnergiseStep, StepLimits } from './energise';
import { USUAL_ORDER, leastWaitS, stepTrouble } from './energise';
import type { GateKey, GateView } from './gates/machine';
import { gateKey, isClosed } from './gates/machine';
import type { RecordOf, SiteRecord } from './record';
import { liveRecords } from './record';

export interface StepView {
  readonly step: EnergiseStep;
  readonly state: 'done' | 'open' | 'locked';
  readonly record: RecordOf<'energise'> | null;
  /** What stands in the way, in words; empty when open. */
  readonly blockedBy: readonly string[];
  /** Moment before which the step may not be confirmed, ms since 1970; null when there is no wait. */
  readonly notBeforeMs: number | null;
}

/** Limits that the readings of an inverter's steps are held against. */
export function stepLimits(design: SiteDesign, inverterId: string, records: readonly SiteRecord[]): StepLimits {
  const type = lineOf(design).unit(inverterId)?.type;
  const rest = liveRecords(records)
    .filter((r): r is RecordOf<'ac-voltages'> => r.kind === 'ac-voltages' && r.subject.id === inverterId)
    .at(-1)?.values;
  return {
    restLineV: rest ? (rest.l12V + rest.l23V + rest.l31V) / 3 : null,
    window: gridWindow(design.survey).value,
    startV: type?.startV ?? null,
    dcMaxV: type?.dcMaxV ?? null,
    ratedW: type?.ratedW ?? null,
  };
}

/** Gates that must be closed before a step, beyond the step before it. */
function guards(step: EnergiseStep, design: SiteDesign, inverterId: string): GateKey[] {
  const strings = lineOf(design).unit(inverterId)?.strings ?? [];
  if (step.state === 'LOCKED_OFF') return [gateKey('I-PERMIT', inverterId)];
  if (step.state === 'AC_CLOSED') return [gateKey('I-ACV', inverterId)];
  if (step.state === 'DC_CLOSED')
    return [gateKey('I-DCLAND', inverterId), ...strings.map((s) => gateKey('D-VOC', s.id))];
  return step.state === 'ON_GRID' ? [gateKey('I-SETUP', inverterId)] : [];
}

/**
 * Where an inverter stands in the usual order: a step opens when the one before is confirmed with its reading, its guards are
 * closed and its least wait is over. A guard lost stops the order; nothing is skipped.
 */
export function energiseProgress(
  design: SiteDesign,
  inverterId: string,
  records: readonly SiteRecord[],
  gates: ReadonlyMap<GateKey, GateView>,
): StepView[] {
  const done = new Map<string, RecordOf<'energise'>>();
  for (const r of liveRecords(records))
    if (r.kind === 'energise' && r.subject.id === inverterId) done.set(r.values.state, r);
  const code = gridCodeOf(design.survey.gridCode);
  let before: StepView | null = null;
  return USUAL_ORDER.map((step) => {
    const record = done.get(step.state) ?? null;
    const open = guards(step, design, inverterId).filter((key) => !isClosed(gates.get(key)?.state ?? 'locked'));
    const wait = leastWaitS(step, code);
    const blockedBy = [
      ...(before && before.state !== 'done' ? [`${before.step.state} is not confirmed yet`] : []),
      ...open.map((key) => `gate ${key} is not closed`),
      ...(wait === null ? ['the grid code is not on the survey: its waiting time is unknown'] : []),
    ];
    const startMs = before?.record ? Date.parse(before.record.doneAt) : null;
    const view: StepView = {
      step,
      record,
      state: record ? 'done' : blockedBy.length ? 'locked' : 'open',
      blockedBy: record ? [] : blockedBy,
      notBeforeMs: startMs !== null && wait ? startMs + 1000 * wait : null,
    };
    before = view;
    return view;
  });
}

/** Why a step may not be confirmed with this entry; null when it may. */
export function confirmTrouble(
  view: StepView | undefined,
  entry: RecordOf<'energise'>,
  limits: StepLimits,
): string | null {
  if (!view) return `${entry.values.state} is no step of the usual order on this site.`;
  if (view.state === 'done' && entry.corrects === null)
    return `${entry.values.state} is confirmed already: correct the entry instead.`;
  if (view.state === 'locked') return view.blockedBy.join('; ');
  if (view.notBeforeMs !== null && Date.parse(entry.doneAt) < view.notBeforeMs) {
    return `Wait ${Math.ceil((view.notBeforeMs - Date.parse(entry.doneAt)) / 1000)} s longer: ${view.step.action}.`;
  }
  return stepTrouble(view.step.state, entry.values.reading, limits);
}
