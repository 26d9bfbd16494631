import { getContext, setContext } from 'svelte';
import type { LogState } from './logState.svelte';
import { ENTRY_BOX, waitingIn } from './outbox';

/** The record of every site that this tab has opened: what one has not sent yet it goes on sending, whatever is on screen. */
const LOGS = new Map<string, LogState>();

function opened(made: LogState): LogState {
  LOGS.set(made.siteId, made);
  void made.open();
  return made;
}

/** The record of the site on screen, from the first screen on that reads it. Planning needs neither it nor the rules that judge it, and loads nothing of them. */
export class SiteRecord {
  log = $state.raw<LogState | null>(null);

  constructor(readonly siteId: string) {}

  open(made: (siteId: string) => LogState): LogState {
    if (this.log) return this.log;
    const known = LOGS.get(this.siteId);
    known?.comeBack();
    return (this.log = known ?? opened(made(this.siteId)));
  }
}

/**
 * Sends what this device has left unsent on any site, in this visit or an earlier one: who reported a danger without signal and went on to the next
 * site has reported it.
 */
export async function sendWaiting(): Promise<void> {
  const sites = new Set(waitingIn(ENTRY_BOX).map((key) => key.split('.')[0] ?? ''));
  if (sites.size === 0) return;
  const { LogState: Log } = await import('./logState.svelte');
  for (const siteId of sites) {
    const log = LOGS.get(siteId);
    if (log) void log.flush();
    else opened(new Log(siteId));
  }
}

const KEY = Symbol('record');
export const provideRecord = (record: SiteRecord): SiteRecord => setContext(KEY, record);
export const useRecord = (): SiteRecord => getContext<SiteRecord>(KEY);
