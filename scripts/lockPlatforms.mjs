// After `npm install`: names in package-lock.json the optional builds for other platforms that a registry mirror may lack,
// so that `npm ci` finds lock and packages in step everywhere. They are skipped on this platform and fetched on theirs.
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';

const SYSTEMS = ['android', 'darwin', 'freebsd', 'linux', 'openbsd', 'netbsd', 'openharmony', 'sunos', 'win32', 'aix'];
const PROCESSORS = {
  arm64: 'arm64',
  aarch64: 'arm64',
  x64: 'x64',
  ia32: 'ia32',
  arm: 'arm',
  wasm32: 'wasm32',
  loong64: 'loong64',
  ppc64: 'ppc64',
  riscv64: 'riscv64',
  s390x: 's390x',
};

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
let added = 0;
for (const [at, entry] of Object.entries({ ...lock.packages })) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const nested = `${at}/node_modules/${name}`;
    const key = `node_modules/${name}`;
    if (!at || lock.packages[nested] || lock.packages[key] || !/^\d/.test(version)) continue;
    const words = name.split(/[-/]/);
    const os = SYSTEMS.filter((s) => words.includes(s));
    const cpu = words.includes('wasm32')
      ? ['wasm32']
      : [...new Set(words.map((w) => (w.startsWith('arm') && w !== 'arm64' ? 'arm' : PROCESSORS[w])).filter(Boolean))];
    if (!os.length && !cpu.length) continue;
    lock.packages[key] = {
      version,
      ...(entry.dev ? { dev: true } : {}),
      optional: true,
      ...(cpu.length ? { cpu } : {}),
      ...(os.length ? { os } : {}),
    };
    added += 1;
  }
}
/** What the registry says a package has to hash to; null where it does not have it. */
function integrityOf(name, version) {
  try {
    const said = execFileSync('npm', ['view', `${name}@${version}`, 'dist.integrity', '--json', '--loglevel=error']);
    return JSON.parse(said.toString());
  } catch {
    return null;
  }
}
const without = [];
for (const [key, entry] of Object.entries(lock.packages)) {
  if (!key || entry.link || entry.integrity) continue;
  const name = key.slice(key.lastIndexOf('node_modules/') + 'node_modules/'.length);
  const integrity = integrityOf(name, entry.version);
  if (integrity) entry.integrity = integrity;
  else without.push(`${name}@${entry.version}`);
}
const { '': root, ...packages } = lock.packages;
lock.packages = { '': root, ...Object.fromEntries(Object.entries(packages).sort(([a], [b]) => (a < b ? -1 : 1))) };
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} platform packages named`);
if (without.length) console.log(`no integrity known for ${without.join(', ')}`);
