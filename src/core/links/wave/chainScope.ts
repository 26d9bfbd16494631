import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { ChainResult } from '../results';
import { brokenRules } from './brokenRules';
import { busOf } from './busOf';
import type { FaultCase } from './faultCase';
import { faultsOf } from './faultCase';
import type { BusScope, Corner, DeviceScope } from './scope';
import { busScope } from './scope';
import type { Trace } from './trace';
import { traceOf } from './trace';

/** One device of the chain on the scope. */
export interface ChannelOfScope extends DeviceScope {
  readonly label: string;
  readonly passesTo: number | null;
  readonly traces: Readonly<Record<Corner, Trace>>;
}
export interface ChainScope extends Pick<BusScope, 'bitRate' | 'verdict' | 'passesTo'> {
  readonly asker: string;
  readonly channels: readonly ChannelOfScope[];
  /** What the standards would not have, a few words each. */
  readonly broken: readonly string[];
  readonly spanUs: number;
}

/** Columns of a trace: more than a screen draws of one. */
const COLUMNS = 240;
/** How much is drawn: three ways there and back along the bus, and no less than 3 µs. */
const WAYS_DRAWN = 6;
const LEAST_DRAWN_US = 3;

/** The chain of a design on the scope, wired as planned or with faults; what it lacks by name. Throws RangeError for a fault at no device of it. */
export function chainScope(
  result: ChainResult,
  cases: readonly FaultCase[],
  onShare?: (share: number) => void,
): Answer<ChainScope> {
  const bus = busOf(result);
  const { bitRate, devices } = result.chain;
  if (bus.value === null || bitRate === null) return lacking(...(bitRate === null ? ['bit rate'] : []), ...bus.missing);
  const scope = busScope(bus.value, faultsOf(bus.value, cases), bitRate, onShare ? { onShare } : {});
  const onceNs = bus.value.delayNsPerM * bus.value.hopsM.reduce((sum, m) => sum + m, 0);
  const spanUs = Math.max(LEAST_DRAWN_US, (WAYS_DRAWN * onceNs) / 1000);
  const trace = (corner: Corner, device: number) =>
    traceOf(scope.out[corner][device] as Float64Array, scope.stepNs, spanUs, COLUMNS);
  return known({
    bitRate,
    verdict: scope.verdict,
    passesTo: scope.passesTo,
    spanUs,
    asker: devices[bus.value.asker]?.label ?? '',
    broken: brokenRules(bus.value, cases),
    channels: scope.devices.map((d) => ({
      ...d,
      label: devices[d.device]?.label ?? '',
      traces: { weak: trace('weak', d.device), strong: trace('strong', d.device) },
    })),
  });
}
