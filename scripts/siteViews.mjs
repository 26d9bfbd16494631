// The views of a site, read off the routes: what tests and benchmarks go through, whatever stages there are.
import { readdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

const SITE = fileURLToPath(new URL('../src/routes/sites/[id]/', import.meta.url));

/** Addresses below that of a site: `survey`, `strings`, `strings/year` … */
export const siteViews = () =>
  readdirSync(SITE, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('+page.svelte'))
    .map((file) => dirname(file))
    .filter((view) => view !== '.')
    .sort();
