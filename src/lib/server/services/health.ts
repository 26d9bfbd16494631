import { watchDatabase } from '../db/client';

/** How often the database is asked, ms: whoever wants to know hears what it said last, and waits for nothing. */
const EVERY_MS = 500;

let well = false;
let first: Promise<void> | null = null;

async function look(ask: () => Promise<boolean>): Promise<void> {
  well = await ask();
  setTimeout(() => void look(ask), EVERY_MS).unref();
}

/** Whether the server can do its work: its database answered when it was asked last, and its connection did not end since. */
export async function isWell(): Promise<boolean> {
  await (first ??= look(watchDatabase(() => (well = false))));
  return well;
}
