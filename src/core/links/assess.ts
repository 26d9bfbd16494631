import type { Check, Subject } from '../kernel/check';
import type { Memo } from '../kernel/memo';
import { ask } from '../kernel/rule';
import type { OtherWays } from './otherWays';
import type { LinksDesign } from './part';
import type { ChainResult } from './results';
import { LINKS_RULES as RULES } from './rules';

const chainSubject = (path: string, id?: string): Subject => ({ element: 'chain', path, ...(id ? { id } : {}) });

/** Every check of the RS-485 buses, and of the ways beside them. Empty while the site has neither. */
export function assessLinks(
  { chain: { otherWays } }: LinksDesign,
  results: readonly ChainResult[],
  memo: Memo,
): readonly (readonly Check[])[] {
  const several = results.length > 1;
  return [
    memo.keep('links/checks', [results], () =>
      results.flatMap((r) => chainChecks(r, several ? ` of bus ${r.bus}` : '')),
    ),
    memo.keep('links/otherWays', [otherWays], () => wayChecks(otherWays)),
  ];
}

const wayChecks = ({ ethernet, radio, carriers, servicePorts }: OtherWays): Check[] => [
  ...ethernet.flatMap((w) => ask(RULES.ethernet, w, chainSubject(`Ethernet ${w.label}`, w.id))),
  ...radio.flatMap((w) => ask(RULES.radio, w, chainSubject(`radio ${w.label}`, w.id))),
  ...carriers.flatMap((w) => ask(RULES.carrier, w, chainSubject(`carrier ${w.label}`, w.id))),
  ...servicePorts.flatMap((w) => ask(RULES.service, w, chainSubject(`service ports of ${w.label}`, w.id))),
];

/** `of`: which chain, in words, where there are several. */
function chainChecks(result: ChainResult, of: string): Check[] {
  const { devices } = result.chain;
  const whole = chainSubject(`whole chain${of}`);
  if (devices.length === 0) return [];
  const addressed = devices.filter((d) => d.kind !== 'logger');
  return [
    ...addressed.flatMap((device) =>
      ask(
        RULES.device,
        { device, others: addressed.filter((o) => o !== device) },
        chainSubject(device.label, device.id),
      ),
    ),
    ...ask(RULES.ends, result, chainSubject(`chain ends${of}`)),
    ...ask(RULES.chain, result, whole),
    ...ask(RULES.line, result, whole),
    ...ask(RULES.poll, result, whole),
  ];
}
