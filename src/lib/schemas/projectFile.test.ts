import { readFileSync, readdirSync } from 'node:fs';
import { expect, it } from 'vitest';
import { upgraded } from '$core/design/edition';
import { upgradedEntry } from '$core/proving/readEntry';
import { PROJECT_VERSION, projectFileSchema } from './projectFile';

/** Files as programs of earlier editions wrote them: they are never renewed. */
const folder = 'src/lib/schemas/editions';

interface Old {
  readonly id: string;
  readonly doneAt: string;
  readonly by: string;
  readonly role: string;
  readonly release: string;
  readonly values: unknown;
}

it.each(readdirSync(folder).filter((f) => f.startsWith('1-')))(
  'a file of edition 1 opens with nothing lost: %s',
  (file) => {
    const text = readFileSync(`${folder}/${file}`, 'utf8');
    const whole = JSON.parse(text) as { design: unknown; releases: { design: unknown }[]; records: Old[] };
    const read = projectFileSchema.parse({
      ...whole,
      version: PROJECT_VERSION,
      records: whole.records.map(upgradedEntry),
      design: upgraded(whole.design),
      releases: whole.releases.map((r) => ({ ...r, design: upgraded(r.design) })),
    });
    // What came with edition 2 is "not known"; everything that was there is there.
    expect(read.design).toMatchObject({ ...(whole.design as object), schema: 2 });
    expect(read.releases).toHaveLength(whole.releases.length);
    // Entries of a program that wrote down no device and no licence stay as they were said, and prove nothing.
    expect(read.records.map(({ id, doneAt, by, role, release }) => ({ id, doneAt, by, role, release }))).toEqual(
      whole.records.map(({ id, doneAt, by, role, release }) => ({ id, doneAt, by, role, release })),
    );
    for (const [i, old] of whole.records.entries()) {
      const entry = read.records[i];
      expect(entry?.kind === 'older' ? JSON.parse(String(entry.values['said'])) : entry?.values).toEqual(old.values);
    }
  },
);
