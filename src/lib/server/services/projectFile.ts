import { eq } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { PROJECT_FORMAT, PROJECT_VERSION, projectFileSchema } from '$lib/schemas/projectFile';
import type { ProjectFile } from '$lib/schemas/projectFile';
import { liesAhead } from '$core/proving/door';
import { timeOf } from '$core/proving/evidence/times';
import { upgradedEntry } from '$core/proving/readEntry';
import type { Context } from './context';
import { insertDesign } from '../db/designStore';
import { release, site } from '../db/schema';
import { textFlaws } from '../api/text';
import { Problem, parsed, unfit } from '../problem';
import { upgraded } from '$core/design/edition';
import { loadDesign } from './designs';
import { summaryLater } from './summaries';
import { appendEntries } from './records';
import { siteLog } from './siteLogs';

/** Largest project file taken, bytes: a site of 60 inverters with a full record is under a tenth of it. */
export const PROJECT_MAX_BYTES = 20 * 1024 * 1024;

export async function exportProject(context: Context, siteId: string): Promise<ProjectFile> {
  const { design, revision } = await loadDesign(context, siteId);
  const { releases, entries } = await siteLog(siteId, context.db);
  return {
    format: PROJECT_FORMAT,
    version: PROJECT_VERSION,
    siteId,
    revision,
    exportedAt: context.now().toISOString(),
    design,
    releases: releases.map((r) => ({
      letter: r.letter,
      revision: r.revision,
      releasedBy: r.releasedBy,
      releasedAt: new Date(r.atMs).toISOString(),
      design: r.design,
    })),
    records: [...entries],
  };
}

/** Reads the text of a project file; a broken, foreign or newer one is refused with the place of the error. */
export function readProject(text: string): ProjectFile {
  let content: unknown;
  try {
    content = JSON.parse(text);
  } catch (cause) {
    throw new Problem(422, 'No JSON', `The file is not readable as JSON: ${placeOf(text, cause)}.`, [
      { pointer: '', detail: 'must be JSON' },
    ]);
  }
  const isDocument = typeof content === 'object' && content !== null;
  const head = (isDocument ? content : {}) as { format?: unknown; version?: unknown };
  if (head.format !== PROJECT_FORMAT) {
    throw new Problem(
      422,
      'Foreign file',
      `This is no Bolt Yard project: /format must be "${PROJECT_FORMAT}" (got ${JSON.stringify(head.format) ?? 'nothing'}).`,
      [{ pointer: isDocument ? '/format' : '', detail: `must be "${PROJECT_FORMAT}"` }],
    );
  }
  if (typeof head.version === 'number' && head.version > PROJECT_VERSION) {
    throw new Problem(
      422,
      'Newer file',
      `The file has version ${head.version}; this Bolt Yard reads up to ${PROJECT_VERSION}. Update it first; nothing was read.`,
      [{ pointer: '/version', detail: `at most ${PROJECT_VERSION}` }],
    );
  }
  const flaws = textFlaws(content);
  if (flaws.length) throw unfit(flaws, 'The project file');
  return parsed(projectFileSchema, inNewestEdition(content as Document), 'The project file');
}

type Document = Readonly<Record<string, unknown>>;

/** The designs of a file, the one at hand and the released ones, in the newest edition, and with those of an older file its entries. */
function inNewestEdition(file: Document): Document {
  const { design, releases, records, version } = file;
  const older = typeof version === 'number' && version < PROJECT_VERSION;
  const released = (r: unknown) =>
    typeof r === 'object' && r !== null ? { ...r, design: upgraded((r as Document).design) } : r;
  return {
    ...file,
    design: upgraded(design),
    ...(Array.isArray(releases) ? { releases: releases.map(released) } : {}),
    ...(older && Array.isArray(records) ? { records: records.map(upgradedEntry) } : {}),
    ...(older ? { version: PROJECT_VERSION } : {}),
  };
}

function placeOf(text: string, cause: unknown): string {
  const message = cause instanceof Error ? cause.message : String(cause);
  const position = Number(/position (\d+)/.exec(message)?.[1] ?? text.length);
  const before = text.slice(0, position).split('\n');
  return `line ${before.length}, column ${(before.at(-1)?.length ?? 0) + 1}`;
}

/** Writes a project as a site of its own, whole or not at all. A site that is here already stays as it is: the file becomes a second one. */
export async function importProject(context: Context, file: ProjectFile): Promise<string> {
  refuseAhead(file, context.now().getTime());
  const id = await context.db.transaction(async (tx) => {
    const [known] = await tx.select({ id: site.id }).from(site).where(eq(site.id, file.siteId));
    const siteId = known ? uuidv7() : file.siteId;
    await insertDesign(tx, siteId, file.design, file.revision);
    if (file.releases.length) {
      await tx.insert(release).values(
        inOrder(file.releases).map((r, i) => ({
          siteId,
          letter: r.letter,
          seq: i + 1,
          revision: r.revision,
          design: r.design,
          releasedBy: r.releasedBy,
          releasedAt: new Date(r.releasedAt),
        })),
      );
    }
    await appendEntries(tx, siteId, { count: 0, hash: null }, correctedFirst(file.records));
    return siteId;
  });
  summaryLater(context, id, file);
  return id;
}

/** What was done later than now was not done: a permit of the future would end with a day that is far off. */
function refuseAhead({ releases, records }: ProjectFile, nowMs: number): void {
  const detail = `must not lie in the future (here it is ${new Date(nowMs).toISOString()})`;
  const errors = [
    ...releases.flatMap((r, i) =>
      liesAhead(Date.parse(r.releasedAt), nowMs) ? [{ pointer: `/releases/${i}/releasedAt`, detail }] : [],
    ),
    ...records.flatMap((r, i) => (liesAhead(timeOf(r)[0], nowMs) ? [{ pointer: `/records/${i}/doneAt`, detail }] : [])),
  ];
  if (errors.length) throw unfit(errors, 'The project file');
}

const inOrder = (releases: ProjectFile['releases']): ProjectFile['releases'] =>
  [...releases].sort((a, b) => Date.parse(a.releasedAt) - Date.parse(b.releasedAt));

/** An entry after the one it corrects, whatever their clocks said; each looked at once. */
function correctedFirst(records: ProjectFile['records']): ProjectFile['records'] {
  const byId = new Map(records.map((r) => [r.id, r]));
  const placed = new Set<string>();
  const out: ProjectFile['records'] = [];
  for (const record of [...records].sort((a, b) => timeOf(a)[0] - timeOf(b)[0] || (a.id < b.id ? -1 : 1))) {
    const chain: ProjectFile['records'] = [];
    const met = new Set<string>();
    for (let r: typeof record | undefined = record; r && !placed.has(r.id); r = byId.get(r.corrects ?? '')) {
      if (met.has(r.id))
        throw new Problem(422, 'Circular corrections', 'Entries of the file correct each other in a circle.', [
          { pointer: '/records', detail: 'corrections run in a circle' },
        ]);
      met.add(r.id);
      chain.push(r);
    }
    for (const r of chain.reverse()) {
      placed.add(r.id);
      out.push(r);
    }
  }
  return out;
}
