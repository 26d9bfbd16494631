import { runResults } from '$core/ac/results';
import { terminations } from '../documents/terminations';
import type { Context } from './context';
import { loadDesign } from './designs';

/** The termination sheets of every run of a site, a page each. */
export async function terminationFile(context: Context, siteId: string) {
  const { design, revision } = await loadDesign(context, siteId);
  const site = design.survey.name;
  const body = await terminations({ site, state: `revision ${revision}`, runs: runResults(design) }, context.now());
  return { name: `${site} terminations`, body };
}
