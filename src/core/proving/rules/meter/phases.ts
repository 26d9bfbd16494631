import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { meterSignature } from '../../measure/meterSignature';
import type { MeterReading } from '../../readings/meterReading';

/** Every current transformer on its own phase and the right way round. */
export const METER_PHASES = rule<MeterReading>()({
  id: 'proving.meter-phases',
  title: 'Current transformers on their phases',
  unit: '',
  basis: practice('share of the power by phase: +1 right, −1 reversed, −0.5 wrong phase, 0 dead'),
  needs: {
    signature: {
      as: 'change of every phase, with the load steady',
      of: ({ changeKw, unitKw }) => {
        const s = changeKw && meterSignature(changeKw, unitKw);
        return s && s.verdict !== 'unknown' ? s : null;
      },
    },
  },
  judge: ({ signature: { each, ratios, ratioSuspect, verdict } }) =>
    found(verdict === 'holds' ? 'holds' : 'stop', () => [
      each.map((e, i) => `L${i + 1} ${fixed(ratios[i] ?? 0, 3)}: ${e}`).join('; '),
      ...(ratioSuspect === null
        ? []
        : [`all alike at ${fixed(ratioSuspect, 2)}: is the ratio of the transformers set right?`]),
    ]),
});
