import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { askerOf } from '../ends';
import { blocksDirect } from '../line/busLine';
import type { ChainResult } from '../results';
import type { Bus } from './bus';

/** The bus of a chain as its waves see it: what was planned, at its hottest. */
export function busOf({ chain, hops, lengthM, loads, unitLoads, budget }: ChainResult): Answer<Bus> {
  const { devices, line } = chain;
  const { impedanceOhm, delayNsPerM, terminatorOhm } = line;
  const bias = budget.bias.value;
  const missing = [
    ...(devices.length < 2 ? ['at least two devices'] : []),
    ...(impedanceOhm === null ? ['wave impedance of the pair'] : []),
    ...(delayNsPerM === null ? ['delay of the pair'] : []),
    ...(terminatorOhm === null ? ['resistance of the terminators'] : []),
    ...(blocksDirect(line) && line.terminatorNf === null ? ['capacitor of the terminators'] : []),
    ...budget.bias.missing,
    ...budget.hopOhm.missing,
    ...unitLoads.missing,
    ...devices.filter((d) => d.stubM === null).map((d) => `length of the stub at ${d.label}`),
  ];
  if (missing.length || impedanceOhm === null || delayNsPerM === null || terminatorOhm === null || bias === null)
    return lacking(...new Set(missing));
  const loop = budget.hopOhm.value?.reduce((sum, r) => sum + r, 0) ?? NaN;
  return known({
    impedanceOhm,
    delayNsPerM,
    loopOhmPerM: lengthM.value ? loop / lengthM.value : 0,
    hopsM: hops.map((h) => h.cableM ?? NaN),
    unitLoads: loads.map((l) => l ?? NaN),
    stubsM: devices.map((d) => d.stubM ?? NaN),
    terminated: devices.map((d) => d.terminated),
    terminatorOhm,
    terminatorNf: blocksDirect(line) ? line.terminatorNf : null,
    biasOhm: bias === 'none' ? null : bias.pullUpOhm + bias.pullDownOhm,
    asker: askerOf(chain),
  });
}
