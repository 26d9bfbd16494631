import type { Check, Subject } from '../kernel/check';
import type { Memo } from '../kernel/memo';
import { ask } from '../kernel/rule';
import type { OtherWays } from './otherWays';
import { blocksDirect } from './line/busLine';
import type { LinksDesign } from './part';
import type { BusResult } from './results';
import { LINKS_RULES as RULES } from './rules';
import { isUnit } from './segments';

const chainSubject = (path: string, id?: string): Subject => ({ element: 'chain', path, ...(id ? { id } : {}) });

/** Every check of the RS-485 buses, and of the ways beside them. Empty while the site has neither. */
export function assessLinks(
  { chain: { otherWays } }: LinksDesign,
  results: readonly BusResult[],
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
function chainChecks({ whole, segments }: BusResult, of: string): Check[] {
  const { devices } = whole.chain;
  if (devices.length === 0) return [];
  const addressed = devices.filter(isUnit);
  return [
    ...addressed.flatMap((device) =>
      ask(
        RULES.device,
        { device, others: addressed.filter((o) => o !== device) },
        chainSubject(device.label, device.id),
      ),
    ),
    ...ask(RULES.bus, whole, chainSubject(`whole chain${of}`)),
    ...segments.flatMap((s) => {
      const pair = s.segment === null ? null : `segment ${s.segment}${of}`;
      return [
        ...ask(RULES.ends, s, chainSubject(pair === null ? `chain ends${of}` : `ends of ${pair}`)),
        ...[RULES.chain, RULES.line, ...(blocksDirect(s.chain.line) ? [RULES.capacitor] : [])].flatMap((rules) =>
          ask(rules, s, chainSubject(pair ?? `whole chain${of}`)),
        ),
      ];
    }),
  ];
}
