import { error } from '@sveltejs/kit';
import { Problem } from './problem';

/** A file for the person to keep; a Problem becomes an error page with its words. */
export async function download(
  make: () => Promise<{ name: string; type: string; body: string | Uint8Array }>,
): Promise<Response> {
  try {
    const { name, type, body } = await make();
    return new Response(typeof body === 'string' ? body : new Blob([new Uint8Array(body)]), {
      headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"` },
    });
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
}

/** A site's name as a file name. */
export const fileName = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'site';
