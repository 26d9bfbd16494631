import { readFileSync, readdirSync } from 'node:fs';
import { bigSite } from '../../bench/site';
import { assessSite } from '../../src/core/design/assess';
import type { Check } from '../../src/core/kernel/check';
import { evidence } from '../../src/core/proving/evidence';
import type { SiteDesign } from '../../src/core/design';
import { legalLayout } from '../../src/core/strings/layout/legalLayout';
import { plugInSheets } from '../../src/core/strings/plugInSheets';
import { verifyLayout } from '../../src/core/strings/verify';
import { projectFileSchema } from '../../src/lib/schemas/projectFile';
import { randomDesign } from '../../src/core/testing/randomDesign';

/** What the program answers, a line an answer: held side by side before and after code moves. */

const RANDOM = 200;

const ofCheck = (site: string, c: Check) =>
  JSON.stringify([
    site,
    c.id,
    c.subject.path,
    c.subject.id ?? null,
    c.value,
    c.limit,
    c.margin,
    c.unit,
    c.verdict,
    c.title,
    c.basis.source,
    c.working,
  ]);

function ofDesign(name: string, design: SiteDesign): string[] {
  const layout = legalLayout(design);
  return [
    ...assessSite(design).checks.map((c) => ofCheck(name, c)),
    ...verifyLayout(design).map((v) => JSON.stringify([name, 'verify', v.predicate, v.text])),
    ...plugInSheets(design).map((s) => JSON.stringify([name, 'plug-in', s])),
    JSON.stringify([name, 'layout', layout]),
  ];
}

function ofProject(file: string): string[] {
  const project = projectFileSchema.parse(JSON.parse(readFileSync(`demo/${file}`, 'utf8')));
  const lines = ofDesign(file, project.design);
  const last = project.releases.at(-1);
  if (!last) return lines;
  const releases = project.releases.map((r) => ({
    letter: r.letter,
    atMs: Date.parse(r.releasedAt),
    design: r.design,
  }));
  const proved = evidence({ releases, entries: project.records }, Date.parse('2026-05-06T12:00:00Z'));
  return [
    ...lines,
    ...project.records.flatMap((e) => proved.judgement(e).checks.map((c) => ofCheck(`${file} ${e.id}`, c))),
    ...project.records.map((e) =>
      JSON.stringify([file, 'says', e.id, proved.judgement(e).says, proved.notes.get(e.id) ?? null]),
    ),
    ...[...proved.gates].map(([key, g]) => JSON.stringify([file, 'gate', key, g.state, g.waitsFor])),
  ];
}

export function dump(): string[] {
  return [
    ...readdirSync('demo')
      .filter((f) => f.endsWith('.project.json'))
      .sort()
      .flatMap(ofProject),
    ...assessSite(bigSite()).checks.map((c) => ofCheck('bench', c)),
    ...Array.from({ length: RANDOM }, (_, i) => ofDesign(`random ${i + 1}`, randomDesign(i + 1))).flat(),
  ].sort();
}
