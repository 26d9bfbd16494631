import type { GateId } from './machine';

/** Facts of the design that a proof is judged with. */
export type Input =
  'supply' | 'unitType' | 'place' | 'run' | 'address' | 'bitRate' | 'bus' | 'hung' | 'inverter' | 'module' | 'dcLimitV';

/**
 * What the proof of a gate rests on: when one of these differs in a later release, the proof is stale. Common practice.
 * `unitType`: the electrical sheet, not how the body is hung; `place`: the wall and where on it; `hung`: which strings hang on the unit and where; `inverter`: the unit a string hangs on; `run`: its AC run; `module`: type and count;
 * `bus`: the buses as they are wired and spoken to, not their metres: the ohms of a pair hardly show those; nor the serials, which a scan brings.
 */
export const RESTS_ON: Readonly<Partial<Record<GateId, readonly Input[]>>> = {
  'D-ID': ['inverter', 'module'],
  'D-POL': ['inverter', 'module'],
  'D-VOC': ['dcLimitV', 'module', 'inverter'],
  'D-IR': ['module', 'inverter', 'dcLimitV'],
  'D-ISC': ['module', 'inverter'],
  'I-MOUNT': ['unitType', 'place'],
  'I-PE': ['unitType', 'run'],
  'I-ACIR': ['supply', 'unitType', 'run'],
  'I-TORQ': ['unitType', 'run'],
  'I-ACV': ['supply', 'unitType', 'run'],
  'I-RCD': ['supply', 'unitType'],
  'I-ADDR': ['address', 'unitType'],
  'I-DCLAND': ['hung', 'unitType', 'module', 'dcLimitV'],
  'I-COVER': ['unitType', 'hung'],
  'I-PERMIT': ['supply', 'unitType', 'address', 'run', 'hung'],
  'I-SETUP': ['supply', 'unitType', 'address', 'bitRate'],
  'I-ONGRID': ['unitType'],
  'I-DRY': ['unitType'],
  'I-THERM': ['unitType', 'run'],
  'I-SISTER': ['unitType', 'hung', 'module'],
  'S-EARTH': ['supply'],
  'S-SUPPLY': ['supply'],
  'S-PTO': ['supply'],
  'S-BUS': ['bus', 'unitType'],
  'S-METER': ['supply'],
  'S-ESTOP': ['unitType'],
  'I-RAPID': ['unitType', 'hung', 'module'],
  'S-SOAK': ['unitType'],
  'S-PERF': ['unitType', 'module', 'hung'],
};
