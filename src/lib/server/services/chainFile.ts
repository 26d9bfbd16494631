import { busMarks } from '$core/links/line/chainSheet';
import { linksResults } from '$core/links/results';
import { chainDocument } from '../documents/chain';
import type { Context } from './context';
import { loadDesign } from './designs';

/** The sheet of the RS-485 chain of a site. */
export async function chainFile(context: Context, siteId: string) {
  const { design, revision } = await loadDesign(context, siteId);
  const site = design.survey.name;
  const body = await chainDocument(
    {
      site,
      state: `revision ${revision}`,
      pairs: linksResults(design).flatMap((bus) => bus.segments),
      marksOf: busMarks(design),
    },
    context.now(),
  );
  return { name: `${site} RS-485 chain`, body };
}
