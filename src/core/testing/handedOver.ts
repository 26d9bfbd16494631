import { withRun } from '../ac/edits';
import type { SiteDesign } from '../design';
import { withChainNumbered } from '../links/edits';
import { newDevice } from '../links/part';
import { withHung, withWall } from '../mounting/edits';
import { newWall } from '../mounting/part';
import { withStrings } from '../strings/arrange';
import { legalLayout } from '../strings/layout/legalLayout';
import { Crew } from './crew';
import { plane, runOf, siteOf } from './examples';

/** Two units with two strings each, and every device fitted that has a gate of its own. */
export const twoUnits: SiteDesign = (() => {
  const bare = siteOf(2, [plane('south', 72)]);
  const laid = withStrings(bare, legalLayout(bare).strings);
  const onWall = withHung(withWall(laid, newWall('east', 'East wall', 6000, 3000)), [
    { inverterId: 'inv-1', wallId: 'east', xMm: 1100, yMm: 600 },
    { inverterId: 'inv-2', wallId: 'east', xMm: 3050, yMm: 600 },
  ]);
  const hung = { ...onWall, survey: { ...laid.survey, rcdFitted: true, stopFitted: true, contactsFitted: true } };
  return ['inv-1', 'inv-2'].reduce((d, id) => withRun(d, runOf(id)), hung);
})();

/** The two with a repeater between them, every hop of so many metres and nothing at the landings. */
export function twoRepeated(hopM: number): SiteDesign {
  const [first, second] = twoUnits.chain.devices;
  if (!first || !second) throw new RangeError('the site must have two units');
  const repeater = { ...newDevice('rpt', 'repeater', 'RPT-1'), unitLoads: 1, biasedBeyond: true, stubM: 0 };
  const devices = [first, { ...repeater, hopM, hopFromId: first.id }, { ...second, hopM, hopFromId: repeater.id }].map(
    (d) => ({ ...d, entryM: 0 }),
  );
  return withChainNumbered({ ...twoUnits, chain: { ...twoUnits.chain, devices } });
}

/** Both on grid and the whole site handed over, on its first release. */
export function handedOver(): Crew {
  const crew = new Crew(twoUnits);
  crew.site();
  for (const { id } of twoUnits.inverters) {
    crew.unit(id);
    for (const gate of ['I-RCD', 'I-PERMIT'] as const) crew.prove(gate, id);
    crew.switch(id);
    for (const gate of ['I-DRY', 'I-THERM', 'I-SISTER'] as const) crew.prove(gate, id);
  }
  for (const { id } of twoUnits.strings) crew.prove('D-ISC', id, { minutes: 0.1 });
  for (const gate of ['S-BUS', 'S-METER', 'S-ESTOP', 'S-SOAK', 'S-PERF', 'S-HAND'] as const) crew.prove(gate);
  return crew;
}
