import { download, fileName } from '$lib/server/download';
import { inThread } from '$lib/server/heavy/pool';
import { loadDesign } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, request, locals }) =>
  download(async () => {
    const { design } = await loadDesign(locals.context, params.id);
    return {
      name: `${fileName(design.survey.name)}-strings.xlsx`,
      type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
      body: await inThread('writeStringList', { siteId: params.id }, request.signal),
    };
  });
