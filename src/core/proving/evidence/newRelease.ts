import type { Entry } from '../entry';
import type { GateId, GateRow } from '../gates/machine';
import { gateKey, gateRow } from '../gates/machine';
import { GATE_TABLE } from '../gates/table';
import type { Result } from '../kind';
import { GATE } from '../kinds/gate';
import { STEP } from '../kinds/step';
import type { Applied } from './applied';
import type { Release } from './log';
import { inputsOf } from './siteModel';
import type { Reading } from './state';
import { standOf } from './state';
import { worse } from './verdicts';
import { put, withdraw } from './withdraw';

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
  if (app.needs(gateRow('S-HAND'), 'site').pairs.some(([g, o]) => !app.closed(g, o)))
    withdraw(app, 'S-HAND', 'site', `release ${release.letter} opened a gate`);
}

function follow(app: Applied, row: GateRow, object: string, release: Release): void {
  const { readings, ruling, waived } = app.moment.stand(row.id, object);
  if (readings.length === 0 && !waived) return;
  const now = readings.map((r): Reading => {
    const broken = r.broken ?? changedSince(app, r.made, row.id, object);
    const again = r === ruling && !GATE.is(r.by) && !STEP.is(r.by);
    const result = again ? worse(r.result, judged(app, r, release, row.id)) : r.result;
    return broken === r.broken && result === r.result ? r : { ...r, broken, result };
  });
  const still = waived && { ...waived, broken: waived.broken ?? changedSince(app, waived.made, row.id, object) };
  if (still?.broken === waived?.broken && now.every((r, i) => r === readings[i])) return;
  put(app, row, object, standOf(now, still));
}

/** What a reading says by another release, in its own place. */
function judged({ known }: Applied, r: Reading, release: Release, gate: GateId): Result {
  return known.verdicts.says(inPlaceOf(r.by, known.entries.get(r.id) ?? r.by), release, gate, r.by.id !== r.id);
}

/** A correction with the time of what it corrects. */
export const inPlaceOf = (entry: Entry, place: Entry): Entry =>
  entry === place ? entry : { ...entry, doneAt: place.doneAt, device: place.device };

/** After parts and devices came or went: every proof whose needs do not all stand is stale. */
function cascadeAll(app: Applied): void {
  for (const row of UPWARDS)
    if (row.cascade)
      for (const object of app.net.objects(row)) {
        const stand = app.moment.stand(row.id, object);
        if (stand.readings.length === 0 && !stand.waived) continue;
        const { pairs, overNothing } = app.needs(row, object);
        const open = pairs.filter(([g, o]) => g !== 'S-SAFE' && !app.closed(g, o)).map(([g, o]) => gateKey(g, o));
        if (open.length || overNothing)
          withdraw(app, row.id, object, `${open[0] ?? 'a string'} is not closed any more`);
      }
}
