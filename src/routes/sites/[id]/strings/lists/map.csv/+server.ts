import { download, fileName } from '$lib/server/download';
import { loadDesign } from '$lib/server/services/designs';
import { listAsCsv } from '$lib/server/services/stringList';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
  download(async () => {
    const { design } = await loadDesign(locals.context, params.id);
    return {
      name: `${fileName(design.survey.name)}-strings.csv`,
      type: 'text/csv; charset=utf-8',
      body: listAsCsv(design),
    };
  });
