import { lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import { NEUTRAL_READ } from './neutralRead';

const at = (wiring: string, neutralRead: boolean) => ({ wiring, neutralRead, signature: lacking<never>('not asked') });

edges(NEUTRAL_READ, () => ({
  holds: [at('5-wire', true), at('3-wire plus PE', false), at('4-wire with neutral jumper', false)],
  without: { 'voltages to the neutral, which this unit has': at('5-wire', false) },
  says: [
    [at('5-wire', true), /5-wire: neutral measured/],
    [at('3-wire plus PE', false), /no neutral brought in/],
  ],
}));
