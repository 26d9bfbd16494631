import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

/** What is installed is what was looked at: every package by its hash, from whatever registry the machine uses. */
it('names a hash for every package and the host of none', () => {
  const lock = JSON.parse(readFileSync('package-lock.json', 'utf8')) as {
    packages: Record<string, { integrity?: string; resolved?: string; link?: boolean }>;
  };
  const packages = Object.entries(lock.packages).filter(([name, p]) => name && !p.link);
  expect(packages.length).toBeGreaterThan(100);
  expect(packages.filter(([, p]) => !/^sha512-/.test(p.integrity ?? '')).map(([name]) => name)).toEqual([]);
  expect(packages.filter(([, p]) => p.resolved).map(([name]) => name)).toEqual([]);
});
