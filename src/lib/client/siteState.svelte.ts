import jsonpatch from 'fast-json-patch';
import { getContext, setContext } from 'svelte';
import type { DesignEdit, SiteDesign } from '$core/design';
import { applyEdit } from '$core/design';
import type { Assessment } from '$core/design/assess';
import { assessSite } from '$core/design/assess';
import type { Check, Verdict } from '$core/kernel/check';
import { VERDICT_ORDER } from '$core/kernel/check';
import { Memo } from '$core/kernel/memo';
import { reuseUnchanged } from '$core/kernel/reuseUnchanged';
import type { ProblemDocument } from '$lib/schemas/problem';
import type { Changed, StoredDesign } from '$lib/schemas/site';
import { ApiProblem, post } from './api';

export interface VerdictChange {
  readonly what: string;
  readonly from: Verdict | null;
  readonly to: Verdict | null;
}

/** A change on its way to the server, with the design as it is once the server has taken it. */
interface Waiting {
  readonly edit: DesignEdit;
  after: SiteDesign;
}

/** The open site: the design as it is on screen, its assessment, and the way to change it. */
export class SiteState {
  readonly siteId: string;
  design = $state.raw() as SiteDesign;
  canUndo = $state(false);
  /** Changes not acknowledged by the server yet. */
  pending = $state(0);
  /** Why a change was refused; stays until another one is made. */
  trouble = $state.raw<ProblemDocument | null>(null);
  /** What the last change did to checks. */
  changes = $state.raw<readonly VerdictChange[]>([]);
  readonly #memo = new Memo();
  readonly assessment: Assessment = $derived(assessSite(this.design, this.#memo));
  revision = $state(0);
  /** How what is on screen stands to what the server keeps. */
  readonly keeping: 'saved' | 'saving' | 'refused' = $derived(
    this.pending > 0 ? 'saving' : this.trouble ? 'refused' : 'saved',
  );
  /** The design as the server has acknowledged it. */
  #confirmed: SiteDesign;
  #waiting: Waiting[] = [];
  #queue: Promise<unknown> = Promise.resolve();

  constructor(stored: StoredDesign) {
    this.siteId = stored.siteId;
    this.#confirmed = stored.design;
    this.take(stored);
  }

  /** Shows what the server has, when nothing of ours is on its way. */
  take(stored: StoredDesign): void {
    if (this.pending > 0) return;
    this.#confirmed = this.design = reuseUnchanged(this.design, stored.design);
    this.revision = stored.revision;
    this.canUndo = stored.canUndo;
    this.trouble = null;
  }

  /** Changes the design: at once on screen, then on the server. A refusal takes it back from the screen and is returned. */
  apply(edit: DesignEdit): Promise<ProblemDocument | null> {
    const before = this.assessment;
    let after: SiteDesign;
    try {
      after = applyEdit(this.design, edit);
    } catch (cause) {
      if (!(cause instanceof RangeError)) throw cause;
      this.trouble = { type: 'about:blank', title: 'Not possible yet', status: 422, detail: cause.message };
      return Promise.resolve(this.trouble);
    }
    const own: Waiting = { edit, after };
    this.design = after;
    this.#waiting.push(own);
    this.changes = verdictChanges(before, this.assessment);
    return this.#send('edits', { edit }, ({ changes }) => {
      this.#waiting = this.#waiting.filter((w) => w !== own);
      this.#confirmed = patched(own.after, changes);
      if (changes.length) this.#replay();
    }).then((problem) => {
      if (problem) this.#drop(own);
      return problem;
    });
  }

  undo(): Promise<ProblemDocument | null> {
    const before = this.assessment;
    return this.#send('undo', {}, ({ changes }) => {
      this.#confirmed = patched(this.#confirmed, changes);
      this.#replay();
      this.changes = verdictChanges(before, this.assessment);
    });
  }

  /** Takes a refused change back from the screen; those made after it stay. */
  #drop(refused: Waiting): void {
    const before = this.assessment;
    this.#waiting = this.#waiting.filter((w) => w !== refused);
    this.#replay();
    this.changes = verdictChanges(before, this.assessment);
  }

  /** Shows the acknowledged design with the changes still on their way; one that no longer applies is left to the server to refuse. */
  #replay(): void {
    let design = this.#confirmed;
    for (const waiting of this.#waiting) {
      try {
        design = applyEdit(design, waiting.edit);
      } catch (cause) {
        if (!(cause instanceof RangeError)) throw cause;
      }
      waiting.after = design;
    }
    this.design = design;
  }

  #send(
    what: 'edits' | 'undo',
    body: Readonly<Record<string, unknown>>,
    taken: (answer: Changed) => void,
  ): Promise<ProblemDocument | null> {
    this.pending += 1;
    this.trouble = null;
    const sent = this.#queue.then(async (): Promise<ProblemDocument | null> => {
      try {
        const answer = await post<Changed>(`/api/v1/sites/${this.siteId}/${what}`, {
          revision: this.revision,
          ...body,
        });
        this.revision = answer.revision;
        this.canUndo = answer.canUndo;
        taken(answer);
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

/** A design with a patch of the server, keeping the objects it does not touch. */
const patched = (design: SiteDesign, changes: Changed['changes']): SiteDesign =>
  changes.length ? reuseUnchanged(design, jsonpatch.applyPatch(design, changes, false, false).newDocument) : design;

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
