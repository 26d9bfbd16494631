import { readFileSync, readdirSync } from 'node:fs';
import { expect, it } from 'vitest';
import { projectFileSchema } from './projectFile';

/** Files as programs of earlier editions wrote them: they are never renewed. */
const folder = 'src/lib/schemas/editions';

it.each(readdirSync(folder).filter((f) => f.startsWith('1-')))('a file of edition 1 opens as it was: %s', (file) => {
  const text = readFileSync(`${folder}/${file}`, 'utf8');
  const whole = JSON.parse(text) as { design: unknown; releases: unknown[]; records: unknown[] };
  const read = projectFileSchema.parse(whole);
  expect(read.design).toEqual(whole.design);
  expect(read.releases).toHaveLength(whole.releases.length);
  expect(read.records).toEqual(whole.records);
});
