import { edges } from '../../../testing/edges';
import { reading } from '../../../testing/meterReadings';
import { METER_RATIO } from './ratio';

const set = (plateRatio: number | null, shownRatio: number | null) => reading({ plateRatio, shownRatio });

edges(METER_RATIO, () => ({
  holds: [set(50, 50), set(1, 1), reading({ transformers: false, plateRatio: null, shownRatio: null })],
  // 250/5 set as 200/5; one that nobody set.
  stops: [set(50, 40), set(50, 1), set(50, 50.5)],
  without: {
    'whether the meter measures through transformers': reading({ transformers: null }),
    'ratio on the plates': set(null, 50),
    'ratio that the meter shows': set(50, null),
  },
  numbers: [[set(50, 40), { value: 40, limit: 50 }]],
  says: [
    [set(50, 40), /^40 : 1 in the meter, 50 : 1 on the plates$/],
    [reading({ transformers: false }), /^measures without transformers$/],
  ],
}));
