import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { OBSTRUCTIONS } from './obstructions';

const door = {
  id: 'door',
  kind: 'door or window',
  xMm: 4600,
  yMm: 0,
  widthMm: 1000,
  heightMm: 2100,
  marginMm: null,
} as const;
const pipe = {
  id: 'pipe',
  kind: 'pipe or conduit to 120 mm',
  xMm: 2300,
  yMm: 0,
  widthMm: 100,
  heightMm: 3000,
  marginMm: null,
} as const;
const by = (thing: typeof door | typeof pipe, xMm: number, yMm = 700, over = {}) =>
  hungUnit({ at: { xMm, yMm }, wall: { obstructions: [{ ...thing, ...over }] } });

edges(OBSTRUCTIONS, () => ({
  // A door blocks air: the unit's 500 mm, and 500 over it. A pipe does not: 150 mm and no more.
  holds: [hungUnit(), by(door, 3050), by(door, 6100), by(door, 4600, 2600), by(pipe, 1100), by(pipe, 2550)],
  stops: [
    by(door, 3051),
    by(door, 6099),
    by(door, 4600, 2599),
    by(pipe, 1101),
    by(pipe, 2549),
    by(pipe, 1100, 700, { marginMm: 151 }),
  ],
  without: { 'size and clearances of the unit': hungUnit({ body: { heightMm: null } }) },
  numbers: [
    [by(door, 3000), { value: 550, limit: 500, margin: 10 }],
    [by(pipe, 1100), { value: 150, limit: 150, margin: 0 }],
    [by(door, 3000, 700, { marginMm: 600 }), { value: 550, limit: 600 }],
  ],
  says: [
    [hungUnit(), /^nothing stands on the wall$/],
    [by(door, 3000), /^to door or window: 550 mm free/],
  ],
}));
