// The built application as a web process: HOST, PORT, DATABASE_URL from the environment. Headers here hold for all it sends, static files too.
import { createServer } from 'node:http';
// Only there once built: types are checked before.
const { handler } = await import(new URL('../build/handler.js', import.meta.url).href);

const HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
};
/** So long requests under way may take after the process was told to end, ms. */
const GRACE_MS = 5000;

/** What an address is told that cannot be read at all: the application never sees it. */
const UNREADABLE = {
  type: 'about:blank',
  title: 'No such address',
  status: 400,
  detail: 'The address holds a % that stands for no character.',
  errors: [{ in: 'path', pointer: '', detail: 'must be percent-encoded UTF-8' }],
};
const isReadable = (url) => {
  try {
    return decodeURI(url.split('?', 1)[0]) !== '';
  } catch {
    return false;
  }
};

const server = createServer((request, response) => {
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  if (!isReadable(request.url ?? '')) {
    response.writeHead(400, { 'content-type': 'application/problem+json' }).end(JSON.stringify(UNREADABLE));
    return;
  }
  handler(request, response, () => response.writeHead(404).end());
});
server.on('error', (cause) => {
  console.error(`web: ${cause.message}`);
  process.exit(1);
});
server.listen(Number(process.env.PORT ?? 4173), process.env.HOST ?? '127.0.0.1');

function end() {
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), GRACE_MS).unref();
}
// Whoever keeps this process running is gone: it does not stay behind.
process.once('disconnect', end);
process.once('SIGTERM', end);
process.once('SIGINT', end);
