import { readFileSync, readdirSync } from 'node:fs';
import { expect, it } from 'vitest';
import { upgraded } from '$core/design/edition';
import { projectFileSchema } from './projectFile';

/** Files as programs of earlier editions wrote them: they are never renewed. */
const folder = 'src/lib/schemas/editions';

it.each(readdirSync(folder).filter((f) => f.startsWith('1-')))(
  'a file of edition 1 opens with nothing lost: %s',
  (file) => {
    const text = readFileSync(`${folder}/${file}`, 'utf8');
    const whole = JSON.parse(text) as { design: unknown; releases: { design: unknown }[]; records: unknown[] };
    const read = projectFileSchema.parse({
      ...whole,
      design: upgraded(whole.design),
      releases: whole.releases.map((r) => ({ ...r, design: upgraded(r.design) })),
    });
    // What came with edition 2 is "not known"; everything that was there is there.
    expect(read.design).toMatchObject({ ...(whole.design as object), schema: 2 });
    expect(read.releases).toHaveLength(whole.releases.length);
    expect(read.records).toEqual(whole.records);
  },
);
