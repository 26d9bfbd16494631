import { getContext, setContext } from 'svelte';
import type { LogState } from './logState.svelte';
import { entryBox, waits } from './outbox';

/**
 * The record of the open site, where this device has it open: a screen that reads it opens it, and then it stays open on every other. Planning needs
 * neither it nor the rules by which it is judged, so nothing of them is loaded there, unless an earlier visit left something to be sent.
 */
export class SiteRecord {
  log = $state.raw<LogState | null>(null);
  #closed = false;

  constructor(readonly siteId: string) {}

  /** Opens the record on this device, once. */
  open(made: (siteId: string) => LogState): LogState {
    if (this.log) return this.log;
    const log = made(this.siteId);
    void log.open();
    return (this.log = log);
  }

  /** Sends what an earlier visit left unsent, whichever screen this one opens with. */
  async resume(): Promise<void> {
    if (this.log || !waits(entryBox(this.siteId))) return;
    const { LogState: Log } = await import('./logState.svelte');
    if (!this.#closed) this.open((siteId) => new Log(siteId));
  }

  close(): void {
    this.#closed = true;
    this.log?.close();
  }
}

const KEY = Symbol('record');
export const provideRecord = (record: SiteRecord): SiteRecord => setContext(KEY, record);
export const useRecord = (): SiteRecord => getContext<SiteRecord>(KEY);
