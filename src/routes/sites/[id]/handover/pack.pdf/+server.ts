import { handOverPack } from '$lib/server/documents/handOverPack';
import { Problem } from '$lib/server/problem';
import { handOver } from '$lib/server/services/handOver';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
  try {
    const pack = await handOverPack(await handOver(locals.context, params.id));
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
