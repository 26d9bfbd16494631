import { ApiProblem } from '$lib/client/api';
import type { ScanLine, ScanRequest, ScanResult } from '$lib/schemas/field';
import type { ProblemDocument } from '$lib/schemas/problem';

/** One scan of a bus at a time: begun, how far it is, stopped, what came of it. */
export class ScanState {
  running = $state(false);
  asked = $state.raw<{ readonly asked: number; readonly of: number; readonly address: number } | null>(null);
  result = $state.raw<ScanResult | null>(null);
  failure = $state('');
  #stop: AbortController | null = null;

  async run(siteId: string, wanted: ScanRequest): Promise<void> {
    this.stop();
    const own = new AbortController();
    this.#stop = own;
    this.running = true;
    this.failure = '';
    this.asked = null;
    try {
      await this.#follow(siteId, wanted, own);
    } catch (cause) {
      if (own.signal.aborted) return;
      this.failure =
        cause instanceof ApiProblem ? cause.problem.detail : 'The server went away in the middle: scan again.';
    } finally {
      if (this.#stop === own) this.running = false;
    }
  }

  async #follow(siteId: string, wanted: ScanRequest, own: AbortController): Promise<void> {
    const response = await fetch(`/api/v1/sites/${siteId}/bus-scan`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(wanted),
      signal: own.signal,
    });
    if (!response.ok || !response.body) throw new ApiProblem((await response.json()) as ProblemDocument);
    let rest = '';
    let ended = false;
    for await (const part of response.body.pipeThrough(new TextDecoderStream())) {
      const lines = (rest + part).split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) {
        const said = JSON.parse(line) as ScanLine;
        if ('asked' in said) this.asked = said;
        else ended = true;
        if ('done' in said) this.result = said.done;
        if ('failed' in said) this.failure = said.failed;
      }
    }
    if (!ended) this.failure = 'The server went away in the middle: scan again.';
  }

  stop(): void {
    this.#stop?.abort();
    this.#stop = null;
    this.running = false;
  }
}
