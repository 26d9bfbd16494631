// ./yard verify: walks the chain of hashes over every site's entries and names what was altered, removed or moved.
import { cluster } from './cluster.mjs';
import { DATABASE_PORT } from './ports.mjs';
import { withModule } from './viteNode.mjs';

const FOLDER = process.env.YARD_FOLDER ?? '.yard';
const pg = cluster(`${FOLDER}/postgres`, DATABASE_PORT);
const started = pg.start();
process.env.DATABASE_URL ??= pg.url('yard');
let broken = 0;
try {
  await withModule('/src/lib/server/services/verifyAll.ts', async ({ verifyAll }) => {
    for (const { name, report } of await verifyAll()) {
      const older = report.unchained ? `, ${report.unchained} older than the chain` : '';
      console.log(`${report.broken.length ? 'BROKEN' : 'whole'}\t${name}\t${report.entries} entries${older}`);
      for (const line of report.broken) console.log(`\t${line}`);
      broken += report.broken.length;
    }
  });
} finally {
  if (started) pg.stop();
}
process.exit(broken ? 1 : 0);
