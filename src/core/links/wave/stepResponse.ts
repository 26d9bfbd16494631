import { requirePositive, requireWithin } from '../../kernel/require';
import type { Driver, Network } from './network';

/** How a step arrives: the voltage at every watched node, V, a step of time apart. */
export interface StepResponse {
  readonly stepNs: number;
  readonly volts: readonly Float64Array[];
}

/** The longest that a step is followed, in steps. */
const STEPS_MOST = 200_000;
/** At rest: no watched node moves by more than this share of the source over two ways through the whole line. */
const REST = 2e-6;

/** Ends of sections, a row each: where they are, the line's other end, what they send and what arrives. */
interface Ends {
  readonly node: Int32Array;
  readonly twin: Int32Array;
  /** Steps of delay, and where the waves under way to this end are kept. */
  readonly steps: Int32Array;
  readonly first: Int32Array;
  readonly sign: Float64Array;
  readonly ohm: Float64Array;
  readonly halfOhm: Float64Array;
  readonly waves: Float64Array;
}

function endsOf({ sections, impedanceOhm }: Network, stepNs: number): Ends {
  const count = 2 * sections.length;
  const ends = {
    node: new Int32Array(count),
    twin: new Int32Array(count),
    steps: new Int32Array(count),
    first: new Int32Array(count),
    sign: new Float64Array(count),
    ohm: new Float64Array(count),
    halfOhm: new Float64Array(count),
  };
  let kept = 0;
  sections.forEach(({ from, to, delayNs, loopOhm, crossed }, s) => {
    for (const [e, node] of [
      [2 * s, from],
      [2 * s + 1, to],
    ] as const) {
      ends.node[e] = node;
      ends.twin[e] = e ^ 1;
      ends.steps[e] = Math.max(1, Math.round(delayNs / stepNs));
      ends.first[e] = kept;
      ends.sign[e] = crossed ? -1 : 1;
      ends.halfOhm[e] = loopOhm / 2;
      ends.ohm[e] = impedanceOhm + loopOhm / 2;
      kept += ends.steps[e] as number;
    }
  });
  return { ...ends, waves: new Float64Array(kept) };
}

/**
 * The answer of a pair to one step of a driver at a node, by travelling waves between the nodes (Bergeron's method): exact for sections
 * without loss, whose delay is rounded to steps of time; loss is lumped at the ends of each section. Every node is solved by itself in every
 * step, so that it is stable whatever the step. Ends when all is at rest. Where capacitors are, by the trapezoidal rule: it rings on a rise
 * shorter than four steps. Throws RangeError for a step, an impedance or a driver that is none.
 * Source: L. Bergeron 1949; H. W. Dommel, IEEE Transactions PAS-88, 1969 (recalled).
 */
export function stepResponse(
  network: Network,
  driver: Driver & { readonly at: number },
  watched: readonly number[],
  stepNs: number,
): StepResponse {
  const { acrossS, sections, impedanceOhm, capacitors = [] } = network;
  const nodes = acrossS.length;
  requirePositive({ stepNs, impedanceOhm, ohm: driver.ohm }, 'stepNs', 'impedanceOhm', 'ohm');
  requireWithin('at', driver.at, 0, nodes - 1);
  const ends = endsOf(network, stepNs);
  const count = ends.node.length;
  const total = new Float64Array(acrossS);
  total[driver.at] = (total[driver.at] as number) + 1 / driver.ohm;
  for (let e = 0; e < count; e++) {
    const node = ends.node[e] as number;
    total[node] = (total[node] as number) + 1 / (ends.ohm[e] as number);
  }
  const halfStepS = stepNs * 0.5e-9;
  const caps = capacitors.map((c) => ({ ...c, branchOhm: c.seriesOhm + halfStepS / c.farad, volt: 0, amp: 0 }));
  for (const c of caps) total[c.at] = (total[c.at] as number) + 1 / c.branchOhm;

  const through = 2 * sections.reduce((sum, s) => sum + Math.max(1, Math.round(s.delayNs / stepNs)), 0);
  const restSteps = Math.max(through, Math.ceil((2 * driver.riseNs) / stepNs), 8);
  const into = new Float64Array(nodes);
  const volt = new Float64Array(nodes);
  const arriving = new Float64Array(count);
  const kept: number[][] = watched.map(() => []);
  let restFrom = watched.map(() => 0);
  let still = 0;
  for (let step = 0; step < STEPS_MOST && still <= restSteps; step++) {
    into.fill(0);
    const risen = driver.riseNs > 0 ? Math.min(1, (step * stepNs) / driver.riseNs) : step > 0 ? 1 : 0;
    into[driver.at] = (driver.openV * risen) / driver.ohm;
    for (let e = 0; e < count; e++) {
      const wave = ends.waves[(ends.first[e] as number) + (step % (ends.steps[e] as number))] as number;
      arriving[e] = wave;
      const node = ends.node[e] as number;
      into[node] = (into[node] as number) + wave / (ends.ohm[e] as number);
    }
    for (const c of caps) {
      c.volt += c.amp * (halfStepS / c.farad);
      into[c.at] = (into[c.at] as number) + c.volt / c.branchOhm;
    }
    for (let n = 0; n < nodes; n++) volt[n] = total[n] === 0 ? 0 : (into[n] as number) / (total[n] as number);
    for (const c of caps) {
      c.amp = ((volt[c.at] as number) - c.volt) / c.branchOhm;
      c.volt += c.amp * (halfStepS / c.farad);
    }
    for (let e = 0; e < count; e++) {
      const v = volt[ends.node[e] as number] as number;
      const amp = (v - (arriving[e] as number)) / (ends.ohm[e] as number);
      const sent = v - amp * (ends.halfOhm[e] as number) + impedanceOhm * amp;
      const twin = ends.twin[e] as number;
      ends.waves[(ends.first[twin] as number) + (step % (ends.steps[twin] as number))] = (ends.sign[e] as number) * sent;
    }
    let moved = risen < 1;
    for (let w = 0; w < watched.length; w++) {
      const v = volt[watched[w] as number] as number;
      kept[w]?.push(v);
      if (Math.abs(v - (restFrom[w] as number)) > REST * Math.abs(driver.openV)) moved = true;
    }
    if (moved) {
      still = 0;
      restFrom = watched.map((n) => volt[n] as number);
    } else still++;
  }
  return { stepNs, volts: kept.map((v) => Float64Array.from(v)) };
}
