import { describe, expect, it } from 'vitest';
import { hungUnit } from '../../testing/subjects';
import { liftPlan, sharesOf } from './liftPlan';

describe('the lift of a unit onto its wall', () => {
  it('is the floor of the trade beside the lifting equation, the lower end governing', () => {
    // Highest handle 560 mm up a unit at 940 mm: hands at 1.5 m, 75 cm of way. H 45: 11.24444 at 75 cm and 8.714444 at 150 cm.
    const plan = liftPlan(hungUnit({ type: { massKg: 95 }, at: { yMm: 940 } }));
    expect(plan.crew.value).toMatchObject({ people: 2, gear: 'required', handsM: 1.5 });
    expect(plan.onePerson?.startKg).toBeCloseTo(11.244444, 6);
    expect(plan.onePerson?.endKg).toBeCloseTo(8.7144444, 6);
    expect(plan.team?.index).toBeCloseTo(8.1760806, 5);
    expect(plan.team?.verdict).toBe('stop');
  });
  it('has no limit for hands over 1.75 m: no team lifts it there', () => {
    const high = liftPlan(hungUnit({ at: { yMm: 1200 } }));
    expect(high.onePerson?.endKg).toBe(0);
    expect(high.team).toBeNull();
  });
  it('says what it lacks', () => {
    expect(liftPlan(hungUnit({ type: { massKg: null } }))).toMatchObject({
      crew: { value: null, missing: ['mass of T100'] },
      onePerson: null,
      team: null,
    });
  });
  it('loads handles from the sheet in millimetres', () => {
    expect(sharesOf(hungUnit().type).value?.sharesKg).toEqual([21, 21, 21, 21]);
    expect(sharesOf(hungUnit({ body: { handles: [], centreXMm: null } }).type).missing).toEqual([
      'handles of T100',
      'centre of gravity of T100',
    ]);
  });
});
