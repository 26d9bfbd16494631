const path = require('node:path');
const below = '^src/core/(kernel|equipment|site)/';
/** Physics and file formats below the disciplines that use them. */
const lent = { strings: ['sun', 'weather'], proving: ['strings'], weather: ['sun'] };
const disciplines = ['strings', 'ac', 'links', 'proving', 'sun', 'weather'];

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
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^src/core/|node_modules/zod/' },
    },
    ...disciplines.map((own) => ({
      name: `${own}-shares-only-below`,
      severity: 'error',
      from: { path: `^src/core/${own}/`, pathNot: '\\.test\\.ts$' },
      to: {
        path: '^src/core/',
        pathNot: [below, ...[own, ...(lent[own] ?? [])].map((o) => `^src/core/${o}/`)].join('|'),
      },
    })),
    {
      name: 'kernel-is-lowest',
      severity: 'error',
      from: { path: '^src/core/kernel/' },
      to: { path: '^src/core/', pathNot: '^src/core/kernel/' },
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
      from: { path: '^src/lib/(ui|workers)/' },
      to: { path: '^src/lib/server/' },
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
    tsConfig: { fileName: 'tsconfig.json' },
    webpackConfig: { fileName: path.join(__dirname, 'scripts/aliases.cjs') },
  },
};
