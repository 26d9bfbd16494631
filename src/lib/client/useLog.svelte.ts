import { untrack } from 'svelte';
import type { LogState } from './logState.svelte';
import type { WithRecord } from './openRecord';
import { useRecord } from './siteRecord.svelte';

/** The log of the open site, on a screen that reads the record. */
export function useLog(): LogState {
  const { log } = useRecord();
  if (!log) throw new RangeError('log must be opened by the page that shows it (got none)');
  return log;
}

/** The log of the open site, fed with what its page read. */
export function useLogOf(read: () => WithRecord): LogState {
  const { log, record } = untrack(read);
  useRecord().show(log);
  log.take(record);
  $effect(() => {
    const { record: fresh } = read();
    untrack(() => log.take(fresh));
  });
  return log;
}
