import { beginsWith } from '$core/proving/evidence/log';
import { lineOf } from '$core/site/line';
import type { RecordSince } from '$lib/schemas/record';
import type { SwitchOffList } from '$lib/schemas/site';
import type { Context } from './context';
import { designHead, designText } from './designs';
import type { Logbook } from './records';
import { readLogbook } from './records';
import { listReleases } from './releases';
import { logJson, siteLog } from './siteLogs';

/**
 * What screens open a site with, as JSON: it is large, most of it never changes, and so it is written once and not for everybody who asks.
 */

/** The design with where it stands, its releases, and which units have to be switched off. */
export async function openedSite(context: Context, siteId: string): Promise<string> {
  const { text, revision, undoes, redoes } = await designText(context, siteId);
  const [releases, logbook] = await Promise.all([listReleases(context, siteId), readLogbook(context, siteId)]);
  const { unreadable } = logbook;
  const rest = JSON.stringify({
    siteId,
    revision,
    undoes,
    redoes,
    releases,
    unreadable,
    switchOff: toSwitchOff(logbook),
  });
  return `{"design":${text},${rest.slice(1)}`;
}

/** Units that run without their proofs, by their tags: what screens that read no record ask for while they are looked at. */
export async function unitsToSwitchOff(context: Context, siteId: string): Promise<SwitchOffList> {
  await designHead(context, siteId);
  return toSwitchOff(await readLogbook(context, siteId));
}

function toSwitchOff({ current, evidence }: Logbook): SwitchOffList {
  const tagOf = (unit: string) => (current ? lineOf(current.design).tag(unit) : unit);
  return evidence.switchOff.map(({ unit, why }) => ({ unit, tag: tagOf(unit), why: [...why] }));
}

/**
 * The record: releases and entries, with the clock they are held against. What they prove is worked out where they are shown. `since`: what the one
 * who asks has of it; where that is not how this record begins, the database was put back, and it is told whole.
 */
export async function openedRecord(
  context: Context,
  siteId: string,
  since: RecordSince = FROM_THE_BEGINNING,
): Promise<readonly Buffer[]> {
  await designHead(context, siteId);
  const log = await siteLog(siteId, context.db);
  const counts = { entries: log.entries.length, releases: log.releases.length };
  const known = beginsWith(log, since) ? since : FROM_THE_BEGINNING;
  const { releases, entries } = logJson(log, known);
  const text = (json: string) => Buffer.from(json);
  const whole = known.entries === 0 && known.releases === 0;
  const head = { nowMs: context.now().getTime(), counts, whole };
  return [
    text(`${JSON.stringify(head).slice(0, -1)},"releases":[`),
    ...releases,
    text('],"entries":['),
    ...entries,
    text(']}'),
  ];
}
const FROM_THE_BEGINNING: RecordSince = { entries: 0, releases: 0 };
