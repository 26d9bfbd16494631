import { describe, expect, it } from 'vitest';
import { reconnection } from './reconnection';

/** Window 360–440 V and 47.5–51.5 Hz, wait 60 s: as a grid code would ask (invented round figures). */
const WINDOW = { minV: 360, maxV: 440, minHz: 47.5, maxHz: 51.5 };
const good = { lineV: 400, frequencyHz: 50 };
const every = (stepS: number, toS: number, over: (atS: number) => object = () => ({})) =>
  Array.from({ length: Math.floor(toS / stepS) + 1 }, (_, i) => ({ atS: i * stepS, ...good, ...over(i * stepS) }));
const ready = (samples: ReturnType<typeof every>, window = WINDOW) => reconnection(samples, window, 60);

describe('the wait before a unit connects', () => {
  it('is over once the grid was good for so long, and not a second before', () => {
    expect(ready(every(1, 60))).toEqual({ readyAtS: 60, restarts: 0, unbrokenS: 60 });
    expect(ready(every(1, 59))).toEqual({ readyAtS: null, restarts: 0, unbrokenS: 59 });
    // A wait that ran out between two samples was over when it ran out.
    expect(ready(every(7, 63))).toEqual({ readyAtS: 60, restarts: 0, unbrokenS: 63 });
  });
  it('begins with the first good sample', () => {
    const late = every(1, 80, (atS) => (atS < 20 ? { lineV: 0 } : {}));
    expect(ready(late)).toEqual({ readyAtS: 80, restarts: 0, unbrokenS: 60 });
    expect(ready(every(1, 10, () => ({ lineV: 0 })))).toEqual({ readyAtS: null, restarts: 0, unbrokenS: 0 });
    expect(ready([])).toEqual({ readyAtS: null, restarts: 0, unbrokenS: 0 });
  });
  it.each([
    ['lineV', 360, 359.9],
    ['lineV', 440, 440.1],
    ['frequencyHz', 47.5, 47.49],
    ['frequencyHz', 51.5, 51.51],
  ])('restarts at a sample outside: %s %d is inside, %d is not', (what, inside, outside) => {
    const at30 = (value: number) => every(1, 70, (atS) => (atS === 30 ? { [what]: value } : {}));
    expect(ready(at30(inside)).readyAtS).toBe(60);
    expect(ready(at30(outside))).toEqual({ readyAtS: null, restarts: 1, unbrokenS: 39 });
  });
  it('restarts after a gap over ten seconds, and counts each', () => {
    const gap = (s: number) => [...every(1, 30), ...every(1, 40).map((x) => ({ ...x, atS: x.atS + 30 + s }))];
    expect(ready(gap(10))).toEqual({ readyAtS: 60, restarts: 0, unbrokenS: 60 });
    expect(ready(gap(10.5))).toEqual({ readyAtS: null, restarts: 1, unbrokenS: 40 });
    const twice = every(1, 70, (atS) => (atS === 30 || atS === 50 ? { lineV: 500 } : {}));
    expect(ready(twice)).toEqual({ readyAtS: null, restarts: 2, unbrokenS: 19 });
  });
  it('asks no frequency of a code that names none', () => {
    const slow = every(1, 60, () => ({ frequencyHz: 44 }));
    expect(ready(slow, { ...WINDOW, minHz: null as never }).readyAtS).toBe(60);
    expect(ready(slow).readyAtS).toBeNull();
    const fast = every(1, 60, () => ({ frequencyHz: 56 }));
    expect(ready(fast, { ...WINDOW, maxHz: null as never }).readyAtS).toBe(60);
    expect(ready(fast).readyAtS).toBeNull();
  });
});
