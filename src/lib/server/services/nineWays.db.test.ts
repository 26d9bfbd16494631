import { describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { withRun } from '$core/ac/edits';
import type { SiteDesign } from '$core/design';
import type { Entry } from '$core/proving/entry';
import type { GateId } from '$core/proving/gates/machine';
import { withStrings } from '$core/strings/arrange';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { Crew } from '$core/testing/crew';
import { plane, runOf, siteOf } from '$core/testing/examples';
import { PROJECT_FORMAT, PROJECT_VERSION } from '$lib/schemas/projectFile';
import { db } from '../db/client';
import { tamper } from '../whole/owner';
import { Problem } from '../problem';
import type { Context } from './context';
import { localContext } from './context';
import { importProject } from './projectFile';
import { unitsToSwitchOff } from './openedSite';
import { addRecord, readLogbook, sitesToSwitchOff, verifyRecord } from './records';

/** Nine ways in which a record was once talked round, each through service and database. */

const UNIT = 'inv-1';
const design: SiteDesign = (() => {
  const bare = siteOf(2, [plane('south', 72)]);
  return withRun(withStrings(bare, legalLayout(bare).strings), runOf(UNIT));
})();
const onUnit = design.strings.filter((s) => s.place?.inverterId === UNIT);
const STRING = onUnit[0]?.id ?? '';
const inverter = { scope: 'inverter', id: UNIT } as const;

interface Site {
  readonly siteId: string;
  readonly context: Context;
  readonly state: (gate: GateId, object?: string) => Promise<string | undefined>;
}

/** A stored site with everything its crew did so far, and the clock where the crew stands. */
async function site(crew: Crew, later: readonly SiteDesign[] = []): Promise<Site> {
  const context: Context = { ...localContext(db()), now: () => new Date(crew.nowMs) };
  const releases = [crew.design, ...later].map((d, i) => ({
    letter: String.fromCharCode(65 + i),
    revision: i + 1,
    releasedBy: 'R. Vahl',
    releasedAt: new Date(i === 0 ? Date.parse('2026-05-01T08:00:00Z') : crew.nowMs - 1000).toISOString(),
    design: d,
  }));
  const siteId = await importProject(context, {
    format: PROJECT_FORMAT,
    version: PROJECT_VERSION,
    siteId: uuidv7(),
    revision: 1,
    exportedAt: new Date(crew.nowMs).toISOString(),
    design: later.at(-1) ?? crew.design,
    releases,
    records: crew.entries,
  });
  const state = async (gate: GateId, object = 'site') =>
    (await readLogbook(context, siteId)).evidence.gate(gate, object)?.state;
  return { siteId, context, state };
}
/** Sends the newest entry of a crew; the words of the refusal where it is refused. */
async function send({ context, siteId }: Site, entry: Entry): Promise<string | null> {
  try {
    await addRecord(context, siteId, entry);
    return null;
  } catch (cause) {
    if (cause instanceof Problem && cause.status === 422) return cause.detail;
    throw cause;
  }
}
const permitted = () => {
  const crew = new Crew(design);
  crew.site();
  crew.unit(UNIT);
  crew.prove('I-SETUP', UNIT);
  return crew;
};

describe('the record is not talked round', () => {
  it('1: an order asks its guards at every step, not once', async () => {
    const crew = permitted();
    const s = await site(crew);
    expect(await send(s, crew.step(UNIT, '1', 'LOCKED_OFF'))).toBeNull();
    expect(await send(s, crew.step(UNIT, '1', 'AC_CLOSED'))).toBeNull();
    expect(
      await send(s, crew.add('happening', inverter, { what: 'joint opened', seen: 'L2 loose' }, { role: 'helper' })),
    ).toBeNull();
    expect(await send(s, crew.step(UNIT, '1', 'DC_CLOSED'))).toMatch(/the order stopped: the permit was withdrawn/);
    // Proved anew, it still has to be isolated first: nobody goes on in the middle.
    for (const gate of ['I-TORQ', 'I-ACV', 'I-COVER', 'I-PERMIT'] as const)
      expect(await send(s, crew.prove(gate, UNIT))).toBeNull();
    expect(await send(s, crew.step(UNIT, '1', 'DC_CLOSED'))).toMatch(/isolate the unit/);
    for (const state of ['STOP', 'AC_OPEN', 'DC_OPEN', 'DISCHARGE', 'PROVE_DEAD', 'SAFE'] as const)
      expect(await send(s, crew.step(UNIT, 'off', state))).toBeNull();
    expect(await send(s, crew.step(UNIT, '1', 'LOCKED_OFF'))).toBeNull();
  });

  it('2: a joint that is closed again heals nothing: what rested on it is proved anew', async () => {
    const crew = permitted();
    const s = await site(crew);
    await send(s, crew.add('happening', inverter, { what: 'joint opened', seen: 'L2 loose' }, { role: 'helper' }));
    expect(await send(s, crew.prove('I-TORQ', UNIT))).toBeNull();
    expect(
      await Promise.all((['I-TORQ', 'I-ACV', 'I-COVER', 'I-PERMIT', 'I-DCLAND'] as const).map((g) => s.state(g, UNIT))),
    ).toEqual(['passed', 'stale', 'stale', 'stale', 'passed']);
  });

  it('3: a correction reaches the same gate of the same part alone', async () => {
    const crew = permitted();
    const cover = crew.entries.find((e) => e.values['gate'] === 'I-COVER');
    const s = await site(crew);
    const other = crew.add(
      'gate',
      inverter,
      { gate: 'I-MOUNT', result: 'fail', evidence: 'hangs loose' },
      { corrects: cover?.id ?? '', reason: 'wrong gate' },
    );
    expect(await send(s, other)).toMatch(/same gate/);
    const elsewhere = crew.add(
      'gate',
      { scope: 'inverter', id: 'inv-2' },
      { gate: 'I-COVER', result: 'pass', evidence: 'closed' },
      { corrects: cover?.id ?? '', reason: 'wrong unit' },
    );
    expect(await send(s, elsewhere)).toMatch(/same part/);
    const helper = crew.add(
      'gate',
      inverter,
      { gate: 'I-COVER', result: 'fail', evidence: 'open' },
      { corrects: cover?.id ?? '', reason: 'saw it open', role: 'helper' },
    );
    expect(await send(s, helper)).toMatch(/corrected by an electrician or above/);
    expect(await s.state('I-COVER', UNIT)).toBe('passed');
  });

  it('4: an acceptance dies with its reading', async () => {
    const crew = new Crew(design);
    crew.site();
    for (const gate of ['I-MOUNT', 'I-PE'] as const) crew.prove(gate, UNIT);
    const damp = crew.prove('I-ACIR', UNIT, { values: { megohm: 4 } });
    const s = await site(crew);
    const accept = (entryId: string) =>
      crew.add('acceptance', inverter, { gate: 'I-ACIR', entryId }, { reason: 'damp morning, dry at noon' });
    expect(await send(s, accept(damp.id))).toBeNull();
    expect(await s.state('I-ACIR', UNIT)).toBe('accepted');
    const corrected = crew.prove('I-ACIR', UNIT, {
      values: { megohm: 3 },
      corrects: damp.id,
      reason: 'read the wrong scale',
    });
    expect(await send(s, corrected)).toBeNull();
    expect(await s.state('I-ACIR', UNIT)).toBe('caution');
    expect(await send(s, accept(damp.id))).toMatch(/newest reading/);
    expect(await send(s, accept(corrected.id))).toBeNull();
    const newer = crew.prove('I-ACIR', UNIT, { values: { megohm: 2 } });
    expect(await send(s, newer)).toBeNull();
    expect(await s.state('I-ACIR', UNIT)).toBe('caution');
  });

  const first = design.equipment.inverters[0];
  it.each<[string, SiteDesign, GateId[], GateId[]]>([
    ['limit', { ...design, survey: { ...design.survey, dcLegalMaxV: 1090 } }, ['D-VOC', 'D-IR'], ['D-ID', 'D-POL']],
    [
      'unit',
      { ...design, equipment: { ...design.equipment, inverters: first ? [{ ...first, massKg: 90 }] : [] } },
      ['I-PE', 'I-TORQ', 'I-PERMIT'],
      ['S-EARTH'],
    ],
    [
      'supply',
      { ...design, survey: { ...design.survey, gridCode: 'VDE-AR-N 4105' } },
      ['S-SUPPLY', 'I-ACV', 'I-PERMIT'],
      ['I-MOUNT'],
    ],
    [
      'address',
      {
        ...design,
        chain: {
          ...design.chain,
          devices: design.chain.devices.map((c) => (c.inverterId === UNIT ? { ...c, address: 99 } : c)),
        },
      },
      ['I-ADDR', 'I-PERMIT', 'I-SETUP'],
      ['I-PE'],
    ],
    [
      'unit of a string',
      withStrings(
        design,
        design.strings.map((x) =>
          x.id === STRING && x.place ? { ...x, place: { ...x.place, inverterId: 'inv-2', tracker: 10, input: 2 } } : x,
        ),
      ),
      ['D-ID', 'D-VOC', 'I-DCLAND', 'I-PERMIT'],
      ['I-ACV'],
    ],
  ])(
    '5: a release that changes the %s makes stale what rests on it, also when a later one changes it back',
    async (_, changed, stale, kept) => {
      const crew = permitted();
      crew.wait(5);
      const s = await site(crew, [changed]);
      const at = (gate: GateId) => (gate.startsWith('S') ? 'site' : gate.startsWith('D') ? STRING : UNIT);
      // Where the newest release speaks against what was read, the reading fails by it.
      const lost = (gate: GateId) => [gate, gate === 'I-ADDR' || gate === 'I-SETUP' ? 'failed' : 'stale'] as const;
      for (const gate of stale) expect([gate, await s.state(gate, at(gate))]).toEqual(lost(gate));
      for (const gate of kept) expect([gate, await s.state(gate, at(gate))]).toEqual([gate, 'passed']);
      const back = await site(crew, [changed, { ...design, board: { ...design.board, label: 'PVB' } }]);
      for (const gate of stale) expect([gate, await back.state(gate, at(gate))]).toEqual(lost(gate));
    },
  );

  it.each([
    ['fails a string over the connectors’ voltage', 900, 'failed'],
    ['proves nothing while it is not on the sheet', null, 'locked'],
  ] as const)('6: the limit at the plug is the limit of the design: %s', async (_, connectorMaxV, state) => {
    const narrow = {
      ...design,
      equipment: { ...design.equipment, inverters: first ? [{ ...first, connectorMaxV }] : [] },
    };
    const crew = new Crew(narrow);
    crew.site();
    crew.prove('D-ID', STRING);
    crew.prove('D-POL', STRING);
    const s = await site(crew);
    expect((await s.state('D-VOC', STRING))?.replace('open', 'locked')).toBe(state);
    const nowhere = { ...design, survey: { ...design.survey, dcLegalMaxV: null, building: null } };
    const blind = new Crew(nowhere);
    blind.site();
    blind.prove('D-ID', STRING);
    blind.prove('D-POL', STRING);
    expect(['open', 'locked']).toContain(await (await site(blind)).state('D-VOC', STRING));
  });

  it('7: an earth fault after a pass withdraws it, measured, split or reported, whoever says it', async () => {
    for (const after of [
      (c: Crew) => c.prove('D-IR', STRING, { values: { megohm: 0.1, testV: 1500 }, role: 'helper' }),
      (c: Crew) =>
        c.add(
          'happening',
          { scope: 'string', id: STRING },
          { what: 'earth fault on the string', seen: 'frame tingles' },
          { role: 'helper' },
        ),
      (c: Crew) =>
        c.add(
          'happening',
          inverter,
          { what: 'earth fault on the DC side', seen: 'fault code of the unit' },
          { role: 'reader' },
        ),
    ]) {
      const crew = permitted();
      const s = await site(crew);
      expect(await send(s, after(crew))).toBeNull();
      expect(await s.state('I-PERMIT', UNIT)).toBe('stale');
      expect(await s.state('D-IR', STRING)).not.toBe('passed');
    }
  });

  it('8: a stale gate takes no tick while what it rests on is open', async () => {
    const crew = permitted();
    const s = await site(crew);
    await send(s, crew.add('happening', inverter, { what: 'joint opened', seen: 'L2 loose' }, { role: 'helper' }));
    expect(await send(s, crew.tick('I-COVER', UNIT, 'pass'))).toMatch(/Not closed when it was made: I-TORQ@inv-1/);
    expect(await send(s, crew.tick('I-PERMIT', UNIT, 'pass'))).toMatch(/Not closed/);
    expect(await send(s, crew.tick('I-TORQ', UNIT, 'pass'))).toMatch(/closes by its measurement/);
    expect(await s.state('I-PERMIT', UNIT)).toBe('stale');
  });

  it('9: a permit ends with the day of the site, running or not', async () => {
    const crew = permitted();
    const s = await site(crew);
    expect(await send(s, crew.step(UNIT, '1', 'LOCKED_OFF'))).toBeNull();
    crew.wait(24 * 60);
    expect(await s.state('I-PERMIT', UNIT)).toBe('locked');
    expect(await send(s, crew.step(UNIT, '1', 'AC_CLOSED'))).toMatch(/the order stopped/);
    expect(await send(s, crew.tick('I-PERMIT', UNIT, 'pass'))).toMatch(/S-SAFE/);
    expect(await send(s, crew.tick('S-SAFE', 'site', 'pass'))).toBeNull();
    expect(await send(s, crew.tick('I-PERMIT', UNIT, 'pass'))).toBeNull();
  });
});

describe('an entry by a program that has no device', () => {
  it('counts as any other: a danger withdraws at once, and what cannot be read is refused by its field', async () => {
    const s = await site(permitted());
    const crew = permitted();
    const made = crew.add('happening', inverter, { what: 'joint opened', seen: 'L2 loose' }, { role: 'helper' });
    const { device: _device, licensedUntil: _licensedUntil, ...bare } = made;
    await expect(addRecord(s.context, s.siteId, { ...bare, values: { what: 'joint opened' } })).rejects.toMatchObject({
      status: 422,
      errors: [{ pointer: '/values/seen' }],
    });
    expect(await s.state('I-PERMIT', UNIT)).toBe('passed');
    const { record } = await addRecord(s.context, s.siteId, bare);
    expect([record.kind, record.device]).toEqual(['happening', null]);
    expect(await s.state('I-PERMIT', UNIT)).toBe('stale');
  });
});

describe('a unit that runs without its proofs', () => {
  it('is named to whoever asks, on its site and in the yard, from the moment on in which one is lost', async () => {
    const crew = permitted();
    const s = await site(crew);
    const asked = async () => [
      await unitsToSwitchOff(s.context, s.siteId),
      (await sitesToSwitchOff(s.context))[s.siteId],
    ];
    for (const state of ['LOCKED_OFF', 'AC_CLOSED'] as const)
      expect(await send(s, crew.step(UNIT, '1', state))).toBeNull();
    expect(await asked()).toEqual([[], undefined]);
    await send(s, crew.add('happening', inverter, { what: 'joint opened', seen: 'L2 loose' }, { role: 'helper' }));
    const why = expect.arrayContaining([expect.stringMatching(/^I-COVER@inv-1 is not closed/)]) as unknown;
    expect(await asked()).toEqual([[{ unit: UNIT, tag: 'INV-01', why }], 1]);
  });
  it('is asked of no site that is not there', async () =>
    await expect(unitsToSwitchOff(localContext(db()), uuidv7())).rejects.toMatchObject({ status: 404 }));
});

describe('late mail, and files', () => {
  it('keeps what was made before as a fact, and says why it proves nothing', async () => {
    const crew = permitted();
    const late = crew.tick('I-COVER', UNIT, 'pass', { role: 'helper' });
    crew.entries.pop();
    crew.wait(60);
    const s = await site(crew);
    const added = await addRecord(s.context, s.siteId, late);
    expect(added).toMatchObject({ known: false, why: expect.stringContaining('signed by the electrician') });
    // Stored as a reading without proof: what was proved before is withdrawn.
    expect(await s.state('I-COVER', UNIT)).not.toBe('passed');
  });
  it('takes a file with its history and counts nothing its makers were not allowed to do', async () => {
    const crew = new Crew(design);
    crew.site({ role: 'helper' });
    const s = await site(crew);
    const { evidence, entries } = await readLogbook(s.context, s.siteId);
    expect(entries.length).toBe(5);
    expect([...evidence.notes.keys()].length).toBe(5);
    expect(await s.state('S-SAFE')).toBe('open');
  });
});

describe('the chain of hashes', () => {
  const tampered = async (statement: (siteId: string) => ReturnType<typeof sql>) => {
    const crew = new Crew(design);
    crew.site();
    const s = await site(crew);
    await tamper('site_record', (tx) => tx.execute(statement(s.siteId)));
    return (await verifyRecord(s.context, s.siteId)).broken;
  };
  it('is whole as it was written, with entries added one by one', async () => {
    const crew = new Crew(design);
    crew.site();
    const s = await site(crew);
    await send(s, crew.prove('I-MOUNT', UNIT));
    await send(s, crew.prove('I-PE', UNIT));
    expect(await verifyRecord(s.context, s.siteId)).toEqual({ entries: 7, unchained: 0, broken: [] });
  });
  it('names an altered entry', async () => {
    const broken = await tampered(
      (id) =>
        sql`update site_record set body = jsonb_set(body, '{by}', '"Somebody Else"') where site_id = ${id} and seq = 3`,
    );
    expect(broken).toEqual([expect.stringMatching(/^entry 3 \(01969a00-.*\) is not as it was written/)]);
  });
  it('names an entry that is missing, in the middle and at the end', async () => {
    const middle = await tampered((id) => sql`delete from site_record where site_id = ${id} and seq = 2`);
    expect(middle[0]).toBe('entry 2 is missing');
    expect(middle[1]).toMatch(/^entry 3 .* not as it was written, or does not stand where it stood/);
    const end = await tampered((id) => sql`delete from site_record where site_id = ${id} and seq > 3`);
    expect(end).toEqual(['the last 2 of 5 entries are missing']);
  });
  it('names entries that changed places', async () => {
    const broken = await tampered(
      (id) =>
        sql`update site_record set seq = case seq when 2 then 103 else 102 end where site_id = ${id} and seq in (2, 3)`,
    );
    expect(broken.length).toBeGreaterThan(0);
    expect(broken.join()).toMatch(/entries 2 to 3 are missing|does not stand where it stood/);
  });
  it('names an entry put in beside it', async () => {
    const broken = await tampered(
      (id) => sql`insert into site_record (site_id, id, kind, scope, subject_id, release, done_at, body, seq, hash)
        select site_id, gen_random_uuid(), kind, scope, subject_id, release, done_at, body, 6, hash from site_record
        where site_id = ${id} and seq = 5`,
    );
    expect(broken.join()).toMatch(/entry 6 .* not as it was written/);
    expect(broken.join()).toMatch(/1 entries were added beside the chain/);
  });
});
