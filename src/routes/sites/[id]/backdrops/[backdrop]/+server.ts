import { error } from '@sveltejs/kit';
import { Problem } from '$lib/server/problem';
import { readBackdrop } from '$lib/server/services/backdrops';
import type { RequestHandler } from './$types';

/** The picture behind the plan. Its address is the hash of its bytes, so that it never changes. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { type, bytes } = await readBackdrop(locals.context, params.id, params.backdrop).catch((cause: unknown) => {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  });
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': type,
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    },
  });
};
