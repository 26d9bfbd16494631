import { FAST_EDGE_NS, quietStubM } from '../line/budget';
import type { Bus } from './bus';
import type { FaultCase } from './faultCase';
import { faultsOf } from './faultCase';

/** What the standards would not have of a bus that is wired so, a few words each; empty: wired as they ask (TIA/EIA-485-A; Modbus over Serial Line V1.02, 3.4). */
export function brokenRules(bus: Bus, cases: readonly FaultCase[]): readonly string[] {
  const faults = faultsOf(bus, cases);
  const last = bus.unitLoads.length - 1;
  const on = faults.terminatedAt ?? bus.terminated.flatMap((t, i) => (t ? [i] : []));
  const stubs = bus.stubsM.map((m, i) => (faults.stub?.at === i ? faults.stub.lengthM : m));
  const longest = Math.max(...stubs);
  return [
    ...(on.length === 2 ? [] : [`${on.length === 1 ? 'one terminator' : `${on.length} terminators`} in place of two`]),
    ...(on.length === 2 && !faults.star && !(on.includes(0) && on.includes(last))
      ? ['terminators not at the ends']
      : []),
    ...(faults.star ? ['a star in place of a chain'] : []),
    ...(faults.openHop === undefined ? [] : ['pair open']),
    ...(faults.crossedHop === undefined ? [] : ['pair crossed']),
    ...(faults.swappedAt === undefined ? [] : ['D1 and D0 swapped']),
    ...(longest > quietStubM(FAST_EDGE_NS, bus.delayNsPerM) ? [`stub of ${longest} m`] : []),
    ...((faults.biased ?? 1) > 1 && bus.biasOhm !== null ? ['biased at more than one device'] : []),
  ];
}
