import { known, lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import type { PulledRun } from '../../schedule/pull';
import { PULL_SIDEWALL } from './sidewall';

const pressed = (sidewallNPerM: number, over: Partial<PulledRun> = {}): PulledRun => ({
  tag: 'INV-01',
  id: 'x',
  kgPerM: known(5),
  chosen: known({ from: 'unit', pull: { tensionN: 1, sidewallNPerM }, otherN: 2, turnsRad: 1 }),
  mostN: known(18_000),
  ...over,
});

/** 500 lbf/ft are 500 × 4.448222 N / 0.3048 m = 7297 N/m (IEEE 576, recalled). */
edges(PULL_SIDEWALL, () => ({
  holds: [pressed(0), pressed(5840)],
  tight: [pressed(5841), pressed((500 * 4.448222) / 0.3048), pressed(7300)],
  stops: [pressed(7301)],
  without: { 'way, mass and friction of the pull': pressed(1, { chosen: lacking('cores') }) },
  numbers: [[pressed(3650), { value: 3650, limit: 7300, margin: 50 }]],
  says: [[pressed(3650), /^3650 N a metre on at most 7300$/]],
}));
