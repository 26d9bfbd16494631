import { rulesIn } from '../../kernel/rule';
import type { HungUnit, LoadedFrame } from '../results';

/** The rules of a unit on a wall: where it may hang, the air and sun it gets, how it is lifted and fixed; and of a frame, how it stands. A file added to a folder is a rule added. */
export const MOUNTING_RULES = {
  place: rulesIn<HungUnit>(import.meta.glob(['./place/*.ts', '!**/*.test.ts'], { eager: true })),
  air: rulesIn<HungUnit>(import.meta.glob(['./air/*.ts', '!**/*.test.ts'], { eager: true })),
  lift: rulesIn<HungUnit>(import.meta.glob(['./lift/*.ts', '!**/*.test.ts'], { eager: true })),
  stand: rulesIn<LoadedFrame>(import.meta.glob(['./stand/*.ts', '!**/*.test.ts'], { eager: true })),
  fix: rulesIn<HungUnit>(import.meta.glob(['./fix/*.ts', '!**/*.test.ts'], { eager: true })),
};
