import { describe, expect, it } from 'vitest';
import { newWall } from '../mounting/part';
import { withHung, withWall } from '../mounting/edits';
import { newDevice } from '../links/part';
import { blankRun } from '../ac/part';
import { plane, siteOf } from '../testing/examples';
import { legalLayout } from '../strings/layout/legalLayout';
import { withStrings } from '../strings/arrange';
import type { Tray } from '../site/plan';
import { trayLengthM } from '../site/plan';
import type { SiteDesign } from '.';
import { applyEdit, siteDesignSchema } from '.';
import { assessSite } from './assess';
import { changedLengths, planLengths, trayLoads } from './lengths';
import { THING_KINDS, cornerAt, planThings, putAt } from './planThings';

const at = (xM: number, yM: number, zM = 0) => ({ xM, yM, zM });
const tray = (id: string, carries: Tray['carries'], points: Tray['points']): Tray => ({
  id,
  label: `Tray ${id}`,
  carries,
  widthMm: null,
  depthMm: null,
  dcLeadMm: null,
  busCableMm: null,
  points,
});
const bare = siteOf(2, [plane('south', 120, { position: at(0, 20, 8), edgeM: 30 })]);
const laid = withStrings(bare, legalLayout(bare).strings);
/** Two units, one of them on a wall, a board, a logger, a tray from the roof, a room and a transformer. */
const SITE: SiteDesign = withHung(
  withWall(
    {
      ...laid,
      inverters: laid.inverters.map((u, i) => ({ ...u, position: at(10 + 3 * i, 0, 1) })),
      board: { ...laid.board, position: at(0, 0, 1) },
      runs: laid.inverters.map((u) => blankRun(u.id)),
      chain: {
        ...laid.chain,
        bitRate: 9600,
        devices: [
          { ...newDevice('log', 'logger', 'Logger'), position: at(1, 0, 1) },
          ...laid.inverters.map((u) => ({ ...newDevice(`dev-${u.id}`, 'inverter', u.tag), inverterId: u.id })),
        ],
      },
      plan: {
        ...laid.plan,
        rooms: [
          { id: 'r', label: 'Room', ...at(-1, -5), widthM: 30, depthM: 5, heightM: 4, airM3h: null, inletC: null },
        ],
        trays: [tray('up', ['dc'], [at(12, 20, 8), at(12, 0, 8), at(12, 0, 3)])],
        spots: [{ id: 't', label: 'T1', kind: 'transformer', position: at(-10, 0) }],
      },
    },
    { ...newWall('w', 'Wall', 6000, 3000), facesDeg: 180, origin: at(20, 0, 0.5) },
  ),
  [{ inverterId: laid.inverters[1]!.id, wallId: 'w', xMm: 1000, yMm: 500 }],
);
const [FIRST, SECOND] = SITE.inverters.map((u) => u.id) as [string, string];

describe('what stands on the plan', () => {
  const things = planThings(SITE);
  it('is everything that has a place, each once, and what has none yet', () => {
    expect(new Set(things.map((t) => t.kind))).toEqual(new Set(THING_KINDS));
    expect(new Set(things.map((t) => `${t.kind} ${t.id}`)).size).toBe(things.length);
    const off = planThings({ ...SITE, board: { ...SITE.board, position: null } });
    expect(off.find((t) => t.kind === 'board')).toMatchObject({ position: null, shape: [] });
  });

  it('a unit on a wall is as wide as its sheet says, carried, and faces as the wall does', () => {
    const unit = things.find((t) => t.id === SECOND);
    expect(unit).toMatchObject({ carriedBy: 'Wall', facesDeg: 180 });
    expect(unit?.shape.map((p) => p.xM)).toEqual([21, 21 + (SITE.equipment.inverters[0]?.body.widthMm ?? 0) / 1000]);
    expect(things.find((t) => t.id === FIRST)).toMatchObject({ carriedBy: null, shape: [at(10, 0, 1)] });
  });

  it.each(things.filter((t) => t.carriedBy === null).map((t) => [t.kind, t] as const))(
    'a %s is put elsewhere whole, by an edit the schema takes',
    (_, thing) => {
      const to = at(50, 60, 7);
      const there = applyEdit(SITE, putAt(SITE, thing, to));
      expect(siteDesignSchema.safeParse(there).success).toBe(true);
      const moved = planThings(there).find((t) => t.kind === thing.kind && t.id === thing.id);
      expect(moved?.position).toEqual(to);
      const from = thing.shape[0];
      for (const [i, p] of thing.shape.entries())
        expect(moved?.shape[i]?.xM).toBeCloseTo(p.xM + to.xM - (from?.xM ?? 0), 6);
    },
  );

  it('a corner of a tray moves alone; what is not there is refused', () => {
    const there = applyEdit(SITE, cornerAt(SITE, 'up', 1, at(13, 1, 8)));
    expect(there.plan.trays[0]?.points).toEqual([at(12, 20, 8), at(13, 1, 8), at(12, 0, 3)]);
    expect(() => cornerAt(SITE, 'down', 0, at(0, 0))).toThrow(RangeError);
    expect(() => putAt(SITE, { kind: 'unit', id: 'nobody' }, at(0, 0))).toThrow(RangeError);
  });

  it('a wall that is moved takes its units along, and north turns them with it', () => {
    const moved = applyEdit(SITE, putAt(SITE, { kind: 'wall', id: 'w' }, at(30, 0, 0.5)));
    const x = (d: SiteDesign) => d.inverters.find((u) => u.id === SECOND)?.position?.xM ?? 0;
    expect(x(moved) - x(SITE)).toBeCloseTo(10, 6);
    const turned = applyEdit(SITE, { kind: 'plan', northDeg: 90, levels: [], backdrop: null });
    expect(planThings(turned).find((t) => t.id === 'w')?.facesDeg).toBe(270);
    expect(turned.inverters.find((u) => u.id === SECOND)?.position?.yM).not.toBe(0);
    expect(planThings(turned).find((t) => t.kind === 'plane')?.facesDeg).toBe(
      ((SITE.planes[0]?.azimuthDeg ?? 0) + 90) % 360,
    );
  });
});

describe('lengths that the plan gives', () => {
  const lengths = planLengths(SITE);
  const of = (kind: string, id: string) => lengths.find((l) => l.kind === kind && l.id === id);

  it('are of every home run, every run and every hop', () => {
    expect(lengths.filter((l) => l.kind === 'dc')).toHaveLength(SITE.strings.length);
    expect(lengths.filter((l) => l.kind === 'ac')).toHaveLength(2);
    expect(lengths.filter((l) => l.kind === 'bus').map((l) => [l.from, l.to])).toEqual([
      ['Logger', SITE.inverters[0]?.tag],
      [SITE.inverters[0]?.tag, SITE.inverters[1]?.tag],
    ]);
  });

  // By hand: slack of 10 %, 5 % and 0.4 and 0.9 m in unit and board, 5 % and a metre at both ends (common practice), over ways worked out on paper.
  it('are the ways with their slack', () => {
    const string = SITE.strings.find((s) => s.place?.inverterId === FIRST);
    const start = of('dc', string?.id ?? '')?.way?.points[0];
    const toTray = Math.abs((start?.xM ?? 0) - 12);
    // Down the tray 20 + 5, and off its lower end, 3 m up, to a unit 2 m beside it and 1 m up.
    expect(of('dc', string?.id ?? '')?.lengthM).toBeCloseTo(1.1 * (toTray + 25 + 2 + 2), 9);
    expect(of('ac', FIRST)).toMatchObject({ measured: false, lengthM: 1.05 * 10 + 1.3 });
    expect(of('bus', `dev-${FIRST}`)?.lengthM).toBeCloseTo(1.05 * 9 + 2, 9);
  });

  it('give way to what was measured, and say so; the way is drawn all the same', () => {
    const d = { ...SITE, runs: SITE.runs.map((r) => ({ ...r, lengthM: 77 })) };
    expect(planLengths(d).find((l) => l.kind === 'ac')).toMatchObject({ lengthM: 77, measured: true });
    expect(planLengths(d).find((l) => l.kind === 'ac')?.way).not.toBeNull();
  });

  it('are not known where one end is nowhere', () => {
    const d = { ...SITE, board: { ...SITE.board, position: null } };
    expect(
      planLengths(d)
        .filter((l) => l.kind === 'ac')
        .map((l) => l.lengthM),
    ).toEqual([null, null]);
  });

  it('reach the checks: a board that moves away lifts the voltage rise of runs nobody measured, and of no others', () => {
    const sized = {
      ...SITE,
      runs: SITE.runs.map((r, i) => ({
        ...r,
        metal: 'Cu' as const,
        insulation: 'XLPE' as const,
        cores: '5-core' as const,
        method: 'E' as const,
        sectionMm2: 70,
        parallel: 1,
        lengthM: i ? 40 : null,
      })),
    };
    const rises = (d: SiteDesign) =>
      assessSite(d)
        .checks.filter((c) => c.id === 'ac.voltage-rise')
        .map((c) => c.value);
    const [near, measured] = rises(sized);
    const [far, still] = rises({ ...sized, board: { ...sized.board, position: at(-40, 0, 1) } });
    expect(far! / near!).toBeCloseTo((1.05 * 50 + 1.3) / (1.05 * 10 + 1.3), 6);
    expect(still).toBe(measured);
  });

  it('that change are told largest first, what comes to be known before all', () => {
    const moved = planLengths(applyEdit(SITE, putAt(SITE, { kind: 'board', id: 'board' }, at(0, -5, 1))));
    expect(changedLengths(lengths, lengths)).toEqual([]);
    expect(changedLengths(lengths, moved).map((c) => c.length.kind)).toEqual(['ac', 'ac']);
    const none = planLengths({ ...SITE, board: { ...SITE.board, position: null } });
    const [first] = changedLengths(none, moved);
    expect(first).toMatchObject({ fromM: null });
  });

  it('of a tray is along its corners', () => expect(trayLengthM(SITE.plan.trays[0]!)).toBe(25));
  it('lie on the trays they run along', () => {
    expect(trayLoads(SITE, lengths).get('up')).toEqual({ dc: SITE.strings.length, ac: 0, bus: 0 });
  });
});

describe('a plan that is none', () => {
  const flaws = (plan: Partial<SiteDesign['plan']>) => {
    const parsed = siteDesignSchema.safeParse({ ...SITE, plan: { ...SITE.plan, ...plan } });
    return parsed.success ? [] : parsed.error.issues.map((i) => i.path.join('.'));
  };
  it('has a tray without length, a thing twice, a room without size, a picture without a site’s size', () => {
    expect(flaws({ trays: [tray('x', ['ac'], [at(1, 1), at(1, 1)])] })).toEqual(['plan.trays.0.points']);
    const [up] = SITE.plan.trays;
    expect(flaws({ trays: [up!, up!] })).toEqual(['plan.trays.1.id']);
    const [room] = SITE.plan.rooms;
    expect(flaws({ rooms: [{ ...room!, widthM: 0 }] })).toEqual(['plan.rooms.0.widthM']);
    const backdrop = { id: 'a'.repeat(64), name: 'x', widthM: 0.2, heightM: 30, xM: 0, yM: 0 };
    expect(flaws({ backdrop })).toEqual(['plan.backdrop.widthM']);
    expect(flaws({ backdrop: { ...backdrop, widthM: 20 } })).toEqual([]);
  });
});
