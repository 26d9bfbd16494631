import { afterEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { Outbox, waitingIn } from './outbox';
import { device, forgetfulDevice } from './testing/storage';

const schema = z.object({ id: z.string(), what: z.string() });
const outbox = () => new Outbox('test.box', schema);
afterEach(() => void vi.unstubAllGlobals());

describe('what waits on a device', () => {
  it('comes back in the order in which it was made, whoever kept it', () => {
    device();
    const [one, other] = [outbox(), outbox()];
    expect([one.keep({ id: '2', what: 'b' }), other.keep({ id: '1', what: 'a' })]).toEqual([true, true]);
    expect(one.read()).toEqual({
      items: [
        { id: '1', what: 'a' },
        { id: '2', what: 'b' },
      ],
      unreadable: 0,
    });
  });
  it('of one tab is not lost by what another keeps, changes or forgets', () => {
    const kept = device();
    const [one, other] = [outbox(), outbox()];
    one.keep({ id: '1', what: 'a' });
    other.keep({ id: '2', what: 'b' });
    other.keep({ id: '2', what: 'c' });
    expect(one.read().items.map((i) => i.what)).toEqual(['a', 'c']);
    other.forget('2');
    expect(one.read().items.map((i) => i.what)).toEqual(['a']);
    one.forget('1');
    expect(kept.size).toBe(0);
  });
  it('in words of another version is counted, and stays where it is', () => {
    const kept = device();
    kept.set('test.box.1', '{"id":"1","said":"a"}');
    kept.set('test.box.2', 'not JSON');
    kept.set('test.boxes.3', '{"id":"3","what":"of another box"}');
    outbox().keep({ id: '4', what: 'd' });
    expect(outbox().read()).toEqual({ items: [{ id: '4', what: 'd' }], unreadable: 2 });
    outbox().forget('4');
    expect([...kept.keys()]).toEqual(['test.box.1', 'test.box.2', 'test.boxes.3']);
    expect(waitingIn('test.box')).toEqual(['1', '2']);
    expect(waitingIn('test')).toEqual(['box.1', 'box.2', 'boxes.3']);
    expect(waitingIn('test.bo')).toEqual([]);
  });
  it('says that nothing is kept where the device keeps nothing', () => {
    forgetfulDevice();
    expect([outbox().keep({ id: '1', what: 'a' }), outbox().read().items]).toEqual([false, []]);
    vi.stubGlobal('localStorage', undefined);
    outbox().forget('1');
    expect([outbox().keep({ id: '1', what: 'a' }), outbox().read()]).toEqual([false, { items: [], unreadable: 0 }]);
    expect(waitingIn('test.box')).toEqual([]);
  });
});
