import { readFile, readdir } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { priceListSchema } from '$core/ac/candidates/priceList';
import { remainderSchema } from '$core/ac/schedule/cableStore';
import { instrumentSchema } from '$core/equipment/instrument';
import { inverterTypeSchema } from '$core/equipment/inverterType';
import { moduleTypeSchema } from '$core/equipment/moduleType';
import type { Context } from './services/context';
import { listSites } from './services/yard';
import { importProject, readProject } from './services/projectFile';
import { changeStore, putOnShelf, readShelf } from './services/shelf';

const shelfFile = z.object({
  modules: z.array(moduleTypeSchema),
  inverters: z.array(inverterTypeSchema),
  instruments: z.array(instrumentSchema),
  prices: priceListSchema,
  remainders: z.array(remainderSchema),
});

/** Loads the demo company into an empty database; touches nothing in one that holds a site or a shelf. */
export async function loadDemo(context: Context, folder = 'demo'): Promise<boolean> {
  const shelf = await readShelf(context);
  if (shelf.modules.length || shelf.inverters.length || (await listSites(context)).length) return false;
  const demo = shelfFile.parse(JSON.parse(await readFile(path.join(folder, 'shelf.json'), 'utf8')));
  for (const sheet of demo.modules) await putOnShelf(context, 'module', sheet);
  for (const sheet of demo.inverters) await putOnShelf(context, 'inverter', sheet);
  for (const sheet of demo.instruments) await putOnShelf(context, 'instrument', sheet);
  await putOnShelf(context, 'prices', demo.prices);
  await changeStore(context, { take: [], put: demo.remainders });
  const projects = (await readdir(folder)).filter((name) => name.endsWith('.project.json'));
  for (const name of projects.sort()) {
    const file = readProject(await readFile(path.join(folder, name), 'utf8'));
    // A machine whose clock stands before the demo shows it all the same.
    const now = () => new Date(Math.max(context.now().getTime(), Date.parse(file.exportedAt)));
    await importProject({ ...context, now }, file);
  }
  return true;
}
