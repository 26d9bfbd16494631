import type { Check, Subject } from '../kernel/check';
import type { Memo } from '../kernel/memo';
import { ask } from '../kernel/rule';
import type { LinksDesign } from './part';
import type { ChainResult } from './results';
import { LINKS_RULES as RULES } from './rules';

const chainSubject = (path: string, id?: string): Subject => ({ element: 'chain', path, ...(id ? { id } : {}) });

/** Every check of the RS-485 chain. Empty while the site has no chain. */
export function assessLinks(_design: LinksDesign, result: ChainResult, memo: Memo): readonly (readonly Check[])[] {
  return [memo.keep('links/checks', [result], () => chainChecks(result))];
}

function chainChecks(result: ChainResult): Check[] {
  const { devices } = result.chain;
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
    ...ask(RULES.ends, result, chainSubject('chain ends')),
    ...ask(RULES.chain, result, chainSubject('whole chain')),
    ...ask(RULES.line, result, chainSubject('whole chain')),
    ...ask(RULES.poll, result, chainSubject('whole chain')),
  ];
}
