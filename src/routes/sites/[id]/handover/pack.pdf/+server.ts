import { inThread } from '$lib/server/heavy/pool';
import { Problem } from '$lib/server/problem';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, request }) => {
  try {
    const pack = await inThread('printPack', { siteId: params.id }, request.signal);
    return new Response(new Uint8Array(pack), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="hand-over-${params.id}.pdf"`,
      },
    });
  } catch (cause) {
    if (cause instanceof Problem) return cause.response();
    throw cause;
  }
};
