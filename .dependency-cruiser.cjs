const fs = require('node:fs');
const path = require('node:path');

/** Layers of core from below; a folder named nowhere here is a discipline, held from its first file. */
const LAYERS = ['kernel', 'conductor', 'equipment', 'site'];
/** Physics and file formats that any discipline may use. */
const PHYSICS = ['sun', 'weather'];
/** Folders that see every discipline. */
const ABOVE = ['design', 'proving'];
/** Made-up sites and helpers of tests and benchmarks. */
const TESTING = ['testing'];

const core = path.resolve('src/core');
const folders = fs.existsSync(core)
  ? fs
      .readdirSync(core, { withFileTypes: true })
      .filter((f) => f.isDirectory())
      .map((f) => f.name)
  : [];
const disciplines = folders.filter((f) => ![...LAYERS, ...PHYSICS, ...ABOVE, ...TESTING].includes(f));

const tests = '\\.test\\.ts$';
/** `own` may import itself and `others` of core, and nothing else of it. */
const only = (name, own, others) => ({
  name,
  severity: 'error',
  from: { path: `^src/core/${own}/`, pathNot: tests },
  to: { path: '^src/core/', pathNot: [own, ...others].map((o) => `^src/core/${o}/`).join('|') },
});

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'everything-resolves',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(\\$app|\\$env)/|virtual:|\\$types$|\\?url$' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/core/', pathNot: `${tests}|^src/core/testing/` },
      to: { pathNot: '^src/core/|node_modules/zod/' },
    },
    ...LAYERS.map((own, i) => only(`${own}-knows-only-below`, own, LAYERS.slice(0, i))),
    ...PHYSICS.map((own) => only(`${own}-is-physics`, own, ['kernel', ...PHYSICS, ...LAYERS.slice(1)])),
    ...disciplines.map((own) => only(`${own}-shares-only-below`, own, [...LAYERS, ...PHYSICS])),
    only('design-knows-disciplines', 'design', [...LAYERS, ...disciplines]),
    only('proving-knows-the-design', 'proving', [...LAYERS, 'design', ...disciplines]),
    {
      name: 'verifier-stands-alone',
      severity: 'error',
      from: { path: '^src/core/strings/verify/', pathNot: tests },
      to: { path: '^src/core/(strings/(?!verify/|tables/|part\\.ts$)|conductor/)' },
    },
    {
      name: 'schools-behind-one-door',
      severity: 'error',
      from: { path: '^src/', pathNot: `${tests}|^src/core/conductor/` },
      to: { path: '^src/core/conductor/schools/' },
    },
    {
      name: 'testing-is-for-tests',
      severity: 'error',
      from: { path: '^src/', pathNot: `${tests}|^src/core/testing/` },
      to: { path: '^src/core/testing/' },
    },
    {
      name: 'routes-use-services',
      severity: 'error',
      from: { path: '^src/routes/' },
      to: { path: '^src/lib/server/db/' },
    },
    {
      name: 'ui-off-the-server',
      severity: 'error',
      from: { path: '^src/lib/(ui|client|workers)/' },
      to: { path: '^src/lib/server/|^src/routes/' },
    },
    {
      name: 'standins-stay-out',
      severity: 'error',
      from: { pathNot: '^src/standins/' },
      to: { path: '^src/standins/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.svelte-kit' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      mainFields: ['module', 'main', 'types'],
      extensions: ['.ts', '.js', '.svelte'],
      conditionNames: ['svelte', 'types', 'import', 'node', 'default'],
    },
    tsConfig: { fileName: path.join(__dirname, 'tsconfig.json') },
    webpackConfig: { fileName: path.join(__dirname, 'scripts/aliases.cjs') },
  },
};
