import type { AcResults } from '$core/ac/results';
import { acResults } from '$core/ac/results';
import { Memo } from '$core/kernel/memo';
import type { SiteState } from '$lib/client/siteState.svelte';

const MEMOS = new WeakMap<SiteState, Memo>();

/** The AC side of the open site worked through; a run that did not change is the very same object as before. */
export function acOf(site: SiteState): AcResults {
  const memo = MEMOS.get(site) ?? new Memo();
  MEMOS.set(site, memo);
  const results = acResults(site.design, memo);
  memo.settle();
  return results;
}
