// Loads a TypeScript module of the project in this process, through the project's own Vite.
import { createServer } from 'vite';

export async function withModule(file, use) {
  const server = await createServer({
    server: { middlewareMode: true, hmr: false, ws: false },
    appType: 'custom',
    logLevel: 'error',
    optimizeDeps: { noDiscovery: true, include: [] },
  });
  try {
    return await use(await server.ssrLoadModule(file));
  } finally {
    await server.close();
  }
}
