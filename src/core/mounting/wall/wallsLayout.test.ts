import { describe, expect, it, vi } from 'vitest';
import { FIRST_WALL, LARGE } from '../../testing/walls';
import { verifyWall } from '../verify/verifyWall';
import type { WallUnit } from './problem';
import type { EmptyWall } from './wallsLayout';
import { wallsLayout } from './wallsLayout';

vi.setConfig({ testTimeout: 60_000 });

const unit = (kind: string, widthMm: number): WallUnit => ({ ...LARGE, kind, widthMm });
const wall = (widthMm: number, boardXMm: number): EmptyWall => ({
  ...FIRST_WALL,
  face: { ...FIRST_WALL.face, widthMm },
  obstructions: [],
  boardXMm,
  gridMm: 100,
});
const time = { nowS: () => performance.now() / 1000, timeLimitS: 20 };

describe('units shared among walls', () => {
  it('fill the near places of both walls before the far ones of either', () => {
    const two = [wall(6000, 0), wall(6000, 6000)];
    const layout = wallsLayout(two, [unit('a', 1000), unit('a', 1000)], time);
    expect(layout.proof).toBe('proved');
    expect(layout.places?.map((p) => p.wall)).toEqual([0, 1]);
    // Middle 1000 mm from the board on each wall, 200 mm up to the tray and 1100 mm from it to the board.
    expect(layout.cost).toBe(2 * (1000 + 200 + 1100));
  });
  it('of two kinds, each wall legal', () => {
    const two = [wall(5000, 0), wall(4000, 4000)];
    const units = [unit('a', 1000), unit('b', 700), unit('a', 1000), unit('b', 700)];
    const layout = wallsLayout(two, units, time);
    expect(layout.proof).toBe('proved');
    for (const [w, own] of two.entries()) {
      const hung = units.flatMap((u, i) => {
        const place = layout.places?.[i];
        return place?.wall === w ? [{ ...u, ...place.at }] : [];
      });
      expect(verifyWall({ ...own.face, obstructions: [], gaps: 'larger' }, hung)).toEqual([]);
    }
  });
  it('that do not fit on all of them are refused with proof', () => {
    const layout = wallsLayout(
      [wall(2500, 0), wall(2500, 0)],
      [unit('a', 1000), unit('a', 1000), unit('a', 1000)],
      time,
    );
    expect(layout).toMatchObject({ places: null, proof: 'proved' });
  });
  it('says how far it is', () => {
    const heard: string[] = [];
    wallsLayout([wall(6000, 0), wall(6000, 0)], [unit('a', 1000), unit('a', 1000)], time, (done, of) =>
      heard.push(`${done}/${of}`),
    );
    expect(heard).toEqual(['1/4', '2/4', '3/4', '4/4']);
  });
});
