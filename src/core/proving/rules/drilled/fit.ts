import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HolePoint } from '../../../mounting/setOut/asDrilled';
import { fitVerdict, playMm, rigidFit } from '../../../mounting/setOut/asDrilled';

/** The holes of one bracket as the sheet has them and as they were found. */
export interface DrilledHoles {
  readonly names: readonly string[];
  readonly nominal: readonly HolePoint[];
  /** Null where nobody measured it: a bracket is not told to go on by some of its holes. */
  readonly measured: readonly (HolePoint | null)[];
  /** Of the unit's sheet. */
  readonly slotMm: number | null;
  readonly boltMm: number | null;
}

/** What the worst hole leaves over once the bracket is moved and turned to fit best, mm, against the play of its bolt; to one and a half times that it is slotted. */
export const DRILLED_FIT = rule<DrilledHoles>()({
  id: 'proving.holes-as-drilled',
  title: 'Bracket fits the holes as drilled',
  unit: 'mm',
  basis: practice('least squares of a rigid move; play = (slot − bolt)/2'),
  needs: {
    measured: {
      as: 'every hole of the bracket',
      answer: (d): Answer<readonly HolePoint[]> => {
        const missing = d.names.filter((_, i) => !d.measured[i]).map((name) => `hole ${name}`);
        return missing.length ? lacking(...missing) : known(d.measured.flatMap((m) => m ?? []));
      },
    },
    slotMm: { as: 'slot or hole of the bracket', of: (d) => d.slotMm },
    boltMm: { as: 'bolt of the bracket', of: (d) => d.boltMm },
  },
  judge: ({ slotMm, boltMm, measured }, { names, nominal }) => {
    const fit = rigidFit(nominal, measured);
    const play = playMm(slotMm, boltMm);
    const { verdict, answer } = fitVerdict(fit.worstMm, play);
    const judged = atMost({
      value: fit.worstMm,
      limit: play,
      working: () => [
        `moved ${fit.dxMm.toFixed(2)} mm right and ${fit.dyMm.toFixed(2)} mm up, turned ${fit.turnDeg.toFixed(4)}°`,
        `left over: ${names.map((n, i) => `${n} ${(fit.residualsMm[i] ?? 0).toFixed(2)}`).join(', ')} mm; play (${slotMm} − ${boltMm})/2 = ${play} mm`,
      ],
    });
    const worst = names[fit.worst] ?? '';
    const words = {
      'hang it': 'hang it',
      'slot it': `slot ${worst}`,
      'drill afresh': `drill ${worst} afresh, two depths away at least, and fill the old one`,
    }[answer];
    return withVerdict(judged, verdict, () => [words]);
  },
});
