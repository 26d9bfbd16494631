export { DEFAULT_FLEET } from '../src/lib/schemas/standIns/config';
export { portsOf } from '../src/lib/schemas/standIns/steering';
export { FieldBus } from '../src/lib/server/field/fieldBus';
export { scanned } from '../src/lib/server/field/scan';
export { runFleet } from '../src/standins/control';
export { Fleet } from '../src/standins/fleet';
