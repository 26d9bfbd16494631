import { Problem } from './problem';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The name the caller used, not the one the server was told it has: a page elsewhere that points its own name here is refused. */
const hostOf = (request: Request): string => request.headers.get('host') ?? '';

/** Why a request is not answered at all; null where it is. Until accounts exist there is no sign-in: only this machine is, whatever the server listens on. */
export function refusedAtDoor(request: Request): Problem | null {
  const host = hostOf(request);
  if (!LOOPBACK.has(host.replace(/:\d+$/, '')))
    return new Problem(421, 'Not for this name', 'Bolt Yard answers on 127.0.0.1 only until it has accounts.', [
      { in: 'header', pointer: '/host', detail: 'must be 127.0.0.1 or localhost' },
    ]);
  const origin = request.headers.get('origin');
  // Programs send none; a page of another site, or one without an origin of its own, does.
  if (!READS.has(request.method) && origin !== null && hostOfOrigin(origin) !== host)
    return new Problem(403, 'Foreign page', `A page of ${origin} may not write here: open Bolt Yard itself.`, [
      { in: 'header', pointer: '/origin', detail: `must be of ${host}, or absent` },
    ]);
  return null;
}

function hostOfOrigin(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
