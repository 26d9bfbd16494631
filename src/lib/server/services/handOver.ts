import type { HandOverSummary } from '$lib/schemas/handOver';
import type { RunResult } from '$core/ac/results';
import { runResults } from '$core/ac/results';
import { assessSite } from '$core/design/assess';
import type { Check } from '$core/kernel/check';
import { byUrgency } from '$core/kernel/check';
import type { Verdict } from '$core/kernel/check';
import type { Entry, EntryOf } from '$core/proving/entry';
import type { GateProof } from '$core/proving/evidence/proofs';
import { timeOf } from '$core/proving/evidence/times';
import { isClosed } from '$core/proving/gates/machine';
import { verdictOf } from '$core/proving/judging';
import { AC_INSULATION } from '$core/proving/kinds/acInsulation';
import { ACCEPTANCE } from '$core/proving/kinds/acceptance';
import { DC_INSULATION } from '$core/proving/kinds/dcInsulation';
import { OPEN_POINT } from '$core/proving/kinds/openPoint';
import { SIGNATURE } from '$core/proving/kinds/signature';
import { WAIVER } from '$core/proving/kinds/waiver';
import type { ChainReport } from '../db/recordChain';
import type { SiteDesign } from '$core/design';
import { lineOf } from '$core/site/line';
import type { Context } from './context';
import { loadDesign } from './designs';
import { readLogbook, verifyRecord } from './records';
import type { ReleasedDesign } from './siteLogs';

/** An open point, written by somebody or following from the state of the site. */
export interface OpenPoint {
  readonly text: string;
  readonly severity: 'safety' | 'work' | 'cosmetic';
  readonly owner: string;
  readonly due: string | null;
}

/** An entry with what it says, and why it does not count where it does not. */
export interface JudgedEntry {
  readonly record: Entry;
  readonly checks: readonly Check[];
  readonly verdict: Verdict;
  readonly why: string | null;
}

export interface HandOver {
  readonly siteId: string;
  /** The released design where there is one, else the design as it stands, said so in the document. */
  readonly design: SiteDesign;
  readonly release: ReleasedDesign | null;
  readonly runs: readonly RunResult[];
  /** Entries that nothing corrects, in the order of their time. */
  readonly judged: readonly JudgedEntry[];
  /** What does not count, with why: by people who might not, or against the order of the work. */
  readonly uncounted: readonly { readonly record: Entry; readonly why: string }[];
  /** Units to be switched off until their proofs stand again. */
  readonly switchOff: readonly { readonly unit: string; readonly why: readonly string[] }[];
  readonly chain: ChainReport;
  readonly openChecks: readonly Check[];
  readonly openPoints: readonly OpenPoint[];
  readonly waivers: readonly Entry[];
  readonly signatures: readonly EntryOf<'signature', { statement: string }>[];
  readonly summary: HandOverSummary;
}

/** Everything the hand-over says, from the released design and the record. */
export async function handOver(context: Context, siteId: string): Promise<HandOver> {
  const [stored, book, chain] = await Promise.all([
    loadDesign(context, siteId),
    readLogbook(context, siteId),
    verifyRecord(context, siteId),
  ]);
  const { evidence } = book;
  const design = book.current?.design ?? stored.design;
  const corrected = new Set(book.entries.map((e) => e.corrects));
  const live = book.entries.filter((e) => !corrected.has(e.id)).sort((a, b) => timeOf(a)[0] - timeOf(b)[0]);
  const judged = live.map((record): JudgedEntry => {
    const judgement = evidence.judgement(record);
    return {
      record,
      checks: judgement.checks,
      verdict: verdictOf(judgement),
      why: evidence.notes.get(record.id) ?? null,
    };
  });
  const gates = [...evidence.gates].map(([, g]) => g);
  const closedOf = (id: string) => gates.filter((g) => g.gate.id === id && isClosed(g.state)).length;
  const openChecks = [...assessSite(design).checks].filter((c) => c.verdict !== 'holds').sort(byUrgency);
  const openPoints = [...written(live), ...following(book.current, gates, openChecks, evidence.switchOff.length)];
  // What rules its gate counts, not what a later reading replaced.
  const ruling = gates.flatMap((g) => (g.by ? [g.by] : []));
  const insulation = ruling.flatMap((r) => (DC_INSULATION.is(r) || AC_INSULATION.is(r) ? [r.values.megohm] : []));
  const off = gates
    .flatMap((g) => (g.gate.id === 'D-VOC' && g.by ? evidence.judgement(g.by).checks : []))
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
    uncounted: book.entries.flatMap((record) => {
      const why = evidence.notes.get(record.id);
      return why ? [{ record, why }] : [];
    }),
    switchOff: evidence.switchOff,
    chain,
    waivers: live.filter((r) => WAIVER.is(r) || ACCEPTANCE.is(r)),
    signatures: live.filter(SIGNATURE.is).filter((r) => !evidence.notes.has(r.id)),
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
      entries: book.entries.length,
    },
  };
}

function written(live: readonly Entry[]): OpenPoint[] {
  return live
    .filter(OPEN_POINT.is)
    .filter((r) => !r.values.closed)
    .map((r) => ({ text: r.values.text, severity: r.values.severity, owner: r.values.owner, due: r.values.due }));
}

/** Points nobody had to write: no release, gates not closed, checks that stop or are unknown. */
function following(
  release: ReleasedDesign | null,
  gates: readonly GateProof[],
  checks: readonly Check[],
  switchOff: number,
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
    ...(switchOff
      ? [point(`${switchOff} units run without their proofs: switch off until proved`, 'safety', 'electrician')]
      : []),
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
