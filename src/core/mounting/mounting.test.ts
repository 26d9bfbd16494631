import { describe, expect, it } from 'vitest';
import { applyEdit } from '../design';
import { assessSite } from '../design/assess';
import { homeRunLengths } from '../strings/homeRun';
import { T100, plane, siteOf } from '../testing/examples';
import { hungUnit } from '../testing/subjects';
import { newWall } from './part';
import type { Hung } from './part';
import { mountingResults } from './results';
import { setOutSheet } from './setOut/setOutSheet';
import { freePlace, siteWallLayout, siteWallsLayout, wallProblemOf } from './wall/siteWall';
import { onSite } from './wallPosition';

const WALL = {
  ...newWall('east', 'East wall', 8000, 3000),
  floorMinMm: 600,
  topMostMm: 2000,
  boardXMm: 7800,
  boardYMm: 1500,
  trayMm: 400,
};
const THINGS = [
  { id: 'door', kind: 'door or window' as const, xMm: 4600, yMm: 0, widthMm: 1000, heightMm: 2100, marginMm: null },
  {
    id: 'pipe',
    kind: 'pipe or conduit to 120 mm' as const,
    xMm: 2300,
    yMm: 0,
    widthMm: 100,
    heightMm: 3000,
    marginMm: null,
  },
];
const bare = siteOf(3, [plane('south', 51, { position: { xM: 0, yM: 10, zM: 6 } })]);
const site = applyEdit(bare, { kind: 'wall', wall: { ...WALL, obstructions: THINGS } });
const at = (unit: number, xMm: number, yMm = 600): Hung => ({ inverterId: `inv-${unit}`, wallId: 'east', xMm, yMm });
const hung = applyEdit(site, { kind: 'hang', places: [at(1, 1100), at(2, 3050), at(3, 6450)] });
const time = { nowS: () => performance.now() / 1000, timeLimitS: 20 };

describe('where a wall stands', () => {
  it.each([
    [180, 2, 5, { xM: 12, yM: 20, zM: 5.5 }],
    [0, 2, 5, { xM: 8, yM: 20, zM: 5.5 }],
    [90, 2, 5, { xM: 10, yM: 22, zM: 5.5 }],
    [270, 2, 5, { xM: 10, yM: 18, zM: 5.5 }],
  ])('facing %s°, it runs to the right of who stands before it', (facesDeg, x, z, position) => {
    const wall = { ...WALL, facesDeg, origin: { xM: 10, yM: 20, zM: z - 1 } };
    expect(onSite({ northDeg: 0 }, wall, x * 1000, 1500)).toEqual(position);
    const turned = { ...wall, facesDeg: (facesDeg + 300) % 360 };
    expect(onSite({ northDeg: 60 }, turned, x * 1000, 1500), 'north turned').toEqual(position);
  });
  it('nobody said: units keep the positions they were given', () => {
    expect(hung.inverters).toEqual(site.inverters);
  });
  it('a wall that is put somewhere takes its units along, terminals at the middle of their lower edges, and their home runs', () => {
    const placed = applyEdit(hung, {
      kind: 'wall',
      wall: { ...WALL, obstructions: THINGS, facesDeg: 180, origin: { xM: 0, yM: 0, zM: 0 } },
    });
    expect(placed.inverters.map((u) => u.position)).toEqual([
      { xM: 1.625, yM: 0, zM: 0.6 },
      { xM: 3.575, yM: 0, zM: 0.6 },
      { xM: 6.975, yM: 0, zM: 0.6 },
    ]);
    const withString = applyEdit(placed, {
      kind: 'strings',
      strings: [{ ...stringOn('inv-1') }],
    });
    // From the middle of the plane's edge at 0, 10, 6: 1.625 + 10 + 5.4 m and a tenth for slack.
    expect(homeRunLengths(withString).get('s-1')).toBeCloseTo(1.1 * 17.025, 9);
    const moved = applyEdit(withString, { kind: 'hang', places: [at(1, 1600)] });
    expect(homeRunLengths(moved).get('s-1')).toBeCloseTo(1.1 * 17.525, 9);
  });
});
const stringOn = (inverterId: string) => ({
  id: 's-1',
  number: 1,
  planeId: 'south',
  modules: 17,
  place: { inverterId, tracker: 1, input: 1, branch: 1 as const },
  start: null,
  lengthM: null,
  lengthToId: null,
  leadsM: null,
  yM: null,
});

describe('edits', () => {
  it('say what they change, and refuse what is not there', () => {
    expect(() => applyEdit(site, { kind: 'hang', places: [{ ...at(1, 0), wallId: 'none' }] })).toThrow(
      'There is no wall none.',
    );
    expect(() => applyEdit(site, { kind: 'hang', places: [at(9, 0)] })).toThrow('There is no inverter inv-9.');
  });
  it('a unit hangs once; taken down it hangs nowhere; a wall goes with what hangs on it', () => {
    const again = applyEdit(hung, { kind: 'hang', places: [at(1, 1000)] });
    expect(again.hung.filter((h) => h.inverterId === 'inv-1')).toEqual([at(1, 1000)]);
    expect(applyEdit(hung, { kind: 'take-down', inverterId: 'inv-1' }).hung).toHaveLength(2);
    expect(applyEdit(hung, { kind: 'remove-wall', wallId: 'east' })).toMatchObject({ walls: [], hung: [] });
    expect(applyEdit(hung, { kind: 'remove-inverter', inverterId: 'inv-2' }).hung.map((h) => h.inverterId)).toEqual([
      'inv-1',
      'inv-3',
    ]);
  });
});

describe('checks', () => {
  it('stand for every unit that hangs, none for those that do not', () => {
    const own = (d: typeof hung) => assessSite(d).checks.filter((c) => c.id.startsWith('mounting.'));
    expect(own(site)).toEqual([]);
    const checks = own(hung);
    expect(new Set(checks.map((c) => c.subject.path))).toEqual(
      new Set(['INV-01 on East wall', 'INV-02 on East wall', 'INV-03 on East wall']),
    );
    const geometry = ['mounting.ends', 'mounting.obstructions', 'mounting.neighbours', 'mounting.top'];
    expect(checks.filter((c) => geometry.includes(c.id)).map((c) => c.verdict)).toEqual(Array(12).fill('holds'));
    expect(mountingResults(site).unplaced).toHaveLength(3);
    expect(mountingResults(hung).unplaced).toEqual([]);
  });
});

describe('layout on a wall of a site', () => {
  it('is the worked wall again, with the places by unit', () => {
    const answer = siteWallLayout(site, site.walls[0]!, ['inv-1', 'inv-2', 'inv-3'], time);
    expect(answer).toMatchObject({ row: { cost: 15125, proof: 'proved' }, stacked: { cost: 15125 }, fixes: [] });
    expect(answer.row?.places?.map((p) => [p.inverterId, p.xMm, p.yMm])).toEqual([
      ['inv-1', 1100, 600],
      ['inv-2', 3050, 600],
      ['inv-3', 6450, 600],
    ]);
  });
  it('shares units among all walls, the near places of both first', () => {
    const near = { ...WALL, obstructions: [], topMostMm: 2000 };
    const two = { ...site, walls: [near, { ...near, id: 'west', label: 'West wall' }] };
    const { layout } = siteWallsLayout(two, ['inv-1', 'inv-2'], time);
    expect(layout).toMatchObject({ proof: 'proved' });
    expect(layout?.places?.map((p) => [p.inverterId, p.wallId, p.xMm])).toEqual([
      ['inv-1', 'east', 6450],
      ['inv-2', 'west', 6450],
    ]);
    expect(
      siteWallsLayout({ ...two, walls: [near, { ...near, id: 'w', label: 'W', boardYMm: null }] }, ['inv-1'], time),
    ).toEqual({
      layout: null,
      missing: ['where cables leave W'],
    });
  });
  it('says what it lacks', () => {
    const wall = { ...WALL, boardXMm: null };
    expect(wallProblemOf(site, wall, ['inv-1']).missing).toEqual(['where cables leave East wall']);
    const unsized = siteOf(1, [], { ...T100, body: { ...T100.body, widthMm: null } });
    expect(siteWallLayout({ ...unsized, walls: [WALL] }, WALL, ['inv-1'], time).missing).toEqual(['width of T100']);
  });
  it('names what would let too many hang', () => {
    const four = siteOf(4, []);
    const wall = { ...WALL, obstructions: THINGS };
    const answer = siteWallLayout({ ...four, walls: [wall] }, wall, ['inv-1', 'inv-2', 'inv-3', 'inv-4'], time);
    expect(answer.row).toMatchObject({ places: null, proof: 'proved' });
    expect(answer).toMatchObject({
      fixes: [{ change: 'move door or window out of the way' }, { change: 'hang one unit fewer here' }],
    });
  });
  it('finds one more unit its place beside those that hang, and none on a full wall', () => {
    const two = applyEdit(site, { kind: 'hang', places: [at(1, 1100), at(3, 6450)] });
    expect(freePlace(two, two.walls[0]!, 'inv-2')).toEqual(at(2, 3050));
    const narrow = { ...WALL, widthMm: 2100 };
    const full = applyEdit({ ...bare, walls: [narrow] }, { kind: 'hang', places: [at(1, 500)] });
    expect(freePlace(full, narrow, 'inv-2')).toBeNull();
  });
});

describe('set-out sheet', () => {
  const sheet = setOutSheet([
    hungUnit({ at: { inverterId: 'a', xMm: 6450, yMm: 600 } }),
    hungUnit({ at: { inverterId: 'b', xMm: 1100, yMm: 600 } }),
    hungUnit({ at: { inverterId: 'c', xMm: 3050, yMm: 600 } }),
  ]);
  it('gives running dimensions of every hole, units from the left, rows from the top', () => {
    const of = (kind: string) => sheet.holes.filter((h) => h.kind === kind).map((h) => [h.name, h.xMm, h.yMm]);
    expect(of('bracket')).toEqual([
      ['A1', 1225, 160],
      ['A2', 2025, 160],
      ['A3', 1225, -140],
      ['A4', 2025, -140],
      ['B1', 3175, 160],
      ['B2', 3975, 160],
      ['B3', 3175, -140],
      ['B4', 3975, -140],
      ['C1', 6575, 160],
      ['C2', 7375, 160],
      ['C3', 6575, -140],
      ['C4', 7375, -140],
    ]);
    expect(of('safety screw').map(([, x, y]) => [x, y])).toEqual([
      [1150, -360],
      [2100, -360],
      [3100, -360],
      [4050, -360],
      [6500, -360],
      [7450, -360],
    ]);
  });
  it('is checked by diagonals of every bracket and one measure over all', () => {
    expect(sheet.checks).toHaveLength(7);
    expect(sheet.checks[0]).toMatchObject({ from: 'A1', to: 'A4' });
    expect(sheet.checks[0]?.mm).toBeCloseTo(854.4004, 4);
    expect(sheet.checks[6]).toMatchObject({ from: 'A3', to: 'C2' });
    expect(sheet.checks[6]?.mm).toBeCloseTo(6157.313, 3);
    expect(setOutSheet([hungUnit()]).checks).toHaveLength(2);
  });
  it('says in which order each bracket is tightened: crosswise', () =>
    expect(sheet.orders.map((o) => o.holes.join(' '))).toEqual(['A1 A4 A2 A3', 'B1 B4 B2 B3', 'C1 C4 C2 C3']));
  it('names sheets without holes', () => {
    expect(setOutSheet([hungUnit({ body: { bracketHoles: [] } })]).missing).toEqual(['holes of the bracket of T100']);
  });
});
