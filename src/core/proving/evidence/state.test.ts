import { describe, expect, it } from 'vitest';
import { Crew } from '../../testing/crew';
import { twoUnits } from '../../testing/handedOver';
import type { Reading, StepDone, Waived } from './state';
import { Moment, isProved, partOfKey, standOf } from './state';

const by = new Crew(twoUnits).tick('I-MOUNT', 'inv-1', 'pass');
const reading = (over: Partial<Reading> = {}): Reading => ({
  place: by,
  by,
  result: 'pass',
  made: 'A',
  workable: true,
  signed: true,
  broken: null,
  acceptedBy: null,
  ...over,
});
const waived: Waived = { by: 'w1', of: null, made: 'A', untilDay: '2026-05-09', broken: null };
const says = (...readings: Reading[]) => standOf(readings, null).result;

describe('the readings of a gate', () => {
  it('say together what the newest says that counts', () => {
    expect(says()).toBeNull();
    expect(says(reading())).toBe('pass');
    expect(says(reading(), reading({ result: 'fail' }))).toBe('fail');
    expect(says(reading({ result: 'fail' }), reading())).toBe('pass');
    expect(says(reading({ result: 'caution' }))).toBe('caution');
    expect(says(reading({ result: 'caution', acceptedBy: 'x' }))).toBe('accepted');
    expect(says(reading({ broken: 'joint opened' }))).toBe('stale');
    expect(says(reading({ result: 'caution', acceptedBy: 'x', broken: 'joint opened' }))).toBe('stale');
    expect(says(reading({ result: 'fail', broken: 'joint opened' }))).toBe('fail');
  });
  it('withdraw by one that proves nothing, that could not be worked, or that nobody may sign; a fail stays', () => {
    for (const over of [{ result: null }, { workable: false }, { signed: false }] as const) {
      expect(says(reading(), reading(over))).toBeNull();
      expect(says(reading({ result: 'fail' }), reading(over))).toBe('fail');
    }
    for (const over of [{ workable: false }, { signed: false }])
      expect(says(reading({ result: 'fail', ...over }))).toBe('fail');
  });
  it('give way to a waiver as long as it stands', () => {
    expect(standOf([reading({ result: 'fail' })], waived).result).toBe('waived');
    expect(standOf([], { ...waived, broken: 'run changed' }).result).toBe('stale');
  });
  it('close the gate by a pass, an accepted caution or a waiver alone', () => {
    const closed = (['pass', 'accepted', 'waived', 'caution', 'fail', 'stale', null] as const).filter((result) =>
      isProved({ readings: [], waived: null, ruling: null, result }),
    );
    expect(closed).toEqual(['pass', 'accepted', 'waived']);
  });
});

describe('a moment', () => {
  const stand = standOf([reading()], null);
  it('is one of its own from the fork on, on both sides', () => {
    const one = Moment.blank();
    one.putStand('I-MOUNT', 'inv-1', stand);
    one.putRun('inv-1', { live: true });
    const two = one.fork();
    one.putStand('I-PE', 'inv-1', stand);
    two.putRun('inv-1', { live: false });
    two.putStand('D-ID', 's-1', stand);
    two.putStand('I-MOUNT', 'inv-2', stand);
    expect([one.run('inv-1').live, two.run('inv-1').live]).toEqual([true, false]);
    expect([one.stand('I-PE', 'inv-1').result, two.stand('I-PE', 'inv-1').result]).toEqual(['pass', null]);
    expect([one.stand('D-ID', 's-1').result, two.stand('D-ID', 's-1').result]).toEqual([null, 'pass']);
    expect([one.stand('I-MOUNT', 'inv-2').result, two.stand('I-MOUNT', 'inv-1').result]).toEqual([null, 'pass']);
    two.released = 2;
    expect([one.released, two.released, two.fork().released]).toEqual([0, 2, 2]);
  });
  it('tells what was touched once somebody asks, each fork for itself', () => {
    const one = Moment.blank();
    one.putRun('inv-1', {});
    expect(one.touched).toBeNull();
    expect(one.fork().touched).toBeNull();
    one.touched = new Set();
    one.putRun('inv-1', {});
    const two = one.fork();
    two.putStand('S-SAFE', 'site', stand);
    expect([one.touched, two.touched]).toEqual([new Set(['I@inv-1']), new Set(['I@inv-1', 'S@site'])]);
  });
  it('names the units that are live among parts', () => {
    const one = Moment.blank();
    for (const id of ['inv-1', 'inv-2']) one.putRun(id, { live: id === 'inv-2' });
    one.putStand('D-ID', 's-1', stand);
    expect(one.liveUnits(['I@inv-1', 'I@inv-2', 'D@s-1'])).toEqual(['inv-2']);
  });
  it('reads the same as another that goes on alike, whatever order it came about in, and else not', () => {
    const keys = ['I@inv-1', 'D@s-1', 'I@inv-9'];
    const text = (change: (m: Moment) => void) => {
      const m = Moment.blank();
      m.putStand('I-MOUNT', 'inv-1', stand);
      m.putStand('I-PE', 'inv-1', stand);
      expect(m.text([...keys].reverse())).toBe(m.text(keys));
      change(m);
      return m.text(keys);
    };
    const same = text(() => undefined);
    const other = Moment.blank();
    for (const gate of ['I-PE', 'I-MOUNT'] as const) other.putStand(gate, 'inv-1', stand);
    expect(other.text(keys)).toBe(same);
    const step = (id: string): StepDone => ({ state: 'STOP', id, atMs: 0, uncertainMs: 0 });
    const changes: ((m: Moment) => void)[] = [
      ...(
        [
          { result: 'fail' },
          { result: null },
          { broken: 'joint opened' },
          { acceptedBy: 'x' },
          { workable: false },
          { signed: false },
          { place: { ...by, id: 'another' } },
          { by: { ...by, id: 'another' } },
        ] as const
      ).map((over) => (m: Moment) => m.putStand('I-PE', 'inv-1', standOf([reading(over)], null))),
      (m) => m.putStand('I-PE', 'inv-1', standOf([reading()], waived)),
      (m) => m.putStand('I-PE', 'inv-1', standOf([reading()], { ...waived, broken: 'run changed' })),
      (m) => m.putStand('I-PE', 'inv-1', standOf([reading()], { ...waived, by: 'w2' })),
      (m) => m.putStand('D-ID', 's-1', stand),
      (m) => m.putRun('inv-1', { order: '1' }),
      (m) => m.putRun('inv-1', { done: [step('a')] }),
      (m) => m.putRun('inv-1', { done: [step('b')] }),
      (m) => m.putRun('inv-1', { off: [step('a')] }),
      (m) => m.putRun('inv-1', { off: [step('b')] }),
      (m) => m.putRun('inv-1', { stopped: 'the permit was withdrawn' }),
      (m) => m.putRun('inv-1', { isolating: true }),
      (m) => m.putRun('inv-1', { live: true }),
      (m) => m.putRun('inv-1', { permitLost: false }),
    ];
    const texts = changes.map(text);
    expect(new Set([same, ...texts]).size).toBe(texts.length + 1);
    // Why something is stale or stopped changes nothing in how it goes on.
    const why = (broken: string) => text((m) => m.putStand('I-PE', 'inv-1', standOf([reading({ broken })], null)));
    expect(why('joint opened')).toBe(why('cover opened'));
    expect(text((m) => m.putRun('inv-1', { stopped: 'a' }))).toBe(text((m) => m.putRun('inv-1', { stopped: 'b' })));
  });
  it('names gates by their key', () => {
    expect([partOfKey('S-SAFE'), partOfKey('I-PE@inv-1')]).toEqual([
      ['S-SAFE', 'site'],
      ['I-PE', 'inv-1'],
    ]);
  });
});
