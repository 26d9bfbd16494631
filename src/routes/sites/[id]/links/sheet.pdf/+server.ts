import { download, fileName } from '$lib/server/download';
import { inThread } from '$lib/server/heavy/pool';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params: { id: siteId }, request }) =>
  download(async () => {
    const { name, body } = await inThread('writeChain', { siteId }, request.signal);
    return { name: `${fileName(name)}.pdf`, type: 'application/pdf', body };
  });
