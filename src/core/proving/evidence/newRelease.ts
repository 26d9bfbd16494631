import type { Entry } from '../entry';
import type { GateId, GateRow } from '../gates/machine';
import { gateRow } from '../gates/machine';
import { GATE_TABLE } from '../gates/table';
import type { Result } from '../kind';
import type { Applied, Known } from './applied';
import type { Release } from './log';
import { inputsOf } from './siteModel';
import type { Reading } from './state';
import { isUntouched, standOf } from './state';
import { worse } from '../judging';
import { openBeneath, put, withdraw } from './withdraw';

/** What a newer release does to what was proved before it. */

const ROWS: readonly GateRow[] = GATE_TABLE;
const UPWARDS: readonly GateRow[] = [...ROWS].sort((a, b) => a.level - b.level);

/** Why a reading made on a release is stale at once: an input differs in a newer one. */
export function changedSince({ known, moment }: Applied, letter: string, gate: GateId, object: string): string | null {
  const from = known.releases.findIndex((r) => r.letter === letter);
  const own = known.releases[from];
  if (!own) return `release ${letter} is not of this site`;
  for (let i = from + 1; i < moment.released; i++) {
    const later = known.releases[i];
    if (later && inputsOf(own.design, gate, object) !== inputsOf(later.design, gate, object))
      return `release ${later.letter} changed what it rests on`;
  }
  return null;
}

/** What rests on an input that changed is stale, and what a newer release judges worse counts as worse. */
export function released(app: Applied, release: Release): void {
  for (const row of ROWS) for (const object of app.net.objects(row)) follow(app, row, object, release);
  cascadeAll(app);
  if (app.needs(gateRow('S-HAND'), 'site').gates.some((n) => !app.closed(n.gate, n.object)))
    withdraw(app, 'S-HAND', 'site', `release ${release.letter} opened a gate`);
}

function follow(app: Applied, row: GateRow, object: string, release: Release): void {
  const stand = app.moment.stand(row.id, object);
  if (isUntouched(stand)) return;
  const { readings, ruling, waived } = stand;
  const now = readings.map((r): Reading => ({
    ...r,
    broken: r.broken ?? changedSince(app, r.made, row.id, object),
    result: r === ruling ? worse(r.result, saidInPlace(app.known, r.by, r.place, release, row.id)) : r.result,
  }));
  const still = waived && { ...waived, broken: waived.broken ?? changedSince(app, waived.made, row.id, object) };
  put(app, row, object, standOf(now, still));
}

/** What an entry says of a gate by one release; a correction with the time of what it corrects. */
export function saidInPlace({ verdicts }: Known, entry: Entry, place: Entry, release: Release, gate: GateId): Result {
  const own = entry.id === place.id;
  return own
    ? verdicts.says(entry, release, gate)
    : verdicts.says({ ...entry, doneAt: place.doneAt, device: place.device }, release, gate, true);
}

/** After parts and devices came or went: every proof whose needs do not all stand is stale. */
function cascadeAll(app: Applied): void {
  for (const row of UPWARDS)
    if (row.cascade)
      for (const object of app.net.objects(row)) {
        if (isUntouched(app.moment.stand(row.id, object))) continue;
        const open = openBeneath(app, row, object);
        if (open) withdraw(app, row.id, object, `${open} is not closed any more`);
      }
}
