import { error } from '@sveltejs/kit';
import { Problem } from './problem';
import type { Context } from './services/context';
import { siteLog } from './services/siteLogs';

/** The record of a site as the field screens read it: releases and entries. What they prove is worked out where they are shown. */
export async function fieldData({ db, now }: Context, siteId: string) {
  try {
    const { releases, entries } = await siteLog(siteId, db);
    return { releases, entries, serverMs: now().getTime() };
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
}
