import { error } from '@sveltejs/kit';
import { Problem } from './problem';

/** A picture that is kept by the hash of its bytes: its address never changes what it answers. Nothing in it may run. */
export async function pictureAnswer(read: () => Promise<{ readonly type: string; readonly bytes: Buffer }>) {
  const { type, bytes } = await read().catch((cause: unknown) => {
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
}
