import { rulesIn } from '../../kernel/rule';
import type { InsulationReading } from '../insulation';
import type { AcReading } from '../readings/acReading';
import type { StringReading } from '../readings/stringReading';
import type { TorqueReading } from '../readings/torqueReading';
import type { InstrumentInUse } from './instrument/calibration';

/** The rules of the record by what they are asked about. A file added to a folder is a rule added. */
export const PROVING_RULES = {
  string: rulesIn<StringReading>(import.meta.glob(['./string/*.ts', '!**/*.test.ts'], { eager: true })),
  sisters: rulesIn<StringReading>(import.meta.glob(['./sisters/*.ts', '!**/*.test.ts'], { eager: true })),
  alone: rulesIn<StringReading>(import.meta.glob(['./alone/*.ts', '!**/*.test.ts'], { eager: true })),
  insulation: rulesIn<InsulationReading>(import.meta.glob(['./insulation/*.ts', '!**/*.test.ts'], { eager: true })),
  ac: rulesIn<AcReading>(import.meta.glob(['./ac/*.ts', '!**/*.test.ts'], { eager: true })),
  torque: rulesIn<TorqueReading>(import.meta.glob(['./torque/*.ts', '!**/*.test.ts'], { eager: true })),
  instrument: rulesIn<InstrumentInUse>(import.meta.glob(['./instrument/*.ts', '!**/*.test.ts'], { eager: true })),
};
