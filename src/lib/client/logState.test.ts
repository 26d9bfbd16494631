import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { withStrings } from '$core/strings/arrange';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { beginsWith } from '$core/proving/evidence/log';
import { Crew, INSTRUMENTS, healthy } from '$core/testing/crew';
import { plane, siteOf } from '$core/testing/examples';
import type { Entry } from '$core/proving/entry';
import { uncertaintyMs } from '$core/proving/entry';
import { LogState } from './logState.svelte';
import { signOn } from './signOn.svelte';
import { device, forgetfulDevice } from './testing/storage';

const bare = siteOf(1, [plane('south', 72)]);
const design = withStrings(bare, legalLayout(bare).strings);
const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design }];
const site = { scope: 'site', id: 'site' } as const;
const safe = {
  kind: 'gate',
  subject: site,
  values: { gate: 'S-SAFE', result: 'pass', evidence: 'points named' },
} as const;

const doc = { kind: 'gate', subject: site, values: { gate: 'S-DOC', result: 'pass', evidence: 'drawings' } } as const;
const danger = { kind: 'happening', subject: site, values: { what: 'storm', seen: 'lightning' } } as const;

/** A record as the server tells it, of one known in part what came since. */
function told(entries: readonly Entry[], { known = 0, nowMs = Date.now(), of = releases } = {}) {
  const counts = { entries: entries.length, releases: of.length };
  return { nowMs, counts, whole: known === 0, releases: known ? [] : of, entries: entries.slice(known) };
}
/** The same to whoever asks with what it has, as the server does. */
function toldSince(entries: readonly Entry[], path: string, nowMs: number, of = releases) {
  const q = new URL(path, 'http://yard').searchParams;
  const number = (name: string) => (q.has(name) ? Number(q.get(name)) : undefined);
  const known = { entries: number('entries') ?? 0, releases: number('releases') ?? 0 };
  const last = { lastEntry: q.get('lastEntry') ?? undefined, lastReleaseMs: number('lastReleaseMs') };
  const begins = beginsWith({ entries, releases: of }, { ...known, ...last });
  return told(entries, { known: begins ? known.entries : 0, nowMs, of });
}

/** A server whose clock is ahead, that takes what `answer` lets pass. */
function server(answer: (entry: Entry) => Response | 'silent' = () => Response.json({}, { status: 201 }), aheadMs = 0) {
  const taken: Entry[] = [];
  vi.stubGlobal('fetch', async (path: string, init?: { body?: string }) => {
    if (path === '/api/v1/clock') return Response.json({ nowMs: Date.now() + aheadMs });
    if (!init?.body) {
      return Response.json(toldSince(taken, path, Date.now() + aheadMs));
    }
    const entry = JSON.parse(init.body) as Entry;
    const said = answer(entry);
    if (said === 'silent') throw new TypeError('network');
    if (said.ok) taken.push(entry);
    return said;
  });
  return taken;
}
/** Makes an entry, and waits until it is sent or known not to be. */
const add = async (log: LogState, draft: Parameters<LogState['add']>[0]) => {
  const made = await log.add(draft);
  await log.flush();
  return made;
};
const open = async (entries: readonly Entry[] = []) => {
  const log = new LogState('s');
  log.take(told(entries));
  await log.open();
  return log;
};

beforeEach(() => {
  // Nobody tries again by himself.
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  device();
  Object.assign(signOn, {
    by: 'Rosa Vahl',
    role: 'electrician',
    licensedUntil: '2099-12-31',
    instruments: Object.values(INSTRUMENTS),
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('the record on a device', () => {
  it('counts an entry at once, sends it with device, sequence and corrected clock, and keeps nothing that was taken', async () => {
    const taken = server(undefined, 90_000);
    const log = await open();
    expect(await add(log, safe)).toBe(true);
    expect(log.evidence.closed('S-SAFE', 'site')).toBe(true);
    expect([log.unsent.length, taken.length]).toEqual([0, 1]);
    const [entry] = taken;
    expect(entry?.device?.seq).toBeGreaterThan(0);
    const { offsetMs = 0 } = entry?.device ?? {};
    expect(Math.abs(offsetMs - 90_000)).toBeLessThanOrEqual(uncertaintyMs({ device: entry?.device ?? null }));
    expect(entry).toMatchObject({ by: 'Rosa Vahl', licensedUntil: '2099-12-31', release: 'A', instrument: null });
  });
  it('keeps what nobody answered for, over a reload, and sends the same entries in their order', async () => {
    let silent = true;
    const taken = server(() => (silent ? 'silent' : Response.json({}, { status: 201 })));
    const log = await open();
    await add(log, safe);
    await add(log, doc);
    expect([log.unsent.length, log.evidence.closed('S-SAFE', 'site'), taken.length]).toEqual([2, true, 0]);
    const again = await open();
    expect(again.unsent.map((e) => e.id)).toEqual(log.unsent.map((e) => e.id));
    expect(again.evidence.closed('S-DOC', 'site')).toBe(true);
    await again.flush();
    silent = false;
    await again.flush();
    expect([again.unsent.length, taken.map((e) => e.id)]).toEqual([0, log.unsent.map((e) => e.id)]);
    expect((await open(taken)).unsent).toEqual([]);
  });
  it('keeps what two tabs of one browser entered, and loses none by the other', async () => {
    const taken = server(() => 'silent');
    const [one, other] = [await open(), await open()];
    await add(one, safe);
    await add(other, doc);
    const again = await open();
    expect([again.unsent.map((e) => e.values['gate']), taken.length]).toEqual([['S-SAFE', 'S-DOC'], 0]);
  });
  it('says what is kept and cannot be read any more, and leaves it where it is', async () => {
    const kept = device();
    kept.set('bolt-yard.outbox.s.1', '{"id":"1","kind":"of another version"}');
    server();
    const log = await open();
    await add(log, safe);
    expect([log.unreadable, log.unsent.length, [...kept.keys()].includes('bolt-yard.outbox.s.1')]).toEqual([
      1,
      0,
      true,
    ]);
  });
  it('keeps what was taken while the record was read: an answer from before does not take it away', async () => {
    const taken = server();
    const log = await open();
    const before = told([...taken]);
    await add(log, safe);
    log.take(before);
    expect([log.entries.length, log.evidence.closed('S-SAFE', 'site')]).toEqual([1, true]);
    await log.refresh();
    expect(log.entries.length).toBe(1);
    const released = [...releases, { letter: 'B', atMs: Date.parse('2026-05-03T08:00:00Z'), design }];
    const nowMs = Date.now();
    log.take(told(taken, { of: released, nowMs }));
    log.take(told(taken, { nowMs: nowMs - 1 }));
    expect(log.current?.letter).toBe('B');
  });
  it('refuses at once what the rules refuse, and sends nothing', async () => {
    const taken = server();
    const log = await open();
    signOn.licensedUntil = '2020-01-01';
    expect(await add(log, safe)).toBe(false);
    expect(log.problem?.detail).toContain('licence');
    signOn.licensedUntil = '2099-12-31';
    signOn.instruments = [];
    expect(await add(log, { kind: 'supply', subject: site, values: {} })).toBe(false);
    expect(log.problem?.detail).toContain('measured with a multimeter');
    expect(
      await add(log, { kind: 'gate', subject: site, values: { gate: 'S-SAFE', result: 'pass', evidence: 'x' } }),
    ).toBe(false);
    expect(log.problem?.errors?.[0]?.pointer).toBe('/values/evidence');
    expect([taken.length, log.unsent.length]).toEqual([0, 0]);
  });
  it('is measured with the instrument that is made for it, whichever lies first, or with the one that was chosen', async () => {
    const taken = server();
    const log = await open();
    const own = { ...INSTRUMENTS['earth tester'], serial: 'CON-77' };
    signOn.instruments = [INSTRUMENTS['insulation tester'], INSTRUMENTS['earth tester'], own];
    const earth = { kind: 'earth', subject: site, values: healthy('earth', design, site) };
    for (const before of [doc, safe]) await add(log, before);
    await add(log, earth);
    await add(log, { ...earth, instrument: own });
    signOn.instruments = [INSTRUMENTS['insulation tester']];
    await add(log, earth);
    const serials = taken.map((e) => e.instrument?.serial ?? null);
    expect(serials).toEqual([null, null, 'CON-0933', 'CON-77', 'INS-2209']);
  });
  it('shows what the server would not take, with why, and goes by what the server has', async () => {
    server(() =>
      Response.json(
        { type: 'about:blank', title: 'Refused', status: 422, detail: 'somebody opened the joint' },
        { status: 422 },
      ),
    );
    const log = await open();
    await add(log, safe);
    expect(log.refused.map((r) => r.why)).toEqual(['somebody opened the joint']);
    expect([log.unsent.length, log.evidence.closed('S-SAFE', 'site')]).toEqual([0, false]);
    expect([log.made, log.problem]).toEqual([null, null]);
    // It is said until somebody has seen it, over a reload too; a form that began anew with it stays as it is.
    const again = await open();
    expect([again.unseen.map((r) => r.entry.values), again.unsent.length]).toEqual([[safe.values], 0]);
    const made = again.madeHere('gate', site);
    again.see(again.unseen[0]?.id ?? '');
    expect([again.unseen, again.madeHere('gate', site)]).toEqual([[], made]);
    expect((await open()).refused).toEqual([]);
  });
  it('sends a danger before all that waits, and keeps what the network between refuses in words of its own', async () => {
    let between: Response | null = new Response('<html>sign in first</html>', { status: 403 });
    const taken = server(() => between?.clone() ?? Response.json({}, { status: 201 }));
    const log = await open();
    await add(log, safe);
    await add(log, doc);
    await add(log, danger);
    expect([log.unsent.length, log.refused.length, log.failing, taken.length]).toEqual([3, 0, null, 0]);
    between = null;
    await log.flush();
    expect([log.unsent, taken.map((e) => e.values['gate'] ?? e.kind)]).toEqual([[], ['happening', 'S-SAFE', 'S-DOC']]);
  });
  it('holds up behind one at which the server fails only what rests on it, and never a danger', async () => {
    vi.useFakeTimers({ toFake: ['Date', 'setTimeout', 'clearTimeout'] });
    let fails = 'S-SAFE';
    const taken = server((entry) =>
      entry.corrects === null && (entry.values['gate'] ?? entry.kind) === fails
        ? Response.json(
            { type: 'about:blank', title: 'Failed inside', status: 500, detail: 'under 7x1' },
            { status: 500 },
          )
        : Response.json({}, { status: 201 }),
    );
    const sent = () => taken.map((e) => e.values['gate'] ?? e.kind);
    const log = await open();
    await add(log, safe);
    await add(log, doc);
    await add(log, { ...safe, corrects: log.unsent[0]?.id ?? '', reason: 'one point more' });
    expect(log.problem).toBe(null);
    await add(log, danger);
    // Fresh, it would be refused without the one before it; no longer fresh it is kept as a fact, whatever it rests on.
    expect([sent(), log.unsent.length, log.failing]).toEqual([['happening'], 3, 'under 7x1']);
    vi.setSystemTime(Date.now() + 121_000);
    // It is tried again by itself.
    await vi.advanceTimersByTimeAsync(5001);
    expect([sent(), log.unsent.length]).toEqual([['happening', 'S-DOC'], 2]);
    // Where nobody answers meanwhile, the server did not fail.
    const answering = globalThis.fetch;
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('network')));
    await log.flush();
    expect([log.unsent.length, log.failing]).toEqual([2, null]);
    vi.stubGlobal('fetch', answering);
    fails = 'nothing';
    await log.flush();
    expect([sent().slice(2), log.unsent, log.refused, log.failing]).toEqual([['S-SAFE', 'S-SAFE'], [], [], null]);
    fails = 'happening';
    await add(log, danger);
    vi.setSystemTime(Date.now() + 121_000);
    await add(log, doc);
    await log.flush();
    expect([sent().length, log.unsent.map((e) => e.kind)]).toEqual([4, ['happening', 'gate']]);
    vi.setSystemTime(Date.now() + 121_000);
    await log.flush();
    expect([sent().at(-1), log.unsent.map((e) => e.kind)]).toEqual(['S-DOC', ['happening']]);
  });
  it('counts what was made here of a kind and a part, taken or refused, and nothing of others', async () => {
    server((entry) =>
      entry.values['evidence'] === 'refuse this'
        ? Response.json({ type: 'about:blank', title: 'Refused', status: 422, detail: 'no' }, { status: 422 })
        : Response.json({}, { status: 201 }),
    );
    const log = await open([new Crew(design).tick('S-SAFE', 'site', 'pass', { device: { id: 'p2' } })]);
    const made = () => [log.madeHere('gate', site), log.madeHere('waiver', site)];
    expect(made()).toEqual([0, 0]);
    await add(log, safe);
    expect(made()).toEqual([1, 0]);
    await add(log, { ...safe, values: { ...safe.values, evidence: 'refuse this' } });
    expect([log.refused.length, ...made()]).toEqual([1, 2, 0]);
    expect(log.madeHere('gate', { scope: 'inverter', id: 'inv-1' })).toBe(0);
  });
  it('goes on over a line that hangs: nobody waits for it, and what hangs is sent again', async () => {
    vi.useFakeTimers();
    const asked: string[] = [];
    vi.stubGlobal('fetch', (path: string, { signal }: RequestInit) => {
      asked.push(path);
      return new Promise((_, reject) => signal?.addEventListener('abort', () => reject(new Error('hung up'))));
    });
    const log = new LogState('s');
    log.take(told([]));
    const opening = log.open();
    await vi.advanceTimersByTimeAsync(3000);
    await opening;
    // The clock was asked for a moment ago: it is not waited for again.
    expect(await log.add(safe)).toBe(true);
    expect([log.busy, log.unsent.length, log.evidence.closed('S-SAFE', 'site')]).toEqual([false, 1, true]);
    await vi.advanceTimersByTimeAsync(29_999);
    expect(asked).toEqual(['/api/v1/clock', '/api/v1/sites/s/records']);
    await vi.advanceTimersByTimeAsync(5001);
    expect(asked).toHaveLength(3);
    expect(log.unsent.length).toBe(1);
  });
  it('says when the device keeps nothing', async () => {
    forgetfulDevice();
    server(() => 'silent');
    const log = await open();
    await add(log, safe);
    expect([log.unsent.length, log.forgetful]).toEqual([1, true]);
  });
  it('ends the day where the site’s day ends', async () => {
    vi.useFakeTimers({ now: Date.parse('2026-05-04T21:59:00Z'), toFake: ['Date'] });
    server();
    const crew = new Crew(design, '2026-05-04T20:00:00+02:00');
    crew.tick('S-SAFE', 'site', 'pass');
    const log = await open(crew.entries);
    log.tick();
    expect(log.evidence.closed('S-SAFE', 'site')).toBe(true);
    vi.setSystemTime(Date.parse('2026-05-04T22:00:01Z'));
    log.tick();
    expect(log.evidence.closed('S-SAFE', 'site')).toBe(false);
  });
  it('goes on with what it knows where nobody answers for the record, says so, and hears of others when somebody does', async () => {
    vi.useFakeTimers({ toFake: ['Date', 'setTimeout', 'clearTimeout'] });
    const taken = server();
    const log = await open();
    expect([log.silent, log.readAtMs === null]).toEqual([false, false]);
    await add(log, safe);
    const answering = globalThis.fetch;
    for (const silence of [() => Promise.reject(new TypeError('network')), () => Response.json({}, { status: 503 })]) {
      vi.stubGlobal('fetch', silence);
      [log.silent, log.readAtMs] = [false, Date.now()];
      await log.refresh();
      // A moment's silence is none.
      expect(log.silent).toBe(false);
      vi.setSystemTime(Date.now() + 20_001);
      await log.refresh();
      expect([log.silent, log.evidence.closed('S-SAFE', 'site')]).toEqual([true, true]);
      log.take(null);
      expect([log.silent, log.evidence.closed('S-SAFE', 'site')]).toEqual([true, true]);
    }
    vi.stubGlobal('fetch', answering);
    const crew = new Crew(design);
    taken.push(crew.tick('S-DOC', 'site', 'pass', { device: { id: 'p2' } }));
    await log.refresh();
    expect([log.silent, log.evidence.closed('S-DOC', 'site')]).toEqual([false, true]);
  });
  it('asks for what came since, once at a time, and is held against no other moment where nothing did', async () => {
    const taken = server();
    const log = await open();
    const { nowMs } = log.evidence;
    const answering = globalThis.fetch;
    const asked: unknown[] = [];
    vi.stubGlobal('fetch', (...all: Parameters<typeof fetch>) => {
      asked.push(all[0]);
      return answering(...all);
    });
    await Promise.all([log.look(), log.look()]);
    const asks = (entries: number, lastEntry?: string) =>
      `/api/v1/sites/s/records?entries=${entries}&releases=1${lastEntry ? `&lastEntry=${lastEntry}` : ''}&lastReleaseMs=${releases[0]?.atMs}`;
    expect(asked).toEqual([asks(0)]);
    expect(log.evidence.nowMs).toBe(nowMs);
    await add(log, safe);
    taken.push(new Crew(design).tick('S-DOC', 'site', 'pass', { device: { id: 'p2' } }));
    await log.look();
    expect(log.entries.map((e) => e.values['gate'])).toEqual(['S-SAFE', 'S-DOC']);
    await log.look();
    expect(asked.slice(2)).toEqual([asks(0), asks(2, taken[1]?.id)]);
  });
  it('goes by a database that was put back, sends again what it made itself, and calls for nothing that it knew', async () => {
    const taken = server();
    const crew = new Crew(design);
    const report = (what: string) =>
      crew.add('happening', { scope: 'inverter', id: 'inv-1' }, { what, seen: 'seen it' }, { device: { id: 'p2' } });
    const log = await open();
    taken.push(report('unit unsafe'), crew.tick('S-DOC', 'site', 'pass', { device: { id: 'p2' } }));
    await log.look();
    await add(log, safe);
    await log.look();
    expect([log.entries.length, log.alarms.length, log.evidence.closed('S-DOC', 'site')]).toEqual([3, 1, true]);
    log.heard(log.alarms[0]?.id ?? '');
    taken.splice(1, 2, report('joint opened'));
    await log.look();
    await log.flush();
    expect(taken.map((e) => e.values['what'] ?? e.values['gate'])).toEqual(['unit unsafe', 'joint opened', 'S-SAFE']);
    expect([log.evidence.closed('S-DOC', 'site'), log.evidence.closed('S-SAFE', 'site')]).toEqual([false, true]);
    expect(log.alarms.map((e) => e.values['what'])).toEqual(['joint opened']);
    await log.look();
    expect([log.entries.map((e) => e.id), log.unsent]).toEqual([taken.map((e) => e.id), []]);
    const released = [...releases, { letter: 'B', atMs: Date.parse('2026-05-03T08:00:00Z'), design }];
    log.take(told(taken, { of: released }));
    expect(log.current?.letter).toBe('B');
    await log.look();
    expect(log.current?.letter).toBe('A');
  });
  it('notices a database put back that has grown past what it was told of, by a poll or by a screen that opens', async () => {
    for (const by of ['poll', 'screen'] as const) {
      const taken = server();
      const crew = new Crew(design);
      const said = (what: string, id: string) =>
        crew.add(
          'happening',
          { scope: 'inverter', id: 'inv-1' },
          { what, seen: 'seen it' },
          { id, device: { id: 'p2' } },
        );
      const idOf = (n: number) => `01969a00-2222-7000-8000-${String(n).padStart(12, '0')}`;
      const log = await open();
      taken.push(said('unit unsafe', idOf(1)), said('joint opened', idOf(2)));
      await log.look();
      await add(log, safe);
      await log.look();
      const own = log.entries.at(-1)?.id;
      taken.splice(1, 2, said('cover opened', idOf(3)), said('plug moved', idOf(4)), said('earth opened', idOf(5)));
      if (by === 'poll') await log.look();
      else log.take(told(taken));
      await log.flush();
      await log.look();
      const ids = [idOf(1), idOf(3), idOf(4), idOf(5), own];
      expect([taken.map((e) => e.id), log.entries.map((e) => e.id).sort()]).toEqual([ids, [...ids].sort()]);
      expect(log.unsent).toEqual([]);
    }
  });
  it('goes by another release of the same letter, and not by a whole record that was told before what it knows', async () => {
    const taken = server();
    const crew = new Crew(design);
    const log = await open();
    const before = told(taken, { nowMs: Date.now() - 1 });
    taken.push(crew.add('gate', site, doc.values, { device: { id: 'p2' } }));
    await log.look();
    log.take(before);
    expect(log.entries).toHaveLength(1);
    const other = releases.map((r) => ({ ...r, atMs: r.atMs + 1 }));
    log.take(told(taken, { of: other }));
    expect(log.releases).toEqual(other);
    expect(log.entries).toHaveLength(1);
  });
  it('has an entry once that is told of before it is answered for', async () => {
    const taken = server();
    const log = await open();
    let answered = (): void => undefined;
    const answering = globalThis.fetch;
    vi.stubGlobal('fetch', async (...all: Parameters<typeof fetch>) => {
      const answer = await answering(...all);
      if (all[1]?.body) await new Promise<void>((resolve) => (answered = resolve));
      return answer;
    });
    await log.add(safe);
    const [own] = log.unsent;
    await vi.waitFor(() => expect(taken).toHaveLength(1));
    await log.look();
    expect([log.unsent.length, log.entries.length, log.entries[0] === own]).toEqual([1, 1, true]);
    answered();
    await log.flush();
    expect([log.unsent.length, log.entries.length, log.alarms.length]).toEqual([0, 1, 0]);
  });
  it('raises the alarm for a danger that another reports, until somebody has seen it', async () => {
    const taken = server();
    const log = await open();
    const crew = new Crew(design);
    const report = (what: string, device: { id: string } | null) =>
      taken.push(crew.add('happening', { scope: 'inverter', id: 'inv-1' }, { what, seen: 'seen it' }, { device }));
    report('unit unsafe', { id: 'p2' });
    log.take(told(taken));
    expect(log.alarms.map((e) => e.values['what'])).toEqual(['unit unsafe']);
    report('unit moved', { id: 'p2' });
    report('joint opened', null);
    await log.look();
    await add(log, danger);
    await log.look();
    expect(log.alarms.map((e) => e.values['what'])).toEqual(['unit unsafe', 'joint opened']);
    log.heard(log.alarms[0]?.id ?? '');
    expect(log.alarms.map((e) => e.values['what'])).toEqual(['joint opened']);
    // Those of before the screen was opened stand on record: nobody is called for them.
    expect((await open(taken)).alarms).toEqual([]);
  });
  it('that was never read knows nothing, and says that it was not', () => {
    server();
    const log = new LogState('s');
    log.take(null);
    expect([log.silent, log.readAtMs, log.current]).toEqual([true, null, null]);
  });
});
