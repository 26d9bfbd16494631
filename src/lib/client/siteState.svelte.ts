import { getContext, setContext } from 'svelte';
import { assessSite } from '$core/assess';
import type { Assessment } from '$core/assess';
import type { DesignEdit } from '$core/edit';
import { applyEdit } from '$core/edit';
import type { Check, Verdict } from '$core/kernel/check';
import { VERDICT_ORDER } from '$core/kernel/check';
import { Memo } from '$core/kernel/memo';
import { sharing } from '$core/site/sharing';
import type { SiteDesign } from '$core/site/siteDesign';
import type { ProblemDocument } from './api';
import { ApiProblem, post } from './api';

/** A design as the server keeps it. */
export interface Stored {
  readonly siteId: string;
  readonly revision: number;
  readonly design: SiteDesign;
  readonly canUndo: boolean;
}

export interface VerdictChange {
  readonly what: string;
  readonly from: Verdict | null;
  readonly to: Verdict | null;
}

/** The open site: the design as it is on screen, its assessment, and the way to change it. */
export class SiteState {
  readonly siteId: string;
  design = $state.raw() as SiteDesign;
  canUndo = $state(false);
  /** Changes not acknowledged by the server yet. */
  pending = $state(0);
  trouble = $state.raw<ProblemDocument | null>(null);
  /** What the last change did to checks. */
  changes = $state.raw<readonly VerdictChange[]>([]);
  readonly #memo = new Memo();
  readonly assessment: Assessment = $derived(assessSite(this.design, this.#memo));
  revision = $state(0);
  #queue: Promise<unknown> = Promise.resolve();

  constructor(stored: Stored) {
    this.siteId = stored.siteId;
    this.take(stored);
  }

  /** Shows what the server has, when nothing of ours is on its way. */
  take(stored: Stored): void {
    if (this.pending > 0) return;
    this.design = sharing(this.design, stored.design);
    this.revision = stored.revision;
    this.canUndo = stored.canUndo;
  }

  /** Changes the design: at once on screen, then on the server. A refusal puts the server's design back and is returned. */
  apply(edit: DesignEdit): Promise<ProblemDocument | null> {
    const before = this.assessment;
    try {
      this.design = applyEdit(this.design, edit);
    } catch (cause) {
      if (!(cause instanceof RangeError)) throw cause;
      this.trouble = { type: 'about:blank', title: 'Not possible yet', status: 422, detail: cause.message };
      return Promise.resolve(this.trouble);
    }
    this.changes = verdictChanges(before, this.assessment);
    return this.#send('edits', (revision) => ({ revision, edit }));
  }

  undo(): Promise<ProblemDocument | null> {
    const before = this.assessment;
    return this.#send('undo', (revision) => ({ revision })).then((problem) => {
      this.changes = verdictChanges(before, this.assessment);
      return problem;
    });
  }

  #send(what: 'edits' | 'undo', body: (revision: number) => unknown): Promise<ProblemDocument | null> {
    this.pending += 1;
    this.trouble = null;
    const sent = this.#queue.then(async (): Promise<ProblemDocument | null> => {
      try {
        const stored = await post<Stored>(`/api/v1/sites/${this.siteId}/${what}`, body(this.revision));
        this.revision = stored.revision;
        this.canUndo = stored.canUndo;
        if (what === 'undo' || this.pending === 1) this.design = sharing(this.design, stored.design);
        return null;
      } catch (cause) {
        if (!(cause instanceof ApiProblem)) throw cause;
        this.trouble = cause.problem;
        return cause.problem;
      } finally {
        this.pending -= 1;
      }
    });
    this.#queue = sent;
    return sent;
  }
}

/** Checks that stand otherwise than before, worst first. A part keeps its check when it moves; holding ones that come and go are no news. */
function verdictChanges(before: Assessment, after: Assessment): VerdictChange[] {
  // A check that is the very same object was not even computed again: nothing to compare.
  const [old, now] = [new Set(before.checks), new Set(after.checks)];
  const keyed = (checks: Iterable<Check>, others: ReadonlySet<Check>) => {
    const found = new Map<string, Check>();
    for (const c of checks) if (!others.has(c)) found.set(`${c.id}|${c.subject.id ?? c.subject.path}`, c);
    return found;
  };
  const [was, is] = [keyed(old, now), keyed(now, old)];
  const rank = (c: VerdictChange) => (c.to ? VERDICT_ORDER.indexOf(c.to) : VERDICT_ORDER.length);
  return [...new Set([...was.keys(), ...is.keys()])]
    .flatMap((key): VerdictChange[] => {
      const [from, to] = [was.get(key), is.get(key)];
      if ((from?.verdict ?? 'holds') === (to?.verdict ?? 'holds')) return [];
      const shown = to ?? from;
      return shown
        ? [{ what: `${shown.title} · ${shown.subject.path}`, from: from?.verdict ?? null, to: to?.verdict ?? null }]
        : [];
    })
    .sort((a, b) => rank(a) - rank(b));
}

const KEY = Symbol('site');
export const provideSite = (state: SiteState): SiteState => setContext(KEY, state);
export const useSite = (): SiteState => getContext<SiteState>(KEY);
