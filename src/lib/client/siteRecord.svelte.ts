import { getContext, setContext } from 'svelte';
import type { LogState } from './logState.svelte';
import { ENTRY_BOX, waitingIn } from './outbox';

/** The record of every site that this tab has opened: what one has not sent yet it goes on sending, whatever is on screen. */
const LOGS = new Map<string, LogState>();

/** The record of a site on this device, opened once. Called by what outlives a component: a component's deriveds end with it. */
export function logOf(siteId: string, made: (siteId: string) => LogState): LogState {
  const known = LOGS.get(siteId);
  if (known) return known;
  const log = made(siteId);
  LOGS.set(siteId, log);
  void log.open();
  return log;
}

/** The record of the site on screen, from the first screen on that reads it. Planning needs neither it nor the rules that judge it, and loads nothing of them. */
export class SiteRecord {
  log = $state.raw<LogState | null>(null);

  /** A screen has read it. */
  show(log: LogState): void {
    if (this.log === log) return;
    log.comeBack();
    this.log = log;
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
  for (const siteId of sites) void logOf(siteId, (id) => new Log(id)).flush();
}

const KEY = Symbol('record');
export const provideRecord = (record: SiteRecord): SiteRecord => setContext(KEY, record);
export const useRecord = (): SiteRecord => getContext<SiteRecord>(KEY);
