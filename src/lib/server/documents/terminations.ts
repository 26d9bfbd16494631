import type { RunResult } from '$core/ac/results';
import { terminationSheet } from '$core/ac/termination/terminationSheet';
import { Sheets } from './pdf';

interface Terminations {
  readonly site: string;
  /** Letter or revision of the design they were made from. */
  readonly state: string;
  readonly runs: readonly RunResult[];
}

/** A page for each unit: figures, the order of work, and what is ticked and signed. */
export async function terminations({ site, state, runs }: Terminations, madeAt = new Date()): Promise<Buffer> {
  const made = madeAt.toISOString().slice(0, 16).replace('T', ' ');
  const sheets = new Sheets({
    title: `Terminations of ${site}`,
    subject: 'AC terminations',
    footer: `${site} · terminations · ${state} · made ${made} UTC · Bolt Yard`,
  });
  for (const [i, r] of runs.entries()) {
    const sheet = terminationSheet(r);
    if (i > 0) sheets.newPage();
    sheets
      .title(`Termination of ${r.inverter.tag}`, `${site} · ${r.type.name} · ${state}`)
      .facts(sheet.facts)
      .heading('In this order')
      .list(sheet.steps)
      .heading('Ticked')
      .table(
        [
          { title: 'What', share: 5 },
          { title: 'Done by', share: 2 },
          { title: 'Checked by', share: 2 },
        ],
        sheet.checks.map((c) => [c, '', '']),
      )
      .list([
        'Two sources: opening the breaker of the unit leaves the grid side live. Licensed electrical workers; local code rules.',
      ]);
  }
  if (runs.length === 0) sheets.title('Terminations', `${site} · ${state}`).list(['No run yet.']);
  return sheets.bytes();
}
