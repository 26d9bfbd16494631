import jsonpatch from 'fast-json-patch';
import { getContext, setContext } from 'svelte';
import { v7 as uuidv7 } from 'uuid';
import { z } from 'zod';
import type { DesignEdit, SiteDesign } from '$core/design';
import { applyEdit, designEditSchema } from '$core/design';
import type { Assessment } from '$core/design/assess';
import { assessSite, madeAnew } from '$core/design/assess';
import type { Check, Verdict } from '$core/kernel/check';
import { VERDICT_ORDER } from '$core/kernel/check';
import { Memo } from '$core/kernel/memo';
import { uuid } from '$core/kernel/schema';
import { reuseUnchanged } from '$core/kernel/reuseUnchanged';
import type { ProblemDocument } from '$lib/schemas/problem';
import type { Changed, StoredDesign } from '$lib/schemas/site';
import { editRequest } from '$lib/schemas/site';
import { ApiProblem, PATIENCE_MS, nobodyAnswered, post } from './api';
import { Outbox } from './outbox';

export interface VerdictChange {
  readonly what: string;
  readonly from: Verdict | null;
  readonly to: Verdict | null;
}

/** A change that the server has not acknowledged, as the device keeps it. Its id makes it one change however often it is sent. */
const unsentSchema = z.object({ id: uuid(), edit: designEditSchema, revision: editRequest.shape.revision.nullable() });
type Unsent = z.output<typeof unsentSchema>;

/** A change on its way to the server, with the design as it is once the server has taken it. */
interface Waiting {
  readonly id: string;
  readonly edit: DesignEdit;
  /** What it was sent with first; null before. */
  revision: number | null;
  after: SiteDesign;
}

/** Between two tries where nobody answers, ms. */
const RETRY_MS = 3000;

/** The open site: the design as it is on screen, its assessment, and the way to change it. */
export class SiteState {
  readonly siteId: string;
  design = $state.raw() as SiteDesign;
  /** What undo and redo would do next, in words; null where there is nothing to. */
  undoes = $state<string | null>(null);
  redoes = $state<string | null>(null);
  /** Changes not acknowledged by the server yet. */
  pending = $state(0);
  /** Why a change was refused; stays until another one is made. */
  trouble = $state.raw<ProblemDocument | null>(null);
  /** What the last change did to checks. */
  changes = $state.raw<readonly VerdictChange[]>([]);
  readonly #memo = new Memo();
  readonly assessment: Assessment = $derived(assessSite(this.design, this.#memo));
  revision = $state(0);
  /** Nobody answers: what is on screen is not on the server, and is sent again until somebody does. */
  unanswered = $state(false);
  /** The device does not keep what is not sent: a reload would lose it. */
  forgetful = $state(false);
  /** How what is on screen stands to what the server keeps. */
  readonly keeping: 'saved' | 'saving' | 'unsent' | 'refused' = $derived(
    this.unanswered ? 'unsent' : this.pending > 0 ? 'saving' : this.trouble ? 'refused' : 'saved',
  );
  /** The design as the server has acknowledged it. */
  #confirmed: SiteDesign;
  #waiting: Waiting[] = [];
  #queue: Promise<unknown> = Promise.resolve();
  readonly #outbox: Outbox<Unsent>;
  #closed = false;

  constructor(stored: StoredDesign) {
    this.siteId = stored.siteId;
    this.#outbox = new Outbox(`bolt-yard.edits.${this.siteId}`, unsentSchema);
    this.#confirmed = stored.design;
    this.take(stored);
  }

  /** Shows what the server has, when nothing of ours is on its way. Throws RangeError for what belongs to another site. */
  take(stored: StoredDesign): void {
    if (stored.siteId !== this.siteId)
      throw new RangeError(`stored.siteId must be ${this.siteId} (got ${stored.siteId})`);
    // Asked for before our last change was taken, and come after: what is here is newer.
    if (this.pending > 0 || stored.revision < this.revision) return;
    this.#confirmed = this.design = reuseUnchanged(this.design, stored.design);
    this.revision = stored.revision;
    this.undoes = stored.undoes;
    this.redoes = stored.redoes;
  }

  /**
   * Sends what an earlier visit of this device left unsent, before anything new: each under the revision it was made on, so that it is made once,
   * or refused and said, and never slipped in behind somebody else's change. What is made meanwhile goes on top of them.
   */
  resume(): Promise<void> {
    const { items: kept, unreadable } = this.#outbox.read();
    if (unreadable) this.trouble = notRead(unreadable);
    if (kept.length === 0) return Promise.resolve();
    this.pending += 1;
    const sent = this.#queue.then(async () => {
      let revision = this.revision;
      const refused: ProblemDocument[] = [];
      for (const { id, edit, revision: made } of kept) {
        const answer = await this.#answered('edits', { revision: made ?? revision, edit, id });
        if (answer === null) return;
        if ('status' in answer) refused.push(answer);
        else {
          ({ revision } = answer);
          // Otherwise it had arrived, and the site was opened with it in.
          if (revision === this.revision + 1) this.#takeIn(edit, answer);
        }
        this.#outbox.forget(id);
      }
      this.pending -= 1;
      const [first] = refused;
      if (first)
        this.trouble = { ...first, title: 'Not saved before the reload', detail: leftOut(refused.length, first) };
    });
    this.#queue = sent;
    return sent;
  }

  /** A change from before the reload that the server has made now, under those made since. */
  #takeIn(edit: DesignEdit, answer: Changed): void {
    const before = this.assessment;
    this.#confirmed = patched(applyEdit(this.#confirmed, edit), answer.changes);
    this.#stands(answer);
    this.#replay();
    this.changes = verdictChanges(before, this.assessment);
  }

  #stands({ revision, undoes, redoes }: Changed): void {
    this.revision = revision;
    this.undoes = undoes;
    this.redoes = redoes;
  }

  /** No more tries: what is not sent stays on the device. */
  close(): void {
    this.#closed = true;
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
    const own: Waiting = { id: uuidv7(), edit, revision: null, after };
    this.design = after;
    this.#waiting.push(own);
    this.#keep(own);
    this.changes = verdictChanges(before, this.assessment);
    const body = () => {
      own.revision = this.revision;
      this.#keep(own);
      return { revision: own.revision, edit, id: own.id };
    };
    return this.#send('edits', body, ({ changes }) => {
      this.#over(own);
      this.#confirmed = patched(own.after, changes);
      if (changes.length) this.#replay();
    }).then((problem) => {
      if (problem) this.#drop(own);
      return problem;
    });
  }

  undo(): Promise<ProblemDocument | null> {
    return this.#along('undo');
  }

  redo(): Promise<ProblemDocument | null> {
    return this.#along('redo');
  }

  #along(way: 'undo' | 'redo'): Promise<ProblemDocument | null> {
    const before = this.assessment;
    const id = uuidv7();
    return this.#send(
      way,
      () => ({ revision: this.revision, id }),
      ({ changes }) => {
        this.#confirmed = patched(this.#confirmed, changes);
        this.#replay();
        this.changes = verdictChanges(before, this.assessment);
      },
    );
  }

  /** Takes a refused change back from the screen; those made after it stay. */
  #drop(refused: Waiting): void {
    const before = this.assessment;
    this.#over(refused);
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

  /** What is not acknowledged, on the device. */
  #keep({ id, edit, revision }: Waiting): void {
    this.forgetful = !this.#outbox.keep({ id, edit, revision });
  }

  /** The server has answered for it. */
  #over(own: Waiting): void {
    this.#waiting = this.#waiting.filter((w) => w !== own);
    this.#outbox.forget(own.id);
    if (this.#waiting.length === 0) this.forgetful = false;
  }

  #send(
    what: 'edits' | 'undo' | 'redo',
    body: () => Readonly<Record<string, unknown>>,
    taken: (answer: Changed) => void,
  ): Promise<ProblemDocument | null> {
    this.pending += 1;
    this.trouble = null;
    const sent = this.#queue.then(async (): Promise<ProblemDocument | null> => {
      const answer = await this.#answered(what, body());
      if (answer === null) return null;
      this.pending -= 1;
      if ('status' in answer) return (this.trouble = answer);
      this.#stands(answer);
      taken(answer);
      return null;
    });
    this.#queue = sent;
    return sent;
  }

  /** What the server says of a change, asked until it says something; null where nobody waits for it any more. */
  async #answered(what: 'edits' | 'undo' | 'redo', body: unknown): Promise<Changed | ProblemDocument | null> {
    while (!this.#closed) {
      try {
        const answer = await post<Changed>(`/api/v1/sites/${this.siteId}/${what}`, body, PATIENCE_MS);
        this.unanswered = false;
        return answer;
      } catch (cause) {
        if (!(cause instanceof ApiProblem)) throw cause;
        this.unanswered = nobodyAnswered(cause.problem);
        if (!this.unanswered) return cause.problem;
        await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
      }
    }
    return null;
  }
}

const notRead = (count: number): ProblemDocument => ({
  type: 'about:blank',
  title: 'Not sent before the reload',
  status: 422,
  detail: `${count === 1 ? 'A change' : `${count} changes`} kept on this device ${count === 1 ? 'is' : 'are'} not read by this version of Bolt Yard and ${count === 1 ? 'was' : 'were'} not sent. Look at what is missing, and enter it again.`,
});

const leftOut = (count: number, first: ProblemDocument): string =>
  `${count === 1 ? 'A change' : `${count} changes`} of yours had not reached the server and cannot be made now: ${first.detail}`;

/** A design with a patch of the server, keeping the objects it does not touch. */
const patched = (design: SiteDesign, changes: Changed['changes']): SiteDesign =>
  changes.length ? reuseUnchanged(design, jsonpatch.applyPatch(design, changes, false, false).newDocument) : design;

/** Checks that stand otherwise than before, worst first. A part keeps its check when it moves; holding ones that come and go are no news. */
function verdictChanges(before: Assessment, after: Assessment): VerdictChange[] {
  const keyed = (checks: readonly Check[]) =>
    new Map(checks.map((c) => [`${c.id}|${c.subject.id ?? c.subject.path}`, c]));
  const [was, is] = madeAnew(before, after).map(keyed) as [Map<string, Check>, Map<string, Check>];
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
