import { UNIT_LOAD_OHM } from '../line/budget';
import type { Network, Section } from './network';

/** A bus as it lies: devices in their order, hops between neighbours, what hangs on the pair. */
export interface Bus {
  readonly impedanceOhm: number;
  readonly delayNsPerM: number;
  readonly loopOhmPerM: number;
  readonly hopsM: readonly number[];
  /** Unit loads, stub and terminator of every device. */
  readonly unitLoads: readonly number[];
  readonly stubsM: readonly number[];
  readonly terminated: readonly boolean[];
  readonly terminatorOhm: number;
  /** Capacitor in series to it, nF; null: none. */
  readonly terminatorNf: number | null;
  /** Bias resistors across the pair, in series, Ω; null: none. They stand at the first device. */
  readonly biasOhm: number | null;
  /** Who asks. */
  readonly asker: number;
}

/** What is wrong with a bus, each with where. Devices and hops count from 0; hop k lies before device k + 1. */
export interface Faults {
  /** Terminators are on at these devices and nowhere else. */
  readonly terminatedAt?: readonly number[];
  readonly openHop?: number;
  readonly crossedHop?: number;
  /** D1 and D0 changed at the terminals of one device. */
  readonly swappedAt?: number;
  readonly stub?: { readonly at: number; readonly lengthM: number };
  /** Branches from the first device in place of the chain: so many devices on each, in their order. */
  readonly star?: readonly number[];
  /** So many devices bias the pair. */
  readonly biased?: number;
}

/** A network with the node at which each device listens and drives, and which devices hang turned. */
export interface BusNetwork {
  readonly network: Network;
  readonly nodeOf: readonly number[];
  readonly turned: readonly boolean[];
}

/** The device before each on its branch: of a chain the one before it, of a star the first of each arm is the hub. */
function beforeOf(count: number, star: readonly number[] | undefined): number[] {
  const firsts = new Set<number>();
  let at = 1;
  for (const arm of star ?? []) {
    firsts.add(at);
    at += arm;
  }
  return Array.from({ length: count }, (_, i) => (firsts.has(i) ? 0 : i - 1));
}

/** The pair of a bus as travelling waves see it, with what is wrong with it. A stub shorter than half a step of time is none. */
export function networkOf(bus: Bus, faults: Faults, stepNs: number): BusNetwork {
  const count = bus.unitLoads.length;
  const acrossS = bus.unitLoads.map(() => 0);
  const add = (node: number, siemens: number) => {
    acrossS[node] = (acrossS[node] ?? 0) + siemens;
  };
  const section = (from: number, to: number, lengthM: number): Section => ({
    from,
    to,
    delayNs: lengthM * bus.delayNsPerM,
    loopOhm: lengthM * bus.loopOhmPerM,
  });
  const sections = beforeOf(count, faults.star).flatMap((before, i): Section[] => {
    const hop = i - 1;
    if (i === 0 || hop === faults.openHop) return [];
    const line = section(before, i, bus.hopsM[hop] ?? 0);
    return [hop === faults.crossedHop ? { ...line, crossed: true } : line];
  });
  const ends = bus.terminated.flatMap((on, i) =>
    (faults.terminatedAt ? faults.terminatedAt.includes(i) : on) ? [i] : [],
  );
  const farad = bus.terminatorNf === null ? null : bus.terminatorNf * 1e-9;
  if (farad === null) for (const i of ends) add(i, 1 / bus.terminatorOhm);
  const capacitors = farad === null ? [] : ends.map((at) => ({ at, farad, seriesOhm: bus.terminatorOhm }));
  if (bus.biasOhm !== null) add(0, (faults.biased ?? 1) / bus.biasOhm);
  const nodeOf = bus.unitLoads.map((_, i) => {
    const lengthM = faults.stub?.at === i ? faults.stub.lengthM : (bus.stubsM[i] ?? 0);
    if (lengthM * bus.delayNsPerM < stepNs / 2) return i;
    const node = acrossS.push(0) - 1;
    sections.push(section(i, node, lengthM));
    return node;
  });
  nodeOf.forEach((node, i) => {
    add(node, (bus.unitLoads[i] as number) / UNIT_LOAD_OHM);
  });
  return {
    network: { impedanceOhm: bus.impedanceOhm, sections, acrossS, capacitors },
    nodeOf,
    turned: nodeOf.map((_, i) => i === faults.swappedAt),
  };
}

/** Steps of time for a bus, ns: three hundred of them along it, from 1 to 20 ns. */
export function stepOf(bus: Bus): number {
  const wholeNs = bus.delayNsPerM * bus.hopsM.reduce((sum, m) => sum + m, 0);
  return Math.min(20, Math.max(1, wholeNs / 300));
}
