import { published } from '../../../kernel/check';
import { atMost, found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ShutDown } from '../../readings/shutDown';
import { IN_TIME, inTime } from '../../readings/shutDown';

/** Controlled conductors inside the array boundary, V (NFPA 70, 690.12(B)(2); recalled). */
const INSIDE_MOST_V = 80;

/** Highest voltage inside the array after rapid shutdown, V. A listed hazard control system stands in its place, whatever the voltage is. */
export const RAPID_INSIDE = rule<ShutDown>()({
  id: 'proving.rapid-inside',
  title: 'Rapid shutdown inside the array',
  unit: 'V',
  basis: published('NFPA 70, 690.12(B)(2)'),
  reads: 'DC voltage',
  schools: ['NEC'],
  needs: {
    inside: {
      as: 'voltage inside the array, or the listed system there',
      of: ({ insideV, listedSystem, seconds }) =>
        listedSystem ? { volts: insideV } : insideV === null ? null : read(inTime(insideV, INSIDE_MOST_V, seconds)),
      missing: ({ insideV, listedSystem }) => (insideV === null && !listedSystem ? [] : [IN_TIME]),
    },
  },
  judge: ({ inside: { volts } }, { seconds, listedSystem }) =>
    listedSystem || volts === null
      ? found('holds', () => [`listed hazard control system: ${listedSystem}`])
      : atMost({
          value: volts,
          limit: INSIDE_MOST_V,
          working: () => [`${volts} V inside the array ${seconds} s after it was worked; at most ${INSIDE_MOST_V} V`],
        }),
});

const read = (volts: number | null): { readonly volts: number | null } | null => (volts === null ? null : { volts });
