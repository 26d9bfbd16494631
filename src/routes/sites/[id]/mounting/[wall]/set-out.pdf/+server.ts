import { z } from 'zod';
import { download, fileName } from '$lib/server/download';
import { inThread } from '$lib/server/heavy/pool';
import { parsed } from '$lib/server/problem';
import type { RequestHandler } from './$types';

const asked = z.object({ paper: z.enum(['A4', 'A3'], { error: 'must be A4 or A3' }).default('A4') });

export const GET: RequestHandler = ({ params: { id: siteId, wall: wallId }, url, request }) =>
  download(async () => {
    const { paper } = parsed(asked, Object.fromEntries(url.searchParams), 'The paper');
    const { name, body } = await inThread('writeWallFile', { siteId, wallId, as: 'pdf', paper }, request.signal);
    return { name: `${fileName(name)}.pdf`, type: 'application/pdf', body };
  });
