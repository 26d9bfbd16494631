import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { markOfFinding } from '../../../links/field/compare';
import type { BusReading } from '../../readings/busReading';

const wrong = (r: BusReading) => r.findings.filter((f) => markOfFinding(f.kind) === 'stop');
const nameless = (r: BusReading) => r.findings.filter((f) => markOfFinding(f.kind) === 'unknown');

/** Every unit of the plan answers at its address, once, and nobody else answers. Without serials nobody knows who does. */
export const BUS_EVERY_ONCE = rule<BusReading>()({
  id: 'proving.bus-every-once',
  title: 'Every address answers once, by its own unit',
  unit: '',
  basis: practice('a scan finds every planned serial at its address and nobody else'),
  needs: {
    findings: {
      as: 'address of every device of the chain',
      of: (r) => (r.findings.length && r.unaddressed.length === 0 ? r.findings : null),
      missing: (r) => (r.unaddressed.length ? r.unaddressed.map((l) => `address of ${l}`) : ['devices of the chain']),
    },
    serials: {
      as: 'serial numbers of plan and scan',
      // Who is wrong is wrong whoever else is not known.
      of: (r) => (wrong(r).length || nameless(r).length === 0 ? true : null),
      missing: (r) => nameless(r).map((f) => `serial number of ${f.label}, in the chain and read`),
    },
  },
  judge: (_, r) => {
    const not = wrong(r);
    return found(not.length ? 'stop' : 'holds', () =>
      not.length
        ? not.map((f) => `${f.address}${f.label ? ` (${f.label})` : ''}: ${f.kind}`)
        : [`${r.findings.length} addresses, each answered by its own unit`],
    );
  },
});
