import { download, fileName } from '$lib/server/download';
import { inThread } from '$lib/server/heavy/pool';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, request }) =>
  download(async () => {
    const { site, body } = await inThread('writeStringList', { siteId: params.id, as: 'csv' }, request.signal);
    return { name: `${fileName(site)}-strings.csv`, type: 'text/csv; charset=utf-8', body };
  });
