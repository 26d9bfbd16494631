import { rulesIn } from '../../kernel/rule';
import type { BoardLoad, GridLoad } from '../boardLoad';
import type { RunResult } from '../results';
import type { PulledRun } from '../schedule/pull';
import type { ReadResistance } from '../voltagePath/readResistance';

/** The rules of the AC side by what they are asked about. A file added to a folder is a rule added. */
export const AC_RULES = {
  run: rulesIn<RunResult>(import.meta.glob(['./run/*.ts', '!**/*.test.ts'], { eager: true })),
  conductor: rulesIn<RunResult>(import.meta.glob(['./conductor/*.ts', '!**/*.test.ts'], { eager: true })),
  earth: rulesIn<RunResult>(import.meta.glob(['./earth/*.ts', '!**/*.test.ts'], { eager: true })),
  fault: rulesIn<RunResult>(import.meta.glob(['./fault/*.ts', '!**/*.test.ts'], { eager: true })),
  bay: rulesIn<RunResult>(import.meta.glob(['./bay/*.ts', '!**/*.test.ts'], { eager: true })),
  board: rulesIn<BoardLoad>(import.meta.glob(['./board/*.ts', '!**/*.test.ts'], { eager: true })),
  grid: rulesIn<GridLoad>(import.meta.glob(['./grid/*.ts', '!**/*.test.ts'], { eager: true })),
  pull: rulesIn<PulledRun>(import.meta.glob(['./pull/*.ts', '!**/*.test.ts'], { eager: true })),
  readings: rulesIn<ReadResistance>(import.meta.glob(['./readings/*.ts', '!**/*.test.ts'], { eager: true })),
  supply: rulesIn<RunResult>(import.meta.glob(['./supply/*.ts', '!**/*.test.ts'], { eager: true })),
};
