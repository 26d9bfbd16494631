import { setPriority } from 'node:os';
import type { SiteDesign } from '$core/design';
import { PRICE_COLUMNS, pricesFromRows } from '$core/ac/candidates/priceList';
import { assessSite } from '$core/design/assess';
import { handOverPack } from '../documents/handOverPack';
import type { Paper } from '../documents/pdf';
import { documentOf, textOf } from '../api/document';
import { CALCULATIONS } from '../api/calculations';
import { connect } from '../db/client';
import type { PlainProblem } from '../problem';
import { orProblem, parsed, problemIn } from '../problem';
import type { Context, Summed } from '../services/context';
import { localContext, summedHere } from '../services/context';
import { handOver } from '../services/handOver';
import { designHead, loadDesign } from '../services/designs';
import { verifyRecord } from '../services/records';
import { releaseCost } from '../services/releases';
import { exportProject, importProject, readProject } from '../services/projectFile';
import type { WallFileKind } from '../services/wallFiles';
import { chainFile } from '../services/chainFile';
import { terminationFile } from '../services/terminationFile';
import { liftFile, wallFile } from '../services/wallFiles';
import { readRuns, runSheet } from '../services/runList';
import type { Written } from '../services/sheetFile';
import { readSheet, refusedRows, sheetAsCsv, sheetAsXlsx } from '../services/sheetFile';
import { readList, stringSheet } from '../services/stringList';

/** Long work of the server, each call in a thread of its own that may be ended: nobody else waits for it. */

/** What comes back from a thread: plain data, for whatever else does not pass. */
export type Outcome<T> = { readonly done: T } | { readonly problem: PlainProblem };

async function outcome<T>(work: () => T | Promise<T>): Promise<Outcome<T>> {
  try {
    return { done: await work() };
  } catch (cause) {
    const problem = problemIn(cause);
    if (!problem) throw cause;
    return { problem: problem.plain() };
  }
}

/** Every check of a site as JSON, with the revision of its design. */
export interface Assessed {
  readonly revision: number;
  readonly json: Uint8Array<ArrayBuffer>;
}

/** Of this thread alone: who waits for a page goes before who waits for long work, and not so far that it never ends. */
const NICE = 5;
setPriority(NICE);

let own: Context | null = null;
/** Of this thread: a connection and no more. */
const context = (): Context => (own ??= localContext(connect(process.env.DATABASE_URL ?? '', 1).db));

export const calculate = ({ name, body }: { name: string; body: Uint8Array }): Promise<Outcome<string>> =>
  outcome(() => {
    const calculation = CALCULATIONS[name];
    if (!calculation) throw new RangeError(`name must be that of a calculation (got ${name})`);
    const input = parsed<unknown>(calculation.input, documentOf(body));
    return JSON.stringify(orProblem(() => calculation.run(input)));
  });

export const readStringList = ({ siteId, body }: { siteId: string; body: Uint8Array }): Promise<Outcome<string>> =>
  outcome(async () => {
    const { design } = await loadDesign(context(), siteId);
    const { strings, errors } = await readList(design, body);
    if (!strings) throw refusedRows(errors);
    return JSON.stringify({ strings });
  });

export const readRunList = ({ siteId, body }: { siteId: string; body: Uint8Array }): Promise<Outcome<string>> =>
  outcome(async () => {
    const { design } = await loadDesign(context(), siteId);
    return JSON.stringify(await readRuns(design, body));
  });

/** Reads a price list; nothing is written. */
export const readPriceList = ({ body }: { body: Uint8Array }): Promise<Outcome<string>> =>
  outcome(async () => {
    const { header, rows, rowOf } = await readSheet(body, PRICE_COLUMNS.length);
    const typed = pricesFromRows(header, rows, rowOf);
    if (typed.prices.length === 0) throw refusedRows(typed.errors);
    return JSON.stringify(typed);
  });

/** Lists of a site that go out as tables. */
const SHEETS: Readonly<Record<'strings' | 'runs', (design: SiteDesign) => Written>> = {
  strings: stringSheet,
  runs: runSheet,
};

/** A list as a file, with the name of its site. */
export const writeSheet = ({ siteId, of, as }: { siteId: string; of: keyof typeof SHEETS; as: 'csv' | 'xlsx' }) =>
  outcome(async () => {
    const { design } = await loadDesign(context(), siteId);
    const sheet = SHEETS[of](design);
    return { site: design.survey.name, body: as === 'csv' ? sheetAsCsv(sheet) : await sheetAsXlsx(sheet) };
  });

interface WallFile {
  readonly siteId: string;
  readonly wallId: string;
  readonly as: WallFileKind;
  readonly paper?: Paper;
}
export const writeWallFile = ({ siteId, wallId, as, paper }: WallFile) =>
  outcome(() => wallFile(context(), siteId, wallId, as, paper));

export const writeLiftCard = ({ siteId, inverterId }: { siteId: string; inverterId: string }) =>
  outcome(() => liftFile(context(), siteId, inverterId));

export const writeTerminations = ({ siteId }: { siteId: string }) => outcome(() => terminationFile(context(), siteId));

export const writeChain = ({ siteId }: { siteId: string }) => outcome(() => chainFile(context(), siteId));

export const giveProject = ({ siteId }: { siteId: string }): Promise<Outcome<Uint8Array<ArrayBuffer>>> =>
  outcome(async () => Buffer.from(JSON.stringify(await exportProject(context(), siteId))));

export const checkChain = ({ siteId }: { siteId: string }) =>
  outcome(async () => {
    await designHead(context(), siteId);
    return verifyRecord(context(), siteId);
  });

export const takeProject = ({ body }: { body: Uint8Array }): Promise<Outcome<string>> =>
  outcome(() => importProject(context(), readProject(textOf(body))));

export const assess = ({ siteId }: { siteId: string }): Promise<Outcome<Assessed>> =>
  outcome(async () => {
    const { design, revision } = await loadDesign(context(), siteId);
    return { revision, json: Buffer.from(JSON.stringify(assessSite(design))) };
  });

export const summarise = ({ siteId }: { siteId: string }): Promise<Outcome<Summed>> =>
  outcome(async () => summedHere(siteId, await loadDesign(context(), siteId)));

export const costOfRelease = ({ siteId }: { siteId: string }): Promise<Outcome<string>> =>
  outcome(async () => JSON.stringify(await releaseCost(context(), siteId)));

/** What the hand-over page shows of a site beside its record. */
export const handOverParts = ({ siteId }: { siteId: string }) =>
  outcome(async () => {
    const { summary, openPoints, waivers, uncounted, chain } = await handOver(context(), siteId);
    return { summary, openPoints, waivers, uncounted, chain };
  });

export const printPack = ({ siteId }: { siteId: string }): Promise<Outcome<Uint8Array>> =>
  outcome(async () => handOverPack(await handOver(context(), siteId)));
