import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { SupplyReading } from '../../readings/supplyReading';
import type { Signature } from '../../measure/supplySignature';

/** Which supply the ten voltages show. Wye stands with its low-impedance repeat at the board; anything else stops. */
export const SUPPLY_SIGNATURE = rule<SupplyReading>()({
  id: 'proving.supply-signature',
  title: 'Supply by its ten voltages',
  unit: 'pu',
  basis: practice('geometry of the phasors; classes common practice'),
  needs: {
    signature: {
      as: 'ten voltages that can be told apart',
      of: ({ signature: { value } }) => (value && value.verdict !== 'unknown' ? (value as Told) : null),
      missing: ({ signature: { value, missing } }) =>
        value ? [`ten voltages that can be told apart: ${value.meaning}`] : missing,
    },
  },
  judge: ({ signature: s }, { repeatWanted }) =>
    found(
      s.verdict === 'tight' && !repeatWanted && s.wanting === 'repeat' ? 'holds' : s.verdict,
      () => [
        `${s.meaning}${s.odd === null ? '' : ` (L${s.odd})`}${s.note ? `; ${s.note}` : ''}`,
        `Next: ${s.action}.`,
        ...(s.wanting === 'repeat' && repeatWanted
          ? ['Repeat L–PE at low impedance: a floating supply reads the same without it.']
          : []),
        ...(s.rmsPu === null ? [] : [`distance to the pattern ${fixed(s.rmsPu, 4)} pu`]),
      ],
      { value: s.rmsPu },
    ),
});
type Told = Signature & { readonly verdict: 'holds' | 'tight' | 'stop' };
