import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { RULE_BOOK, schoolsOf, standingOf } from './ruleBook';
import { ruleBookPage } from './ruleBookPage';

const all = RULE_BOOK.flatMap((c) => c.rules);

describe('the rule book', () => {
  it('holds every rule once, under an id of its chapter’s own kind', () => {
    expect(new Set(all.map((r) => r.id)).size).toBe(all.length);
    for (const { name, rules } of RULE_BOOK)
      for (const r of rules)
        expect(r.id).toMatch(name === 'strings' ? /^(strings|module|inverter)\./ : RegExp(`^${name}\\.`));
  });
  it('says of every rule what it asks, where it comes from and who answers it', () => {
    for (const r of all) {
      expect(r.title.length, r.id).toBeGreaterThan(5);
      expect(r.basis.source.length, r.id).toBeGreaterThan(5);
      expect(schoolsOf(r).length, r.id).toBeGreaterThan(0);
      expect(standingOf(r), r.id).toMatch(/recalled|read|practice|data sheet|computed|not judged/);
    }
  });
  it('has a file for each rule, and a test at the edges for each that is judged', () => {
    const files = readdirSync('src/core', { recursive: true, encoding: 'utf8' })
      .filter((f) => /^[a-z]+\/rules\/[a-z]+\/.*\.ts$/i.test(f))
      .map((f) => f.replaceAll('\\', '/'));
    const tests = new Set(files.filter((f) => f.endsWith('.test.ts')));
    const rules = files.filter((f) => !f.endsWith('.test.ts'));
    expect(rules).toHaveLength(all.length);
    // A rule to come has no edges yet: it is unknown whatever is given, which the tests of its discipline show.
    const judged = rules.filter((f) => !readFileSync(`src/core/${f}`, 'utf8').includes('ruleToCome'));
    expect(judged.filter((f) => !tests.has(f.replace(/\.ts$/, '.test.ts')))).toEqual([]);
    expect(rules.length - judged.length).toBe(all.filter((r) => r.toCome).length);
  });
  it('stands in docs/rules.md as it is', () => expect(readFileSync('docs/rules.md', 'utf8')).toBe(ruleBookPage()));
});
