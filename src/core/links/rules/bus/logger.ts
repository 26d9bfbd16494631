import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ChainResult } from '../../results';

/** Whether one device asks on the chain, and where it stands: one master a line, at an end unless its own terminator can come out. */
export const LOGGER = rule<ChainResult>()({
  id: 'links.logger',
  title: 'One logger, at an end of the chain',
  unit: '',
  basis: published('Modbus over Serial Line V1.02, 2.1'),
  needs: {
    at: {
      as: 'a logger on the chain, or which unit leads it',
      of: ({ chain }) => {
        const at = chain.devices.flatMap((d, i) => (d.kind === 'logger' ? [i] : []));
        return at.length ? at : null;
      },
    },
    terminatorOut: {
      as: 'whether the terminator of a logger inside the chain can be turned off',
      // Asked where it decides: of one logger that stands inside with it off.
      of: ({ chain: { devices } }) => {
        const loggers = devices.filter((d) => d.kind === 'logger');
        const [one] = loggers;
        const inside = one && one !== devices[0] && one !== devices.at(-1);
        return loggers.length === 1 && inside && !one.terminated ? one.terminatorOut : true;
      },
    },
  },
  judge: ({ at, terminatorOut }, { chain: { devices } }) => {
    const loggers = at.flatMap((i) => devices[i] ?? []);
    if (loggers.length > 1)
      return found('stop', () => [
        `${loggers.map((l) => l.label).join(' and ')} both ask on one line: they talk over each other`,
      ]);
    const [logger] = loggers;
    const inside = at[0] !== 0 && at[0] !== devices.length - 1;
    if (!inside) return found('holds', () => [`${logger?.label} asks, from an end of the chain`]);
    if (logger?.terminated)
      return found('stop', () => [
        `${logger.label} sits inside the chain with its terminator on: take it to an end, or take its terminator out`,
      ]);
    return found(terminatorOut ? 'holds' : 'stop', () => [
      terminatorOut
        ? `${logger?.label} asks from inside the chain, its own terminator out: two arms of one bus, terminated at their outer ends`
        : `${logger?.label} sits inside the chain and its terminator cannot be turned off: take it to an end`,
    ]);
  },
});
