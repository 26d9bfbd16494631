import type { Check } from '../kernel/check';
import type { SiteDesign } from '../design';
import type { GateId, GateKey, GateModel, GateResult, GateView } from './gates/machine';
import { gateKey, gateStates } from './gates/machine';
import type { Judged } from './judge';
import { judge } from './judge';
import type { SiteRecord } from './record';
import { liveRecords } from './record';
import { lineOf } from '../site/line';

/** The record of a site, with the designs it was made against. */
export interface SiteLog {
  readonly records: readonly SiteRecord[];
  /** Released designs by letter. */
  readonly releases: ReadonlyMap<string, SiteDesign>;
  /** The newest letter; what the crew builds from now. */
  readonly current: string;
  /** Today on site, YYYY-MM-DD. */
  readonly today: string;
}

export interface Progress {
  readonly judged: readonly Judged[];
  readonly checks: readonly Check[];
  readonly gates: ReadonlyMap<GateKey, GateView>;
}

/** The parts of a released design as the gates see them: strings count where they hang. */
function gateModel(design: SiteDesign): GateModel {
  const { rcdFitted, stopFitted, contactsFitted } = design.survey;
  const line = lineOf(design);
  return {
    inverters: design.inverters.map((i) => ({
      id: i.id,
      strings: (line.unit(i.id)?.strings ?? []).map((s) => s.id),
    })),
    busFitted: design.chain.devices.length > 0,
    rcdFitted,
    stopFitted,
    contactsFitted,
  };
}

/** What an entry on a part rests on: when it differs between two releases, proofs made on the older one are stale. */
function subjectFingerprint(design: SiteDesign, subject: SiteRecord['subject']): string {
  if (subject.scope === 'site') return 'site';
  const line = lineOf(design);
  if (subject.scope === 'string') {
    const on = line.string(subject.id);
    return JSON.stringify([on?.string ?? null, on?.plane.moduleTypeId, on?.module]);
  }
  const on = line.unit(subject.id);
  return JSON.stringify([on?.unit.typeId, on?.type, design.runs.find((r) => r.inverterId === subject.id)]);
}

/** Gates that lapse at the end of the day on which they were closed. */
const DAILY: ReadonlySet<GateId> = new Set<GateId>(['S-SAFE', 'I-PERMIT']);

/**
 * Judges every live entry against the release it was made for and reads the gates off. Nothing is stored: staleness follows from
 * the entries, the releases and the day. The daily S-SAFE and a permit of another day count no longer.
 */
export function progressOf(log: SiteLog): Progress {
  const design = log.releases.get(log.current);
  if (!design) throw new RangeError(`current must be a released letter (got ${log.current})`);
  const live = liveRecords(log.records);
  const results = new Map<GateKey, GateResult>();
  const judged = live.flatMap((record): Judged[] => {
    const made = log.releases.get(record.release);
    return made ? [judge(record, made, live)] : [];
  });
  const running = new Set(
    judged
      .filter((j) => j.gates.some((g) => g.gate === 'I-ONGRID' && g.result === 'pass'))
      .map((j) => j.record.subject.id),
  );
  for (const { record, gates } of judged) {
    const made = log.releases.get(record.release) ?? design;
    const changed = subjectFingerprint(made, record.subject) !== subjectFingerprint(design, record.subject);
    for (const { gate, result } of gates) {
      if (
        result === 'waived' &&
        record.kind === 'waiver' &&
        waiverLapsed(record.doneAt, record.values.reviewDays, log.today)
      )
        continue;
      const lapses =
        DAILY.has(gate) &&
        record.doneAt.slice(0, 10) !== log.today &&
        !(gate === 'I-PERMIT' && running.has(record.subject.id));
      const key = gateKey(gate, record.subject.id);
      if (lapses) results.delete(key);
      else results.set(key, changed && result !== 'fail' ? 'stale' : result);
    }
  }
  return { judged, checks: judged.flatMap((j) => j.checks), gates: gateStates(gateModel(design), results) };
}

function waiverLapsed(doneAt: string, reviewDays: number, today: string): boolean {
  return (Date.parse(today) - Date.parse(doneAt.slice(0, 10))) / 86_400_000 > reviewDays;
}
