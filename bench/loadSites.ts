import { v7 as uuidv7 } from 'uuid';
import type { SiteDesign } from '../src/core/design';
import { withStrings } from '../src/core/strings/arrange';
import { legalLayout } from '../src/core/strings/layout/legalLayout';
import { plane, siteOf } from '../src/core/testing/examples';
import { openPoint } from '../src/core/testing/openPoint';
import { bigLog } from './record';

/** Project files and entries that a load run sends. */

const FORMAT = { format: 'bolt-yard-project', version: 2, revision: 1, exportedAt: '2026-01-01T00:00:00Z' };
const released = (design: SiteDesign, at: string) => [
  { letter: 'A', revision: 1, releasedBy: 'R. Vahl', releasedAt: at, design },
];

/** A roof of two inverters, released. */
export function small() {
  const bare = siteOf(2, [plane('south', 170)]);
  const design = withStrings(bare, legalLayout(bare).strings);
  return { ...FORMAT, design, releases: released(design, '2026-01-01T00:00:00Z'), records: [] };
}

/** A park of sixty inverters with entries of weeks. */
export function big(entries: number) {
  const { log } = bigLog();
  const [release] = log.releases;
  if (!release) throw new Error('the log has a release');
  const { design } = release;
  return {
    ...FORMAT,
    design,
    releases: released(design, new Date(release.atMs).toISOString()),
    records: log.entries.slice(0, entries),
  };
}

export const point = () => openPoint(uuidv7());
