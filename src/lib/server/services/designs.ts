import { eq } from 'drizzle-orm';
import jsonpatch from 'fast-json-patch';
import type { Operation } from 'fast-json-patch';
import type { z } from 'zod';
import { v7 as uuidv7 } from 'uuid';
import type { SiteDesign } from '$core/design';
import { applyEdit, editWords, emptyDesign, siteDesignSchema } from '$core/design';
import { checkedChange } from '$core/design/change';
import { reuseUnchanged } from '$core/kernel/reuseUnchanged';
import type { Changed, StoredDesign, editRequest, undoRequest } from '$lib/schemas/site';
import type { Tx } from '../db/client';
import { DesignCache } from '../db/designCache';
import {
  claimRevision,
  forgetAhead,
  insertDesign,
  keepWay,
  popWay,
  readDesign,
  readHead,
  readWays,
  writeDesign,
} from '../db/designStore';
import type { DesignHead } from '../db/designStore';
import type { Sent } from '../db/editStore';
import { answeredBefore, keepAnswer } from '../db/editStore';
import { site } from '../db/schema';
import { siteTransaction } from '../db/siteTurn';
import { Problem, orProblem, parsed, pointerOf, unfit } from '../problem';
import type { Context } from './context';
import { summaryLater } from './summaries';

const cache = new DesignCache();

export async function loadDesign({ db }: Context, siteId: string): Promise<StoredDesign> {
  const found = isUuid(siteId) ? await readDesign(db, siteId) : null;
  if (!found) throw noSite();
  return found;
}

/** Where the design of a site stands. */
export async function designHead({ db }: Context, siteId: string): Promise<DesignHead> {
  const head = isUuid(siteId) ? await readHead(db, siteId) : null;
  if (!head) throw noSite();
  return head;
}

/** A design as JSON with where it stands: read and written once for a revision, whoever asks. */
export async function designText(context: Context, siteId: string): Promise<DesignHead & { readonly text: string }> {
  const head = await designHead(context, siteId);
  const known = cache.text(siteId, head.revision);
  if (known) return { ...head, text: known };
  const { revision, undoes, redoes, design } = await loadDesign(context, siteId);
  cache.keep(siteId, revision, design);
  return { revision, undoes, redoes, text: cache.text(siteId, revision) ?? JSON.stringify(design) };
}

export const isUuid = (id: string) => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(id);
export const noSite = (): Problem =>
  new Problem(404, 'No such site', 'There is no site at this address. Go back to the yard and pick one.', [
    { in: 'path', pointer: '/id', detail: 'must be the id of a site, a UUID in small letters' },
  ]);

export async function createSite(context: Context, name: string): Promise<string> {
  const design = parsed(siteDesignSchema, emptyDesign(name), 'The new site');
  const siteId = uuidv7();
  await context.db.transaction((tx) => insertDesign(tx, siteId, design));
  summaryLater(context, siteId, { design, revision: 1 });
  return siteId;
}

function conflict(found: number, expected: number): Problem {
  return new Problem(
    409,
    'Changed meanwhile',
    `Somebody changed this site since you opened it (revision ${expected}, now ${found}). Nothing of yours was written: reload, look at the change, and enter yours again.`,
    [{ pointer: '/revision', detail: `is ${found} now` }],
  );
}

/** The design under a revision that is ours until commit; a stale one is a conflict, and nothing is written. */
async function claimed({ now }: Context, tx: Tx, siteId: string, revision: number): Promise<SiteDesign> {
  if (!isUuid(siteId)) throw noSite();
  if (await claimRevision(tx, siteId, revision, now())) {
    const design = cache.get(siteId, revision) ?? (await readDesign(tx, siteId))?.design;
    if (design) return design;
  }
  const [head] = await tx.select({ revision: site.revision }).from(site).where(eq(site.id, siteId));
  throw head ? conflict(head.revision, revision) : noSite();
}

function checked(before: SiteDesign, after: SiteDesign): SiteDesign {
  const { design, flaws } = checkedChange(before, after);
  if (design) return design;
  throw unfit(
    flaws.map((f) => ({ pointer: pointerOf(f.path), detail: f.message })),
    'The changed design',
  );
}

/** Once the database has taken a change: kept at hand, and summed up for the list when nobody waits. */
function settled(context: Context, siteId: string, revision: number, design: SiteDesign): void {
  cache.keep(siteId, revision, design);
  summaryLater(context, siteId, { design, revision });
}

/** A change that was made: what it was answered, and the design that is stored now where it is a new one. */
interface Made {
  readonly answer: Changed;
  readonly stored: SiteDesign | null;
}

/** Makes a change once: one that was made already under its id is answered as it was then, whatever happened since. */
async function once(
  context: Context,
  siteId: string,
  revision: number,
  sent: Sent | null,
  work: (tx: Tx, before: SiteDesign) => Promise<{ readonly answer: Changed; readonly stored: SiteDesign }>,
): Promise<Changed> {
  const known = (tx: Tx) => (sent && isUuid(siteId) ? answeredBefore(tx, siteId, sent) : null);
  const { answer, stored } = await siteTransaction(context.db, siteId, async (tx): Promise<Made> => {
    const earlier = await known(tx);
    if (earlier) return { answer: earlier, stored: null };
    const before = await claimed(context, tx, siteId, revision).catch(async (cause: unknown): Promise<Changed> => {
      // Another process may have made it while this one waited for the site.
      const meanwhile = cause instanceof Problem && cause.status === 409 ? await known(tx) : null;
      if (meanwhile) return meanwhile;
      throw cause;
    });
    if ('revision' in before) return { answer: before, stored: null };
    const made = await work(tx, before);
    if (sent) await keepAnswer(tx, siteId, sent, made.answer);
    return made;
  });
  if (stored) settled(context, siteId, answer.revision, stored);
  return answer;
}

/**
 * The one way a design changes: under its revision, past its schema, with the way back kept for undo.
 * A stale revision is a conflict; a change that would break the design is refused. Either way nothing is written. `what` says it in words.
 */
export const changeDesign = (
  context: Context,
  siteId: string,
  revision: number,
  change: (design: SiteDesign) => SiteDesign,
  {
    what = () => 'the last change',
    sent = null,
  }: { readonly what?: (before: SiteDesign) => string; readonly sent?: Sent | null } = {},
): Promise<Changed> =>
  once(context, siteId, revision, sent, async (tx, before) => {
    const wanted = change(before);
    const stored = checked(before, wanted);
    await writeDesign(tx, siteId, before, stored);
    const undoes = what(before);
    await forgetAhead(tx, siteId);
    await keepWay(tx, siteId, revision, { patch: jsonpatch.compare(stored, before), what: undoes, ahead: false });
    const changes = jsonpatch.compare(wanted, stored);
    return { stored, answer: { revision: revision + 1, undoes, redoes: null, changes } };
  });

/** Applies an edit of core. What was asked for is what the screen shows already: the answer says only what else changed. */
export const editDesign = (
  context: Context,
  siteId: string,
  { revision, edit, id }: z.output<typeof editRequest>,
): Promise<Changed> =>
  changeDesign(context, siteId, revision, (design) => orProblem(() => applyEdit(design, edit)), {
    what: (before) => editWords(before, edit),
    sent: id === undefined ? null : { id, asked: { revision, edit } },
  });

type WayRequest = z.output<typeof undoRequest>;

/** Takes the last change back. The revision goes on counting: an undo is a change too. */
export const undoChange = (context: Context, siteId: string, asked: WayRequest): Promise<Changed> =>
  alongWay(context, siteId, asked, false);

/** Makes the change again that was taken back last. */
export const redoChange = (context: Context, siteId: string, asked: WayRequest): Promise<Changed> =>
  alongWay(context, siteId, asked, true);

/** Takes the newest way of a pile and puts its opposite on the other. */
const alongWay = (context: Context, siteId: string, { revision, id }: WayRequest, ahead: boolean): Promise<Changed> =>
  once(context, siteId, revision, id === undefined ? null : { id, asked: { revision, ahead } }, async (tx, before) => {
    const way = await popWay(tx, siteId, ahead);
    if (!way) throw noWay(ahead);
    const stored = checked(before, way.design ?? patched(before, way.patch ?? []));
    await writeDesign(tx, siteId, before, stored);
    const opposite = { patch: jsonpatch.compare(stored, before), what: way.what, ahead: !ahead };
    await keepWay(tx, siteId, revision, opposite);
    const ways = await readWays(tx, siteId);
    return { stored, answer: { revision: revision + 1, ...ways, changes: jsonpatch.compare(before, stored) } };
  });

const noWay = (ahead: boolean): Problem =>
  ahead
    ? new Problem(409, 'Nothing to redo', 'No change of this site was taken back since the last one.', [
        { pointer: '/revision', detail: 'has none after it on file' },
      ])
    : new Problem(409, 'Nothing to undo', 'There is no earlier change of this site to go back to.', [
        { pointer: '/revision', detail: 'has none before it on file' },
      ]);

const patched = (design: SiteDesign, patch: Operation[]): SiteDesign =>
  reuseUnchanged(design, jsonpatch.applyPatch(design, patch, false, false).newDocument);
