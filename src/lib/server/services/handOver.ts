import type { RunResult } from '$core/ac/results';
import { runResults } from '$core/ac/results';
import { assessSite } from '$core/design/assess';
import type { Check } from '$core/kernel/check';
import { byUrgency } from '$core/kernel/check';
import { isClosed } from '$core/proving/gates/machine';
import type { Judged } from '$core/proving/judge';
import type { RecordOf, SiteRecord } from '$core/proving/record';
import { liveRecords } from '$core/proving/record';
import type { SiteDesign } from '$core/design';
import { lineOf } from '$core/site/line';
import type { Context } from './context';
import { loadDesign } from './designs';
import type { ReleasedDesign } from './records';
import { readLogbook } from './records';

/** An open point, written by somebody or following from the state of the site. */
export interface OpenPoint {
  readonly text: string;
  readonly severity: 'safety' | 'work' | 'cosmetic';
  readonly owner: string;
  readonly due: string | null;
}

export interface HandOver {
  readonly siteId: string;
  /** The released design where there is one, else the design as it stands, said so in the document. */
  readonly design: SiteDesign;
  readonly release: ReleasedDesign | null;
  readonly runs: readonly RunResult[];
  readonly judged: readonly Judged[];
  readonly openChecks: readonly Check[];
  readonly openPoints: readonly OpenPoint[];
  readonly waivers: readonly SiteRecord[];
  readonly signatures: readonly RecordOf<'signature'>[];
  readonly summary: {
    readonly name: string;
    readonly place: string;
    readonly release: string | null;
    readonly units: number;
    readonly onGrid: number;
    readonly strings: number;
    readonly stringsProved: number;
    readonly dcKw: number;
    readonly acKw: number;
    readonly lowestInsulationMohm: number | null;
    readonly worstVoltagePercent: number | null;
    readonly openPoints: number;
    readonly entries: number;
  };
}

const isKind =
  <K extends SiteRecord['kind']>(kind: K) =>
  (r: SiteRecord): r is RecordOf<K> =>
    r.kind === kind;

/** Everything the hand-over says, from the released design and the live record. */
export async function handOver(context: Context, siteId: string): Promise<HandOver> {
  const [stored, book] = await Promise.all([loadDesign(context, siteId), readLogbook(context, siteId)]);

  const design = book.current?.design ?? stored.design;
  const live = liveRecords(book.records);
  const judged = book.progress?.judged ?? [];
  const gates = [...(book.progress?.gates.values() ?? [])];
  const closedOf = (id: string) => gates.filter((g) => g.gate.id === id && isClosed(g.state)).length;
  const openChecks = [...assessSite(design).checks].filter((c) => c.verdict !== 'holds').sort(byUrgency);
  const openPoints = [...written(live), ...following(book.current, gates, openChecks)];
  const insulation = live.filter(isKind('insulation')).map((r) => r.values.megohm);
  const off = judged
    .flatMap((j) => j.checks)
    .filter((c) => c.id === 'proving.likeness' || c.id === 'proving.expected-voltage');
  const percents = off.map((c) => 100 * ((c.value ?? 0) / (c.limit ?? 1) - 1));
  const line = lineOf(design);
  return {
    siteId,
    design,
    release: book.current,
    runs: runResults(design),
    judged,
    openChecks,
    openPoints,
    waivers: live.filter((r) => r.kind === 'waiver' || (r.kind === 'gate' && r.values.result === 'accepted')),
    signatures: live.filter(isKind('signature')),
    summary: {
      name: design.survey.name,
      place: design.survey.place,
      release: book.current?.letter ?? null,
      units: design.inverters.length,
      onGrid: closedOf('I-ONGRID'),
      strings: design.strings.length,
      stringsProved: gates.filter((g) => g.gate.id === 'D-VOC' && isClosed(g.state)).length,
      dcKw: line.drawnW / 1000,
      acKw: line.ratedW / 1000,
      lowestInsulationMohm: insulation.length ? Math.min(...insulation) : null,
      worstVoltagePercent: percents.length ? percents.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a)) : null,
      openPoints: openPoints.length,
      entries: book.records.length,
    },
  };
}

function written(live: readonly SiteRecord[]): OpenPoint[] {
  return live
    .filter(isKind('open-point'))
    .filter((r) => !r.values.closed)
    .map((r) => ({ text: r.values.text, severity: r.values.severity, owner: r.values.owner, due: r.values.due }));
}

/** Points nobody had to write: no release, gates not closed, checks that stop or are unknown. */
function following(
  release: ReleasedDesign | null,
  gates: readonly { gate: { id: string; signer: string }; state: Parameters<typeof isClosed>[0] }[],
  checks: readonly Check[],
): OpenPoint[] {
  const count = (state: 'failed' | 'stale') => gates.filter((g) => g.state === state).length;
  const open = gates.filter((g) => g.state === 'open' || g.state === 'locked' || g.state === 'caution').length;
  const stops = checks.filter((c) => c.verdict === 'stop').length;
  const unknowns = checks.filter((c) => c.verdict === 'unknown').length;
  const point = (text: string, severity: OpenPoint['severity'], owner: string): OpenPoint => ({
    text,
    severity,
    owner,
    due: null,
  });
  return [
    ...(release ? [] : [point('The design is not released: nothing can be recorded against it', 'work', 'designer')]),
    ...(stops ? [point(`${stops} checks of the design stop`, 'safety', 'designer')] : []),
    ...(unknowns
      ? [point(`${unknowns} checks of the design are unknown: inputs are missing`, 'work', 'designer')]
      : []),
    ...(count('failed') ? [point(`${count('failed')} gates failed`, 'safety', 'electrician')] : []),
    ...(count('stale')
      ? [point(`${count('stale')} gates are stale and must be proved again`, 'safety', 'electrician')]
      : []),
    ...(open ? [point(`${open} gates are not closed yet`, 'work', 'electrician')] : []),
  ];
}
