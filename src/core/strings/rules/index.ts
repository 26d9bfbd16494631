import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import { rulesIn } from '../../kernel/rule';
import type { PvString } from '../../site/parts';
import type { Survey } from '../../site/survey';
import type { LoadedInverter, LoadedTracker, StringOnInput } from '../onInput';
import type { PlaneInUse } from './plane/modulesUsed';
import type { MixOverYear } from './year/mixing';

/** The rules of the string side by what they are asked about. A file added to a folder is a rule added. */
export const STRINGS_RULES = {
  module: rulesIn<ModuleType>(import.meta.glob(['./module/*.ts', '!**/*.test.ts'], { eager: true })),
  type: rulesIn<InverterType>(import.meta.glob(['./type/*.ts', '!**/*.test.ts'], { eager: true })),
  survey: rulesIn<Survey>(import.meta.glob(['./survey/*.ts', '!**/*.test.ts'], { eager: true })),
  plane: rulesIn<PlaneInUse>(import.meta.glob(['./plane/*.ts', '!**/*.test.ts'], { eager: true })),
  loose: rulesIn<PvString>(import.meta.glob(['./loose/*.ts', '!**/*.test.ts'], { eager: true })),
  string: rulesIn<StringOnInput>(import.meta.glob(['./string/*.ts', '!**/*.test.ts'], { eager: true })),
  tracker: rulesIn<LoadedTracker>(import.meta.glob(['./tracker/*.ts', '!**/*.test.ts'], { eager: true })),
  inverter: rulesIn<LoadedInverter>(import.meta.glob(['./inverter/*.ts', '!**/*.test.ts'], { eager: true })),
  year: rulesIn<MixOverYear>(import.meta.glob(['./year/*.ts', '!**/*.test.ts'], { eager: true })),
};
