import { download, fileName } from '$lib/server/download';
import { inThread } from '$lib/server/heavy/pool';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params: { id: siteId, unit: inverterId }, request }) =>
  download(async () => {
    const { name, body } = await inThread('writeLiftCard', { siteId, inverterId }, request.signal);
    return { name: `${fileName(name)}.pdf`, type: 'application/pdf', body };
  });
