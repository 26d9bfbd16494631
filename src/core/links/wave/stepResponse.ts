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
const REST = 1e-4;

/** Sections as columns: the nodes at their ends, and the waves under way to either end in a ring as long as their delay. */
interface Lines {
  readonly from: Int32Array;
  readonly to: Int32Array;
  /** Where the ring of a section begins and ends, and where in it the present step is. */
  readonly begin: Int32Array;
  readonly end: Int32Array;
  readonly now: Int32Array;
  readonly sign: Float64Array;
  /** Into an end, S: 1/(Z_0 + R/2); and the share (Z_0 − R/2)/(Z_0 + R/2) of what is not taken up. */
  readonly siemens: Float64Array;
  readonly share: Float64Array;
  readonly toFrom: Float64Array;
  readonly toTo: Float64Array;
}

const stepsOf = (delayNs: number, stepNs: number) => Math.max(1, Math.round(delayNs / stepNs));

function linesOf({ sections, impedanceOhm }: Network, stepNs: number): Lines {
  const count = sections.length;
  const [from, to, begin, end] = [0, 1, 2, 3].map(() => new Int32Array(count)) as [
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
  ];
  const [sign, siemens, share] = [0, 1, 2].map(() => new Float64Array(count)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  let kept = 0;
  sections.forEach((s, i) => {
    from[i] = s.from;
    to[i] = s.to;
    begin[i] = kept;
    kept += stepsOf(s.delayNs, stepNs);
    end[i] = kept;
    sign[i] = s.crossed ? -1 : 1;
    siemens[i] = 1 / (impedanceOhm + s.loopOhm / 2);
    share[i] = (impedanceOhm - s.loopOhm / 2) / (impedanceOhm + s.loopOhm / 2);
  });
  const now = Int32Array.from(begin);
  const rings = { toFrom: new Float64Array(kept), toTo: new Float64Array(kept) };
  return { from, to, begin, end, now, sign, siemens, share, ...rings };
}

/** Adds what arrives at the ends of all sections to what goes into their nodes, A. */
function arrive({ from, to, now, siemens, toFrom, toTo }: Lines, into: Float64Array): void {
  for (let i = 0; i < from.length; i++) {
    const a = from[i] as number;
    const b = to[i] as number;
    const at = now[i] as number;
    const s = siemens[i] as number;
    into[a] = (into[a] as number) + (toFrom[at] as number) * s;
    into[b] = (into[b] as number) + (toTo[at] as number) * s;
  }
}

/** Puts the waves that leave the ends of all sections under way, in the place of those that arrived: W = v + i·(Z_0 − R/2), i = (v − E)/(Z_0 + R/2). */
function sendOn({ from, to, begin, end, now, sign, share, toFrom, toTo }: Lines, volt: Float64Array): void {
  for (let i = 0; i < from.length; i++) {
    const at = now[i] as number;
    const turn = sign[i] as number;
    const k = share[i] as number;
    const vFrom = volt[from[i] as number] as number;
    const vTo = volt[to[i] as number] as number;
    const sent = vFrom + (vFrom - (toFrom[at] as number)) * k;
    toFrom[at] = turn * (vTo + (vTo - (toTo[at] as number)) * k);
    toTo[at] = turn * sent;
    now[i] = at + 1 === end[i] ? (begin[i] as number) : at + 1;
  }
}

/** Samples as they come, in twice the room whenever it is full. */
class Samples {
  #kept = new Float64Array(1024);
  #length = 0;
  add(v: number): void {
    if (this.#length === this.#kept.length) {
      const more = new Float64Array(2 * this.#length);
      more.set(this.#kept);
      this.#kept = more;
    }
    this.#kept[this.#length++] = v;
  }
  all(): Float64Array {
    return this.#kept.subarray(0, this.#length);
  }
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
  const lines = linesOf(network, stepNs);
  const total = Float64Array.from(acrossS);
  const add = (node: number, s: number) => {
    total[node] = (total[node] as number) + s;
  };
  add(driver.at, 1 / driver.ohm);
  lines.siemens.forEach((s, i) => {
    add(lines.from[i] as number, s);
    add(lines.to[i] as number, s);
  });
  const halfStepS = stepNs * 0.5e-9;
  const caps = capacitors.map((c) => ({ ...c, branchOhm: c.seriesOhm + halfStepS / c.farad, volt: 0, amp: 0 }));
  for (const c of caps) add(c.at, 1 / c.branchOhm);
  // A node with nothing across it and no line to it is at rest.
  const ohm = total.map((s) => (s > 0 ? 1 / s : 0));

  const through = sections.reduce((sum, s) => sum + stepsOf(s.delayNs, stepNs), 0);
  const restSteps = Math.max(2 * through, Math.ceil((2 * driver.riseNs) / stepNs), 8);
  const restV = REST * Math.abs(driver.openV);
  const into = new Float64Array(nodes);
  const volt = new Float64Array(nodes);
  const rest = new Float64Array(nodes);
  const samples = watched.map(() => new Samples());
  for (let step = 0, still = 0; step < STEPS_MOST && still <= restSteps; step++) {
    const risen = driver.riseNs > 0 ? Math.min(1, (step * stepNs) / driver.riseNs) : step > 0 ? 1 : 0;
    into.fill(0);
    into[driver.at] = (driver.openV * risen) / driver.ohm;
    arrive(lines, into);
    for (const c of caps) {
      c.volt += c.amp * (halfStepS / c.farad);
      into[c.at] = (into[c.at] as number) + c.volt / c.branchOhm;
    }
    for (let n = 0; n < nodes; n++) volt[n] = (into[n] as number) * (ohm[n] as number);
    for (const c of caps) {
      c.amp = ((volt[c.at] as number) - c.volt) / c.branchOhm;
      c.volt += c.amp * (halfStepS / c.farad);
    }
    sendOn(lines, volt);
    watched.forEach((node, w) => samples[w]?.add(volt[node] as number));
    if (risen < 1 || watched.some((node) => Math.abs((volt[node] as number) - (rest[node] as number)) > restV)) {
      rest.set(volt);
      still = 0;
    } else still++;
  }
  return { stepNs, volts: samples.map((s) => s.all()) };
}
