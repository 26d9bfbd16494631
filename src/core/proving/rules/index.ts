import { rulesIn } from '../../kernel/rule';
import type { InsulationReading } from '../insulation';
import type { AcReading } from '../readings/acReading';
import type { AddressReading } from '../readings/addressReading';
import type { AskedUnits, BusReading, PairReading } from '../readings/busReading';
import type { ContactReading, ContactsTold } from '../readings/contactReading';
import type { RippleReading, RippleTold } from '../readings/rippleReading';
import type { SetUpReading } from '../readings/setUpReading';
import type { WayReading } from '../readings/wayReading';
import type { SaidBy } from '../saidBy';
import type { StringReading } from '../readings/stringReading';
import type { JointReading } from '../readings/torqueReading';
import type { SupplyReading } from '../readings/supplyReading';
import type { EarthReading } from './earth/continuity';
import type { PolesToEarth } from './earthFault/place';
import type { JointRead } from './joint/microOhms';
import type { PhasesAtUnit } from './atUnit/neutralRead';
import type { CurrentReading } from './current/current';
import type { ReceivedBox } from '../readings/receivedBox';
import type { LiftReading } from '../readings/liftReading';
import type { MountedReading } from '../readings/mountedReading';
import type { DrilledHoles } from './drilled/fit';
import type { LandedInput } from './landing/inputs';
import type { LightReading } from './light/inTime';
import type { MeterReading } from '../readings/meterReading';
import type { ResidualAtFive, ResidualReading } from '../readings/residualReading';
import type { ShutDown } from '../readings/shutDown';
import type { TriedAgain } from './retorque/held';
import type { Tightening } from './tightening/order';
import type { StopReading } from './stop/stop';
import type { ThermalReading } from './thermal/scan';
import type { AcAtUnit } from './unit/window';
import type { InstrumentInUse } from './instrument/calibration';

/** The rules of the record by what they are asked about. A file added to a folder is a rule added. */
export const PROVING_RULES = {
  string: rulesIn<StringReading>(import.meta.glob(['./string/*.ts', '!**/*.test.ts'], { eager: true })),
  sisters: rulesIn<StringReading>(import.meta.glob(['./sisters/*.ts', '!**/*.test.ts'], { eager: true })),
  alone: rulesIn<StringReading>(import.meta.glob(['./alone/*.ts', '!**/*.test.ts'], { eager: true })),
  insulation: rulesIn<InsulationReading>(import.meta.glob(['./insulation/*.ts', '!**/*.test.ts'], { eager: true })),
  ac: rulesIn<AcReading>(import.meta.glob(['./ac/*.ts', '!**/*.test.ts'], { eager: true })),
  torque: rulesIn<JointReading>(import.meta.glob(['./torque/*.ts', '!**/*.test.ts'], { eager: true })),
  tightening: rulesIn<Tightening>(import.meta.glob(['./tightening/*.ts', '!**/*.test.ts'], { eager: true })),
  retorque: rulesIn<TriedAgain>(import.meta.glob(['./retorque/*.ts', '!**/*.test.ts'], { eager: true })),
  joint: rulesIn<JointRead>(import.meta.glob(['./joint/*.ts', '!**/*.test.ts'], { eager: true })),
  earthFault: rulesIn<PolesToEarth>(import.meta.glob(['./earthFault/*.ts', '!**/*.test.ts'], { eager: true })),
  instrument: rulesIn<InstrumentInUse>(import.meta.glob(['./instrument/*.ts', '!**/*.test.ts'], { eager: true })),
  earth: rulesIn<EarthReading>(import.meta.glob(['./earth/*.ts', '!**/*.test.ts'], { eager: true })),
  supply: rulesIn<SupplyReading>(import.meta.glob(['./supply/*.ts', '!**/*.test.ts'], { eager: true })),
  unit: rulesIn<AcAtUnit>(import.meta.glob(['./unit/*.ts', '!**/*.test.ts'], { eager: true })),
  atUnit: rulesIn<PhasesAtUnit>(import.meta.glob(['./atUnit/*.ts', '!**/*.test.ts'], { eager: true })),
  current: rulesIn<CurrentReading>(import.meta.glob(['./current/*.ts', '!**/*.test.ts'], { eager: true })),
  landing: rulesIn<LandedInput>(import.meta.glob(['./landing/*.ts', '!**/*.test.ts'], { eager: true })),
  residual: rulesIn<ResidualReading>(import.meta.glob(['./residual/*.ts', '!**/*.test.ts'], { eager: true })),
  residualFive: rulesIn<ResidualAtFive>(import.meta.glob(['./residualFive/*.ts', '!**/*.test.ts'], { eager: true })),
  thermal: rulesIn<ThermalReading>(import.meta.glob(['./thermal/*.ts', '!**/*.test.ts'], { eager: true })),
  meter: rulesIn<MeterReading>(import.meta.glob(['./meter/*.ts', '!**/*.test.ts'], { eager: true })),
  stop: rulesIn<StopReading>(import.meta.glob(['./stop/*.ts', '!**/*.test.ts'], { eager: true })),
  rapid: rulesIn<ShutDown>(import.meta.glob(['./rapid/*.ts', '!**/*.test.ts'], { eager: true })),
  drilled: rulesIn<DrilledHoles>(import.meta.glob(['./drilled/*.ts', '!**/*.test.ts'], { eager: true })),
  received: rulesIn<ReceivedBox>(import.meta.glob(['./received/*.ts', '!**/*.test.ts'], { eager: true })),
  mounted: rulesIn<MountedReading>(import.meta.glob(['./mounted/*.ts', '!**/*.test.ts'], { eager: true })),
  lift: rulesIn<LiftReading>(import.meta.glob(['./lift/*.ts', '!**/*.test.ts'], { eager: true })),
  light: rulesIn<LightReading>(import.meta.glob(['./light/*.ts', '!**/*.test.ts'], { eager: true })),
  address: rulesIn<AddressReading>(import.meta.glob(['./address/*.ts', '!**/*.test.ts'], { eager: true })),
  bus: rulesIn<BusReading>(import.meta.glob(['./bus/*.ts', '!**/*.test.ts'], { eager: true })),
  asked: rulesIn<AskedUnits>(import.meta.glob(['./asked/*.ts', '!**/*.test.ts'], { eager: true })),
  way: rulesIn<WayReading>(import.meta.glob(['./way/*.ts', '!**/*.test.ts'], { eager: true })),
  pairCapacitor: rulesIn<PairReading>(import.meta.glob(['./pairCapacitor/*.ts', '!**/*.test.ts'], { eager: true })),
  pair: rulesIn<PairReading>(import.meta.glob(['./pair/*.ts', '!**/*.test.ts'], { eager: true })),
  setUp: rulesIn<SetUpReading>(import.meta.glob(['./setUp/*.ts', '!**/*.test.ts'], { eager: true })),
  setUpBus: rulesIn<SetUpReading>(import.meta.glob(['./setUpBus/*.ts', '!**/*.test.ts'], { eager: true })),
  setUpExport: rulesIn<SetUpReading>(import.meta.glob(['./setUpExport/*.ts', '!**/*.test.ts'], { eager: true })),
  setUpRapid: rulesIn<SetUpReading>(import.meta.glob(['./setUpRapid/*.ts', '!**/*.test.ts'], { eager: true })),
  contacts: rulesIn<ContactReading>(import.meta.glob(['./contacts/*.ts', '!**/*.test.ts'], { eager: true })),
  contactsTold: rulesIn<ContactsTold>(import.meta.glob(['./contactsTold/*.ts', '!**/*.test.ts'], { eager: true })),
  ripple: rulesIn<RippleReading>(import.meta.glob(['./ripple/*.ts', '!**/*.test.ts'], { eager: true })),
  rippleTold: rulesIn<RippleTold>(import.meta.glob(['./rippleTold/*.ts', '!**/*.test.ts'], { eager: true })),
  real: rulesIn<{ readonly from: SaidBy }>(import.meta.glob(['./real/*.ts', '!**/*.test.ts'], { eager: true })),
};
