import { invalidateAll } from '$app/navigation';
import { v7 as uuidv7 } from 'uuid';
import type { RecordKind, SiteRecord } from '$core/proving/record';
import type { Verdict } from '$core/kernel/check';
import type { ProblemDocument } from '$lib/schemas/problem';
import { ApiProblem, post } from './api';
import { instrumentInHand, nowWithOffset, signOn } from './signOn.svelte';

/** What a page hands over for an entry; who, when, with what and on which release is added here. */
export interface Draft {
  readonly kind: RecordKind;
  readonly subject: SiteRecord['subject'];
  readonly values: unknown;
  readonly corrects?: string | null;
  readonly reason?: string | null;
}

/** Sends entries of the record. An entry keeps its id until it is acknowledged: trying again never doubles it. */
export class RecordSender {
  busy = $state(false);
  problem = $state.raw<ProblemDocument | null>(null);
  verdict = $state<Verdict | null>(null);
  #unsent: { text: string; id: string; doneAt: string } | null = null;

  constructor(private readonly siteId: string) {}

  async send(draft: Draft, release: string): Promise<boolean> {
    const text = JSON.stringify(draft);
    this.#unsent = this.#unsent?.text === text ? this.#unsent : { text, id: uuidv7(), doneAt: nowWithOffset() };
    this.busy = true;
    this.problem = null;
    this.verdict = null;
    try {
      const answer = await post<{ verdict: Verdict }>(`/api/v1/sites/${this.siteId}/records`, {
        ...draft,
        id: this.#unsent.id,
        doneAt: this.#unsent.doneAt,
        by: signOn.by,
        role: signOn.role,
        instrument: instrumentInHand(),
        release,
        corrects: draft.corrects ?? null,
        reason: draft.reason ?? null,
      });
      this.#unsent = null;
      this.verdict = answer.verdict;
      await invalidateAll();
      return true;
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      // Refused: what was wrong may be the time, so the next try is a new entry. Silent server: the same entry again.
      if (cause.problem.status !== 0) this.#unsent = null;
      this.problem = cause.problem;
      return false;
    } finally {
      this.busy = false;
    }
  }
}
