import { untrack } from 'svelte';
import type { OpenedRecord } from '$lib/schemas/record';
import { LogState } from './logState.svelte';
import { useRecord } from './siteRecord.svelte';

/** The log of the open site; the first screen that asks for it opens it. */
export const useLog = (): LogState => useRecord().open((siteId) => new LogState(siteId));

/** The log of the open site, fed with what its page read. */
export function useLogOf(read: () => { readonly record: OpenedRecord | null }): LogState {
  const log = useLog();
  untrack(() => log.take(read().record));
  $effect(() => {
    const { record } = read();
    untrack(() => log.take(record));
  });
  return log;
}
